import type { Front } from './dissection';
import type { Frozen } from './sparse';

/** Solves K x = b in place of b. */
export type Solver = (b: Float64Array) => Float64Array;

type Factor = { front: Front; lower: Float64Array };

/**
 * Eliminates the first `own` unknowns of a front, in place of its lower triangle, row by row.
 *
 * Indices run inside the arrays, which the loops below are sure of; `!` keeps them free of branches.
 *
 * @returns rows of `own` entries for every unknown, and what is left for the rim (lower triangle)
 * @throws RangeError when the matrix is not positive definite: something in it is held by nothing
 */
function eliminate(
  full: Float64Array,
  own: number,
  size: number,
): { lower: Float64Array; rest: Float64Array } {
  const lower = new Float64Array(size * own);
  for (let i = 0; i < size; i++) {
    const [from, to] = [i * size, i * own];
    for (let j = 0; j < own; j++) lower[to + j] = full[from + j]!;
  }
  for (let i = 0; i < own; i++) {
    const row = i * own;
    for (let k = 0; k <= i; k++) {
      const other = k * own;
      let s = lower[row + k]!;
      for (let j = 0; j < k; j++) s -= lower[row + j]! * lower[other + j]!;
      if (k < i) lower[row + k] = s / lower[other + k]!;
      else {
        if (!(s > 0)) throw new RangeError('Something here is held by nothing: the plate would float away.');
        lower[row + k] = Math.sqrt(s);
      }
    }
  }
  const left = size - own;
  // Four rows of the rim at a time against each eliminated row: one number read serves four.
  let i = own;
  for (; i + 3 < size; i += 4) {
    const [a, b, c, d] = [i * own, (i + 1) * own, (i + 2) * own, (i + 3) * own];
    for (let k = 0; k < own; k++) {
      const other = k * own;
      let s0 = lower[a + k]!;
      let s1 = lower[b + k]!;
      let s2 = lower[c + k]!;
      let s3 = lower[d + k]!;
      for (let j = 0; j < k; j++) {
        const z = lower[other + j]!;
        s0 -= lower[a + j]! * z;
        s1 -= lower[b + j]! * z;
        s2 -= lower[c + j]! * z;
        s3 -= lower[d + j]! * z;
      }
      const by = 1 / lower[other + k]!;
      lower[a + k] = s0 * by;
      lower[b + k] = s1 * by;
      lower[c + k] = s2 * by;
      lower[d + k] = s3 * by;
    }
  }
  for (; i < size; i++) {
    const row = i * own;
    for (let k = 0; k < own; k++) {
      let s = lower[row + k]!;
      for (let j = 0; j < k; j++) s -= lower[row + j]! * lower[k * own + j]!;
      lower[row + k] = s / lower[k * own + k]!;
    }
  }
  const rest = new Float64Array(left * left);
  // Two rows against four columns; the few entries above the diagonal that come along are not read again.
  for (let r = 0; r < left; r += 2) {
    const two = r + 1 < left;
    const [a, b] = [(own + r) * own, (own + (two ? r + 1 : r)) * own];
    const [fromA, fromB] = [(own + r) * size + own, (own + r + 1) * size + own];
    const end = two ? r + 1 : r;
    for (let k = 0; k <= end; k += 4) {
      const c0 = (own + k) * own;
      const c1 = (own + Math.min(k + 1, left - 1)) * own;
      const c2 = (own + Math.min(k + 2, left - 1)) * own;
      const c3 = (own + Math.min(k + 3, left - 1)) * own;
      let p0 = 0;
      let p1 = 0;
      let p2 = 0;
      let p3 = 0;
      let q0 = 0;
      let q1 = 0;
      let q2 = 0;
      let q3 = 0;
      for (let j = 0; j < own; j++) {
        const u = lower[a + j]!;
        const v = lower[b + j]!;
        const w0 = lower[c0 + j]!;
        const w1 = lower[c1 + j]!;
        const w2 = lower[c2 + j]!;
        const w3 = lower[c3 + j]!;
        p0 += u * w0;
        p1 += u * w1;
        p2 += u * w2;
        p3 += u * w3;
        q0 += v * w0;
        q1 += v * w1;
        q2 += v * w2;
        q3 += v * w3;
      }
      const many = Math.min(4, left - k);
      const at = r * left + k;
      rest[at] = full[fromA + k]! - p0;
      if (many > 1) rest[at + 1] = full[fromA + k + 1]! - p1;
      if (many > 2) rest[at + 2] = full[fromA + k + 2]! - p2;
      if (many > 3) rest[at + 3] = full[fromA + k + 3]! - p3;
      if (!two) continue;
      const below = at + left;
      rest[below] = full[fromB + k]! - q0;
      if (many > 1) rest[below + 1] = full[fromB + k + 1]! - q1;
      if (many > 2) rest[below + 2] = full[fromB + k + 2]! - q2;
      if (many > 3) rest[below + 3] = full[fromB + k + 3]! - q3;
    }
  }
  return { lower, rest };
}

type Known = { lower: Float64Array; rest: Float64Array };

/** Values of the matrix by its frozen places, what is added to its diagonal, and which rows differ from the time before. */
export type Step = { value: Float64Array; extra: Float64Array; changed?: Uint8Array };

/**
 * Multifrontal Cholesky: every front is a small dense matrix, gathered from the matrix and from what its children left over.
 * Made once for a pattern; at each step only fronts with changed rows, and those above them, are eliminated again.
 *
 * @returns takes a step's values and gives its solver
 * @throws RangeError when the matrix is not positive definite
 */
export function elimination({ size: n, start, column }: Frozen, root: Front): (step: Step) => Solver {
  const local = new Int32Array(n);
  const known = new Map<Front, Known>();
  const order: Front[] = [];
  const list = (front: Front): void => {
    front.children.forEach(list);
    order.push(front);
  };
  list(root);

  const gather = (front: Front, { value, extra }: Step): Known => {
    const own = front.own.length;
    const size = own + front.rim.length;
    const full = new Float64Array(size * size);
    front.own.forEach((v, i) => (local[v] = i + 1));
    front.rim.forEach((v, i) => (local[v] = own + i + 1));
    for (let i = 0; i < own; i++) {
      const v = front.own[i]!;
      for (let p = start[v]!; p < start[v + 1]!; p++) {
        const at = local[column[p]!]! - 1;
        if (at >= i) full[at * size + i] = full[at * size + i]! + value[p]!;
      }
      full[i * size + i] = full[i * size + i]! + extra[v]!;
    }
    for (const child of front.children) {
      const { rest } = known.get(child)!;
      const width = child.rim.length;
      const places = Int32Array.from(child.rim, (v) => local[v]! - 1);
      for (let i = 0; i < width; i++) {
        const pi = places[i]!;
        for (let k = 0; k <= i; k++) {
          const pk = places[k]!;
          const at = pi >= pk ? pi * size + pk : pk * size + pi;
          full[at] = full[at]! + rest[i * width + k]!;
        }
      }
    }
    front.own.forEach((v) => (local[v] = 0));
    front.rim.forEach((v) => (local[v] = 0));
    return eliminate(full, own, size);
  };

  return (step) => {
    const dirty = new Set<Front>();
    for (const front of order) {
      const { changed } = step;
      const stale =
        !changed ||
        !known.has(front) ||
        front.children.some((c) => dirty.has(c)) ||
        front.own.some((v) => changed[v] === 1);
      if (!stale) continue;
      dirty.add(front);
      known.set(front, gather(front, step));
    }
    return solver(order.map((front) => ({ front, lower: known.get(front)!.lower })));
  };
}

/** Forward through the fronts, and back. */
function solver(factors: readonly Factor[]): Solver {
  return (b) => {
    for (const { front, lower } of factors) {
      const own = front.own.length;
      for (let i = 0; i < own; i++) {
        const v = front.own[i]!;
        let s = b[v]!;
        for (let j = 0; j < i; j++) s -= lower[i * own + j]! * b[front.own[j]!]!;
        b[v] = s / lower[i * own + i]!;
      }
      for (let i = 0; i < front.rim.length; i++) {
        let s = 0;
        for (let j = 0; j < own; j++) s += lower[(own + i) * own + j]! * b[front.own[j]!]!;
        b[front.rim[i]!] = b[front.rim[i]!]! - s;
      }
    }
    for (let f = factors.length - 1; f >= 0; f--) {
      const { front, lower } = factors[f]!;
      const own = front.own.length;
      for (let i = 0; i < front.rim.length; i++) {
        const t = b[front.rim[i]!]!;
        for (let j = 0; j < own; j++) b[front.own[j]!] = b[front.own[j]!]! - lower[(own + i) * own + j]! * t;
      }
      for (let i = own - 1; i >= 0; i--) {
        const v = front.own[i]!;
        b[v] = b[v]! / lower[i * own + i]!;
        for (let j = 0; j < i; j++) b[front.own[j]!] = b[front.own[j]!]! - lower[i * own + j]! * b[v]!;
      }
    }
    return b;
  };
}
