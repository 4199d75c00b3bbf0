import type { Frozen } from './sparse';

/** A set of unknowns that is eliminated together, after its children; `rim` are later unknowns that it touches. */
export type Front = { own: Int32Array; rim: Int32Array; children: Front[] };

/** Regions this small are eliminated as they are. */
const LEAF = 24;

/**
 * Nested dissection: halves a set of unknowns by their places again and again. Between two halves stands a separator, the
 * unknowns of one half that touch the other; it is eliminated after both. Fill and work then grow as n log n and n^1.5.
 *
 * @param x place of each unknown, in any unit
 * @returns the root; children come before their parents in the elimination
 */
export function dissect(matrix: Frozen, x: Float64Array, y: Float64Array): Front {
  const { size, start, column } = matrix;
  const side = new Int8Array(size);
  type Node = { own: number[]; children: Node[] };

  const split = (set: number[]): Node => {
    if (set.length <= LEAF) return { own: set, children: [] };
    let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const v of set) {
      left = Math.min(left, x[v] ?? 0);
      right = Math.max(right, x[v] ?? 0);
      top = Math.min(top, y[v] ?? 0);
      bottom = Math.max(bottom, y[v] ?? 0);
    }
    const place = right - left >= bottom - top ? x : y;
    const middle = place === x ? (left + right) / 2 : (top + bottom) / 2;
    const first: number[] = [];
    const second: number[] = [];
    for (const v of set) {
      const before = (place[v] ?? 0) < middle;
      side[v] = before ? 1 : 2;
      (before ? first : second).push(v);
    }
    const separator: number[] = [];
    const rest: number[] = [];
    for (const v of second) {
      let touches = false;
      for (let p = start[v] ?? 0; p < (start[v + 1] ?? 0) && !touches; p++)
        touches = side[column[p] ?? 0] === 1;
      (touches ? separator : rest).push(v);
    }
    for (const v of set) side[v] = 0;
    if (first.length === 0 || rest.length === 0) return { own: set, children: [] };
    return { own: separator, children: [split(first), split(rest)] };
  };

  const root = split(Array.from({ length: size }, (_, i) => i));
  const position = new Int32Array(size);
  let next = 0;
  const number = (node: Node): void => {
    node.children.forEach(number);
    for (const v of node.own) position[v] = next++;
  };
  number(root);

  const seen = new Int32Array(size).fill(-1);
  let stamp = 0;
  const close = (node: Node): Front => {
    const children = node.children.map(close);
    const mine = stamp++;
    const last = node.own.reduce((m, v) => Math.max(m, position[v] ?? 0), -1);
    const rim: number[] = [];
    const meet = (u: number): void => {
      if ((position[u] ?? 0) <= last || seen[u] === mine) return;
      seen[u] = mine;
      rim.push(u);
    };
    for (const v of node.own) for (let p = start[v] ?? 0; p < (start[v + 1] ?? 0); p++) meet(column[p] ?? 0);
    for (const child of children) child.rim.forEach(meet);
    rim.sort((a, b) => (position[a] ?? 0) - (position[b] ?? 0));
    return { own: Int32Array.from(node.own), rim: Int32Array.from(rim), children };
  };
  return close(root);
}
