import type { Frozen } from './sparse';

/** A set of unknowns that is eliminated together, after its children; `rim` are later unknowns that it touches. */
export type Front = { own: Int32Array; rim: Int32Array; children: Front[] };

/** Regions this small are eliminated as they are. */
const LEAF = 24;

/** Places of a cut that are tried, as shares of the longer side: a bar that lies along the middle makes a poor separator. */
const CUTS = [0.5, 0.42, 0.58];
/** Below this many unknowns the middle is good enough. */
const WORTH_TRYING = 400;

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
  type Node = { own: Int32Array; children: Node[] };
  type Cut = { first: Int32Array; separator: Int32Array; rest: Int32Array };

  /** Indices run inside the arrays, which the loops are sure of; `!` keeps them free of branches. */
  const cutAt = (set: Int32Array, place: Float64Array, at: number): Cut => {
    const first = new Int32Array(set.length);
    const second = new Int32Array(set.length);
    let [before, after] = [0, 0];
    for (let i = 0; i < set.length; i++) {
      const v = set[i]!;
      if (place[v]! < at) {
        side[v] = 1;
        first[before++] = v;
      } else {
        side[v] = 2;
        second[after++] = v;
      }
    }
    const separator = new Int32Array(after);
    let [between, beyond] = [0, 0];
    for (let i = 0; i < after; i++) {
      const v = second[i]!;
      const end = start[v + 1]!;
      let p = start[v]!;
      while (p < end && side[column[p]!] !== 1) p++;
      if (p < end) separator[between++] = v;
      else second[beyond++] = v;
    }
    for (let i = 0; i < set.length; i++) side[set[i]!] = 0;
    return {
      first: first.subarray(0, before),
      separator: separator.subarray(0, between),
      rest: second.subarray(0, beyond),
    };
  };

  const split = (set: Int32Array): Node => {
    if (set.length <= LEAF) return { own: set, children: [] };
    let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
    for (let i = 0; i < set.length; i++) {
      const v = set[i]!;
      left = Math.min(left, x[v]!);
      right = Math.max(right, x[v]!);
      top = Math.min(top, y[v]!);
      bottom = Math.max(bottom, y[v]!);
    }
    const wide = right - left >= bottom - top;
    const [place, from, to] = wide ? [x, left, right] : [y, top, bottom];
    let best: Cut | undefined;
    for (const share of set.length > WORTH_TRYING ? CUTS : CUTS.slice(0, 1)) {
      const cut = cutAt(set, place, from + (to - from) * share);
      if (!best || cut.separator.length < 0.9 * best.separator.length) best = cut;
    }
    if (!best || best.first.length === 0 || best.rest.length === 0) return { own: set, children: [] };
    return { own: best.separator, children: [split(best.first), split(best.rest)] };
  };

  const root = split(Int32Array.from({ length: size }, (_, i) => i));
  const position = new Int32Array(size);
  let next = 0;
  const number = (node: Node): void => {
    node.children.forEach(number);
    for (let i = 0; i < node.own.length; i++) position[node.own[i]!] = next++;
  };
  number(root);
  const inOrder = new Int32Array(size);
  for (let v = 0; v < size; v++) inOrder[position[v]!] = v;

  const seen = new Int32Array(size).fill(-1);
  const found = new Int32Array(size);
  let stamp = 0;
  const close = ({ own, children }: Node): Front => {
    const below = children.map(close);
    const mine = stamp++;
    const last = own.length === 0 ? -1 : position[own[own.length - 1]!]!;
    let count = 0;
    const meet = (u: number): void => {
      if (position[u]! <= last || seen[u] === mine) return;
      seen[u] = mine;
      found[count++] = position[u]!;
    };
    for (let i = 0; i < own.length; i++) {
      const v = own[i]!;
      for (let p = start[v]!; p < start[v + 1]!; p++) meet(column[p]!);
    }
    for (const child of below) for (let i = 0; i < child.rim.length; i++) meet(child.rim[i]!);
    const rim = found.slice(0, count).sort();
    for (let i = 0; i < count; i++) rim[i] = inOrder[rim[i]!]!;
    return { own: own.slice(), rim, children: below };
  };
  return close(root);
}
