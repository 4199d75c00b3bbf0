import Joi from 'joi';
import { Matrix, solve } from 'ml-matrix';
import { assertRange } from '../check';
import { memory, published, sourced, type Source } from '../sources';

/** Two boards whose edges are to be drawn together; each bends in its own plane. */
export type CloseInput = {
  lengthMm: number;
  /** Width across the joint and thickness of each board. */
  boards: readonly [Board, Board];
  /** Gap between the edges at stations evenly spaced from one end to the other, mm. */
  gapsMm: readonly number[];
  /** Along the grain. */
  modulusMPa: number;
  /** What one clamp gives with a firm turn, and how many there are. */
  clampN: number;
  clamps: number;
};

type Board = { widthMm: number; thickMm: number };

export type ClosePlan = {
  /** Clamps it takes, and what each must give; the nearest that the shop can do where it does not close. */
  clamps: number;
  eachN: number;
  atMm: number[];
  /** What stays open at the stations of the input, mm. */
  openMm: number[];
  mostOpenMm: number;
  /** Pressure along the joint at those stations, kPa. */
  pressureKPa: number[];
  closes: boolean;
  /** A hand closes it. */
  byHand: boolean;
  verdict: string;
};

const gap = Joi.number().min(0).max(50).required();
const size = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
const board = Joi.object({ widthMm: size(5, 2000), thickMm: size(3, 200) });

/**
 * Input of `joint.close`: `{lengthMm, boards: [{widthMm, thickMm}, {…}], gapsMm: [3…101 stations], modulusMPa, clampN, clamps}`.
 */
export const closeSchema = Joi.object({
  lengthMm: size(50, 5000),
  boards: Joi.array().items(board).length(2).required(),
  gapsMm: Joi.array().items(gap).min(3).max(101).required(),
  modulusMPa: size(1000, 40_000),
  clampN: size(10, 50_000),
  clamps: Joi.number().integer().min(1).max(60).required(),
});

export const CLOSE_SOURCE: Source = published(
  'Bending of beams with shear (Timoshenko, Strength of Materials; Roark, beams)',
  'E I y⁗ = q with the edges as a stop; the shear of a short board by 12 E I / κ G A L²',
);

/** What wood glue bridges. mm. */
export const GLUE_BRIDGES_MM = sourced(0.1, memory('a wood glue holds across about a tenth of a millimetre'));
/** What two hands give. N. */
const BY_HAND_N = sourced(150, memory('hand pressure that is kept up while glue is put on'));
/** Stiffness in shear against that along the grain, and the form of a rectangle. */
const SHEAR_SHARE = sourced(
  1 / 14,
  memory('Wood Handbook, Table 5-1: G LR over E L is 0.06 to 0.1 for common hardwoods'),
);
const KAPPA = 5 / 6;

const NODES = 41;

/** Stiffness of both boards in series: they carry the same push, and share the gap by how much each gives. N mm². */
function stiffness({ boards, modulusMPa, lengthMm }: CloseInput): number {
  const gives = boards.map(({ widthMm, thickMm }) => {
    const bending = (modulusMPa * thickMm * widthMm ** 3) / 12;
    const shear =
      (12 * bending) / (KAPPA * SHEAR_SHARE.value * modulusMPa * thickMm * widthMm * lengthMm ** 2);
    return (1 + shear) / bending;
  });
  return 1 / gives.reduce((a, b) => a + b, 0);
}

/** A gap at any place, between two stations. */
const gapAt = (gaps: readonly number[], share: number): number => {
  const at = share * (gaps.length - 1);
  const i = Math.min(gaps.length - 2, Math.floor(at));
  const [a = 0, b = 0] = [gaps[i], gaps[i + 1]];
  return a + (b - a) * (at - i);
};

/** Bending of a free beam by second differences: the energy ½ uᵀ K u. */
function bendingMatrix(ei: number, h: number): Matrix {
  const k = Matrix.zeros(NODES, NODES);
  for (let i = 1; i < NODES - 1; i++) {
    const row: [number, number][] = [[i - 1, 1], [i, -2], [i + 1, 1]]; // prettier-ignore
    for (const [a, x] of row) for (const [b, y] of row) k.set(a, b, k.get(a, b) + (ei / h ** 3) * x * y);
  }
  return k;
}

/**
 * The edges under some clamps: how far each node closes, never through the other board. Found by taking nodes into touch and out
 * of it until none is pulled and none is through (an active set).
 */
function closed(
  k: Matrix,
  gaps: readonly number[],
  forces: readonly number[],
  start?: readonly boolean[],
): { u: number[]; push: number[]; touching: readonly boolean[] } {
  const scale = Math.max(...k.to1DArray()) || 1;
  // What touches under nearly the same force is nearly the same; at first as if all did, and what is pulled lets go.
  let touching = start ?? gaps.map(() => true);
  let found = { u: gaps.map(() => 0), push: gaps.map(() => 0), touching };
  for (let round = 0; round < MOST_ROUNDS; round++) {
    // A hair of a spring keeps a board that touches at one place from spinning away.
    const a = k.clone();
    const b = Matrix.columnVector(forces.slice());
    for (let i = 0; i < NODES; i++) {
      a.set(i, i, a.get(i, i) + scale * 1e-11);
      if (!touching[i]) continue;
      for (let j = 0; j < NODES; j++) a.set(i, j, i === j ? scale : 0);
      b.set(i, 0, scale * (gaps[i] ?? 0));
    }
    const u = solve(a, b).getColumn(0);
    const bent = k.mmul(Matrix.columnVector(u)).getColumn(0);
    const push = forces.map((f, i) => f - (bent[i] ?? 0));
    found = { u, push: push.map((p, i) => (touching[i] ? p : 0)), touching };
    // One node at a time: those that would go through first, then the one that is pulled the most.
    const through = worst(gaps.map((g, i) => (touching[i] ? 0 : (u[i] ?? 0) - g)));
    const pulled = worst(push.map((p, i) => (touching[i] ? -p : 0)));
    const change = through.by > 1e-9 ? through : pulled.by > 1e-7 ? pulled : undefined;
    if (!change) break;
    touching = touching.map((t, i) => (i === change.at ? !t : t));
  }
  return found;
}

/** Nodes are taken in and let go one by one; a beam of so many settles long before this. */
const MOST_ROUNDS = 400;

/** Where a list is largest, and how large. */
const worst = (list: readonly number[]): { at: number; by: number } =>
  list.reduce((best, by, at) => (by > best.by ? { at, by } : best), { at: -1, by: 0 });

/** Clamps evenly spaced, the outer ones half a space from the ends. */
const placesOf = (clamps: number, lengthMm: number): number[] =>
  Array.from({ length: clamps }, (_, i) => ((i + 0.5) / clamps) * lengthMm);

function forcesOf(clamps: number, each: number): number[] {
  const forces = Array.from({ length: NODES }, () => 0);
  for (const at of placesOf(clamps, NODES - 1)) {
    const i = Math.floor(at);
    const share = at - i;
    forces[i] = (forces[i] ?? 0) + each * (1 - share);
    if (share > 0) forces[i + 1] = (forces[i + 1] ?? 0) + each * share;
  }
  return forces;
}

/** Shaved by halving to within this. N. */
const FORCE_STEP_N = 1;

/**
 * Registry `joint.close`: what it takes to draw a gaping joint together: the fewest clamps and the least force of each so that no
 * more stays open than glue bridges, what is left open where the shop's clamps do not do it, and the pressure along the joint.
 *
 * @throws RangeError for sizes out of range, and a gap wider than the joint is long
 */
export function closePlan(input: CloseInput): ClosePlan {
  const { lengthMm, boards, gapsMm, clampN, clamps: owned } = input;
  const widest = Math.max(...gapsMm);
  if (widest > lengthMm)
    throw new RangeError('A gap is wider than the joint is long. Measure it again, across the joint.');
  if (gapsMm.some((g) => g < 0)) throw new RangeError('A gap cannot be less than nothing. Enter 0 where the edges touch.'); // prettier-ignore
  assertRange('The modulus', input.modulusMPa, 'MPa', 1000, 40_000);
  const h = lengthMm / (NODES - 1);
  const k = bendingMatrix(stiffness(input), h);
  const gaps = Array.from({ length: NODES }, (_, i) => gapAt(gapsMm, i / (NODES - 1)));
  let touched: readonly boolean[] | undefined;
  const openWith = (clamps: number, each: number): number => {
    const { u, touching } = closed(k, gaps, forcesOf(clamps, each), touched);
    touched = touching;
    return Math.max(...gaps.map((g, i) => g - (u[i] ?? 0)));
  };
  const leastOf = (clamps: number): number | undefined => {
    if (openWith(clamps, clampN) > GLUE_BRIDGES_MM.value) return undefined;
    let [low, high] = [0, clampN];
    while (high - low > FORCE_STEP_N) {
      const middle = (low + high) / 2;
      if (openWith(clamps, middle) > GLUE_BRIDGES_MM.value) low = middle;
      else high = middle;
    }
    return high;
  };
  const touches = widest <= GLUE_BRIDGES_MM.value;
  let [clamps, eachN] = [owned, clampN];
  let closes = touches;
  if (touches) [clamps, eachN] = [1, 0];
  // What all clamps together do not close, fewer do not either.
  const most = touches || openWith(owned, clampN) > GLUE_BRIDGES_MM.value ? 0 : owned;
  for (let n = 1; n <= most && !closes; n++) {
    const each = leastOf(n);
    if (each !== undefined) [clamps, eachN, closes] = [n, each, true];
  }
  const { u, push } = closed(k, gaps, forcesOf(clamps, eachN), touched);
  const share = (i: number): number => (i / (gapsMm.length - 1)) * (NODES - 1);
  const thin = Math.min(...boards.map((b) => b.thickMm));
  const openMm = gapsMm.map((g, i) => Math.max(0, g - (u[Math.round(share(i))] ?? 0)));
  const mostOpenMm = Math.max(...gaps.map((g, i) => Math.max(0, g - (u[i] ?? 0))));
  const byHand = closes && clamps * eachN <= BY_HAND_N.value;
  return {
    clamps,
    eachN,
    atMm: placesOf(clamps, lengthMm),
    openMm,
    mostOpenMm,
    pressureKPa: gapsMm.map((_, i) => (1000 * Math.max(0, push[Math.round(share(i))] ?? 0)) / (h * thin)),
    closes,
    byHand,
    verdict: verdictOf(closes, byHand, mostOpenMm, clamps, eachN),
  };
}

function verdictOf(closes: boolean, byHand: boolean, open: number, clamps: number, each: number): string {
  if (byHand) return 'It closes by hand: glue it, and clamp it only to hold it.';
  if (closes)
    return `${clamps} ${clamps === 1 ? 'clamp' : 'clamps'} of ${Math.ceil(each)} N each close it. That pull stays in the joint as long as it lives: where the edge may be planed, planing it is better.`;
  return `With all those clamps ${open.toFixed(open < 1 ? 2 : 1)} mm stay open. Plane the edges where their width may change; where it must stay, fill it with a sliver, or glue one half first and the other when that holds.`;
}
