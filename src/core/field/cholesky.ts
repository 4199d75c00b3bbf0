import type { Front } from './dissection';
import type { Frozen } from './sparse';

/** Solves K x = b in place of b. */
export type Solver = (b: Float64Array) => Float64Array;

type Factor = { front: Front; lower: Float64Array };

/**
 * One row of a front: its entries left of column `upto`, by the rows above.
 *
 * Indices here and below run inside the arrays, which the loops are sure of; `!` keeps them free of branches.
 */
function solveRow(lower: Float64Array, own: number, row: number, upto: number): void {
  for (let k = 0; k < upto; k++) {
    let s = lower[row + k]!;
    for (let j = 0; j < k; j++) s -= lower[row + j]! * lower[k * own + j]!;
    lower[row + k] = s / lower[k * own + k]!;
  }
}

/** Four rows that follow each other at once, two columns at a time: each number read serves two or four products. */
function solveFourRows(lower: Float64Array, own: number, first: number, upto: number): void {
  const a = first;
  const b = a + own;
  const c = b + own;
  const d = c + own;
  let k = 0;
  for (; k + 1 < upto; k += 2) {
    const y = k * own;
    const z = y + own;
    let a0 = lower[a + k]!;
    let a1 = lower[a + k + 1]!;
    let b0 = lower[b + k]!;
    let b1 = lower[b + k + 1]!;
    let c0 = lower[c + k]!;
    let c1 = lower[c + k + 1]!;
    let d0 = lower[d + k]!;
    let d1 = lower[d + k + 1]!;
    for (let j = 0; j < k; j++) {
      const u = lower[y + j]!;
      const v = lower[z + j]!;
      let w = lower[a + j]!;
      a0 -= w * u;
      a1 -= w * v;
      w = lower[b + j]!;
      b0 -= w * u;
      b1 -= w * v;
      w = lower[c + j]!;
      c0 -= w * u;
      c1 -= w * v;
      w = lower[d + j]!;
      d0 -= w * u;
      d1 -= w * v;
    }
    const by = 1 / lower[y + k]!;
    const off = lower[z + k]!;
    const next = 1 / lower[z + k + 1]!;
    a0 *= by;
    b0 *= by;
    c0 *= by;
    d0 *= by;
    lower[a + k] = a0;
    lower[b + k] = b0;
    lower[c + k] = c0;
    lower[d + k] = d0;
    lower[a + k + 1] = (a1 - a0 * off) * next;
    lower[b + k + 1] = (b1 - b0 * off) * next;
    lower[c + k + 1] = (c1 - c0 * off) * next;
    lower[d + k + 1] = (d1 - d0 * off) * next;
  }
  if (k === upto) return;
  for (let row = a; row <= d; row += own) {
    let s = lower[row + k]!;
    for (let j = 0; j < k; j++) s -= lower[row + j]! * lower[k * own + j]!;
    lower[row + k] = s / lower[k * own + k]!;
  }
}

/** Takes what the eliminated rows weigh from the rim: rest −= L Lᵀ, lower triangle, four rows against four. */
function takeFromRim(lower: Float64Array, rest: Float64Array, own: number, left: number): void {
  let r = 0;
  for (; r + 3 < left; r += 4) {
    const a = (own + r) * own;
    const b = a + own;
    const c = b + own;
    const d = c + own;
    for (let k = 0; k <= r; k += 4) {
      const e = (own + k) * own;
      const f = e + own;
      const g = f + own;
      const h = g + own;
      let [ae, af, ag, ah, be, bf, bg, bh] = [0, 0, 0, 0, 0, 0, 0, 0];
      let [ce, cf, cg, ch, de, df, dg, dh] = [0, 0, 0, 0, 0, 0, 0, 0];
      for (let j = 0; j < own; j++) {
        const u = lower[a + j]!;
        const v = lower[b + j]!;
        const w = lower[c + j]!;
        const x = lower[d + j]!;
        let z = lower[e + j]!;
        ae += u * z;
        be += v * z;
        ce += w * z;
        de += x * z;
        z = lower[f + j]!;
        af += u * z;
        bf += v * z;
        cf += w * z;
        df += x * z;
        z = lower[g + j]!;
        ag += u * z;
        bg += v * z;
        cg += w * z;
        dg += x * z;
        z = lower[h + j]!;
        ah += u * z;
        bh += v * z;
        ch += w * z;
        dh += x * z;
      }
      // The few entries above the diagonal that come along are not read again.
      let at = r * left + k;
      rest[at] = rest[at]! - ae;
      rest[at + 1] = rest[at + 1]! - af;
      rest[at + 2] = rest[at + 2]! - ag;
      rest[at + 3] = rest[at + 3]! - ah;
      at += left;
      rest[at] = rest[at]! - be;
      rest[at + 1] = rest[at + 1]! - bf;
      rest[at + 2] = rest[at + 2]! - bg;
      rest[at + 3] = rest[at + 3]! - bh;
      at += left;
      rest[at] = rest[at]! - ce;
      rest[at + 1] = rest[at + 1]! - cf;
      rest[at + 2] = rest[at + 2]! - cg;
      rest[at + 3] = rest[at + 3]! - ch;
      at += left;
      rest[at] = rest[at]! - de;
      rest[at + 1] = rest[at + 1]! - df;
      rest[at + 2] = rest[at + 2]! - dg;
      rest[at + 3] = rest[at + 3]! - dh;
    }
  }
  for (; r < left; r++) {
    const row = (own + r) * own;
    for (let k = 0; k <= r; k++) {
      const other = (own + k) * own;
      let s = 0;
      for (let j = 0; j < own; j++) s += lower[row + j]! * lower[other + j]!;
      rest[r * left + k] = rest[r * left + k]! - s;
    }
  }
}

/**
 * Eliminates the own unknowns of a front, in place.
 *
 * @param lower rows of `own` entries for every unknown of the front, own ones first
 * @param rest lower triangle for the `left` unknowns of the rim, row by row
 * @throws RangeError when the matrix is not positive definite: something in it is held by nothing
 */
function eliminate({ lower, rest }: Known, own: number, left: number): void {
  for (let first = 0; first < own; first += 4) {
    const many = Math.min(4, own - first);
    if (many === 4) solveFourRows(lower, own, first * own, first);
    for (let i = first; i < first + many; i++) {
      const row = i * own;
      if (many < 4) solveRow(lower, own, row, first);
      for (let k = first; k <= i; k++) {
        const other = k * own;
        let s = lower[row + k]!;
        for (let j = 0; j < k; j++) s -= lower[row + j]! * lower[other + j]!;
        if (k < i) lower[row + k] = s / lower[other + k]!;
        else {
          if (!(s > 0))
            throw new RangeError('Something here is held by nothing: the plate would float away.');
          lower[row + k] = Math.sqrt(s);
        }
      }
    }
  }
  let i = own;
  for (; i + 3 < own + left; i += 4) solveFourRows(lower, own, i * own, own);
  for (; i < own + left; i++) solveRow(lower, own, i * own, own);
  takeFromRim(lower, rest, own, left);
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
    const left = front.rim.length;
    const lower = new Float64Array((own + left) * own);
    const rest = new Float64Array(left * left);
    for (let i = 0; i < own; i++) local[front.own[i]!] = i + 1;
    for (let i = 0; i < left; i++) local[front.rim[i]!] = own + i + 1;
    for (let i = 0; i < own; i++) {
      const v = front.own[i]!;
      for (let p = start[v]!; p < start[v + 1]!; p++) {
        const at = local[column[p]!]! - 1;
        if (at >= i) lower[at * own + i] = lower[at * own + i]! + value[p]!;
      }
      lower[i * own + i] = lower[i * own + i]! + extra[v]!;
    }
    for (const child of front.children) {
      const handed = known.get(child)!.rest;
      const width = child.rim.length;
      // In the order of elimination, as the parent's own and rim are: places only grow, and the parent's own come first.
      const places = new Int32Array(width);
      for (let i = 0; i < width; i++) places[i] = local[child.rim[i]!]! - 1;
      let mine = 0;
      while (mine < width && places[mine]! < own) mine++;
      for (let i = 0; i < width; i++) {
        const from = i * width;
        const pi = places[i]!;
        const inLower = pi * own;
        const inRest = (pi - own) * left - own;
        const end = Math.min(i + 1, mine);
        for (let k = 0; k < end; k++) {
          const at = inLower + places[k]!;
          lower[at] = lower[at]! + handed[from + k]!;
        }
        for (let k = mine; k <= i; k++) {
          const at = inRest + places[k]!;
          rest[at] = rest[at]! + handed[from + k]!;
        }
      }
    }
    for (let i = 0; i < own; i++) local[front.own[i]!] = 0;
    for (let i = 0; i < left; i++) local[front.rim[i]!] = 0;
    eliminate({ lower, rest }, own, left);
    return { lower, rest };
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
