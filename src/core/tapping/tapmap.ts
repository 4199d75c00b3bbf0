import { contours } from 'd3-contour';
import simplify from 'simplify-js';
import { errorFunction } from 'simple-statistics';
import Joi from 'joi';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { breathe, type JobContext } from '../check';
import {
  areaOf,
  areaOfAll,
  assertOutline,
  boundingBox,
  contains,
  intersectionOf,
  type Point,
  type Polygon,
} from '../geometry';
import { memory, sourced } from '../sources';

export type Tap = { x: number; y: number; hollow: boolean };
export type TapMapInput = {
  /** The area that is tapped, mm. */
  outline: Polygon;
  taps: Tap[];
  /** Over what distance solid or loose holds together, mm; a fifth of the area's size when not given. */
  reachMm?: number;
  /** Share of taps that are misheard, 0…0.4; 0.05 when not given. */
  errorShare?: number;
};
export type TapMap = {
  /** Outlines of what is more likely loose than solid, mm, the largest first. */
  looseOutlines: Polygon[];
  looseMm2: number;
  /** Area that is still undecided (between one and three chances in four), as a share of the whole. */
  openShare: number;
  /** Mean chance of being right over the area, 0.5…1. */
  confidence: number;
  /** Where a tap would tell most. */
  next: { x: number; y: number };
  /** Places where taps at one spot disagree; one of them should be tapped again. */
  disputed: { x: number; y: number }[];
};

const MOST_TAPS = 400;
/** Taps closer than this are at one spot: a knuckle is no smaller. */
const ONE_SPOT_MM = 6;

/** Input of `damage.tapmap`. */
export const tapMapSchema = Joi.object({
  outline: Joi.array()
    .items(Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2))
    .min(3)
    .max(500)
    .required(),
  taps: Joi.array()
    .items(
      Joi.object({
        x: Joi.number().required(),
        y: Joi.number().required(),
        hollow: Joi.boolean().required(),
      }),
    )
    .max(MOST_TAPS)
    .required(),
  reachMm: Joi.number().min(2).max(1000),
  errorShare: Joi.number().min(0).max(0.4),
});

/** Cells along the longer side of the area. */
const CELLS = 48;
/** Before any tap, wood is taken as more likely solid than loose. */
const PRIOR_MEAN = sourced(-0.2, memory('most of a panel that is tapped is sound'));

/** Matérn covariance (3/2): smooth, but with edges that may be sharp. */
const covariance = (d: number, reach: number): number => {
  const s = (Math.sqrt(3) * d) / reach;
  return (1 + s) * Math.exp(-s);
};

/** Normal distribution function. */
const normal = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;

/**
 * Noise of a tap that stands for being misheard now and then. A share e of ±1 flipped has variance 4e(1−e); twice that, because
 * misheard taps are few and far off rather than many and near, and neighbours must be able to outvote them.
 */
const tapNoise = (errorShare: number): number => Math.max(0.04, 8 * errorShare * (1 - errorShare));

/** So many taps first look round the whole area, so that a second loose place is not missed. */
const LOOK_ROUND_TAPS = 16;
/** How far the search for the boundary leans towards what is little known, in deviations. */
const BOUNDARY_LEAN = 1.5;

type Grid = { columns: number; rows: number; left: number; top: number; cell: number; inside: boolean[] };

function gridOver(outline: Polygon): Grid {
  const box = boundingBox(outline);
  const cell = Math.max(box.right - box.left, box.bottom - box.top) / CELLS;
  const columns = Math.max(2, Math.ceil((box.right - box.left) / cell));
  const rows = Math.max(2, Math.ceil((box.bottom - box.top) / cell));
  const inside = Array.from({ length: columns * rows }, (_, i) =>
    contains(outline, [
      box.left + ((i % columns) + 0.5) * cell,
      box.top + (Math.floor(i / columns) + 0.5) * cell,
    ]),
  );
  return { columns, rows, left: box.left, top: box.top, cell, inside };
}

const centre = (g: Grid, i: number): Point => [
  g.left + ((i % g.columns) + 0.5) * g.cell,
  g.top + (Math.floor(i / g.columns) + 0.5) * g.cell,
];

/** A knuckle needs room: the next tap is not asked for on the very rim. */
function offRim(g: Grid, i: number): boolean {
  const column = i % g.columns;
  return (
    column > 0 &&
    column < g.columns - 1 &&
    [i - 1, i + 1, i - g.columns, i + g.columns].every((j) => g.inside[j] === true)
  );
}

/** Outlines of cells whose value is above zero, in mm. */
function zeroOutlines(values: number[], g: Grid, outline: Polygon): Polygon[] {
  // A rim of solid cells closes outlines that run to the edge of the area; what lies beyond is cut off after.
  const [columns, rows] = [g.columns + 2, g.rows + 2];
  const padded = Array.from({ length: columns * rows }, (_, i) => {
    const c = Math.min(g.columns - 1, Math.max(0, (i % columns) - 1));
    const r = Math.min(g.rows - 1, Math.max(0, Math.floor(i / columns) - 1));
    return values[r * g.columns + c] ?? -1;
  });
  const found = contours().size([columns, rows]).thresholds([0])(padded)[0];
  const rings = (found?.coordinates ?? []).flatMap((polygon) =>
    polygon
      .slice(0, 1)
      .map((ring) =>
        ring.map(([x = 0, y = 0]): Point => [g.left + (x - 1) * g.cell, g.top + (y - 1) * g.cell]),
      ),
  );
  return intersectionOf(rings, [outline]);
}

/** Solid taps that have a hollow one at the same spot. */
const disputedTaps = (taps: readonly Tap[]): { x: number; y: number }[] =>
  taps
    .filter((t) => !t.hollow && taps.some((o) => o.hollow && Math.hypot(o.x - t.x, o.y - t.y) < ONE_SPOT_MM))
    .map(({ x, y }) => ({ x, y }));

/** A contour follows cells; an outline that a person drags needs only the points that bend it. mm. */
const SMOOTHING_MM = 1.5;

const simplified = (outline: Polygon): Polygon =>
  simplify(
    outline.map(([x, y]) => ({ x, y })),
    SMOOTHING_MM,
    true,
  ).map((p): Point => [p.x, p.y]);

/**
 * Registry `damage.tapmap`: from taps that sounded solid or hollow, the loose area, how sure that is, and where to tap next.
 *
 * A Gaussian process over the area (Matérn 3/2) takes the taps as noisy readings of a hidden field whose sign is loose or solid, so
 * a few misheard taps are outvoted by their neighbours. The first taps look round the whole area; after that the next tap is where
 * the boundary may run and is least known (the straddle rule: some deviations less the distance from undecided).
 *
 * @throws RangeError for an outline that is none, and for a tap that lies outside it
 */
export async function tapMap(
  { outline, taps, reachMm, errorShare = 0.05 }: TapMapInput,
  job: JobContext = {},
): Promise<TapMap> {
  assertOutline(outline);
  taps.forEach((t, i) => {
    if (!contains(outline, [t.x, t.y])) {
      throw new RangeError(
        `Tap ${i + 1} at ${Math.round(t.x)}, ${Math.round(t.y)} mm lies outside the area. Move it onto the wood or take it away.`,
      );
    }
  });
  const g = gridOver(outline);
  const reach = reachMm ?? Math.sqrt(areaOf(outline)) * 0.19;
  const mean = PRIOR_MEAN.value;
  const n = taps.length;
  const k = new Matrix(n, n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      const [a, b] = [taps[i], taps[j]];
      const value =
        a && b
          ? covariance(Math.hypot(a.x - b.x, a.y - b.y), reach) + (i === j ? tapNoise(errorShare) : 0)
          : 0;
      k.set(i, j, value);
      k.set(j, i, value);
    }
  }
  const cholesky = n > 0 ? new CholeskyDecomposition(k) : undefined;
  const weights =
    cholesky?.solve(Matrix.columnVector(taps.map((t) => (t.hollow ? 1 : -1) - mean))).to1DArray() ?? [];
  const lower = cholesky?.lowerTriangularMatrix.to2DArray() ?? [];
  const values: number[] = [];
  let [sure, open, cells, bestGain] = [0, 0, 0, -Infinity];
  let next = centre(g, Math.floor(g.inside.length / 2));
  for (let i = 0; i < g.inside.length; i++) {
    if (i % (g.columns * 8) === 0) await breathe(job, i / g.inside.length);
    const [x, y] = centre(g, i);
    const towards = taps.map((t) => covariance(Math.hypot(t.x - x, t.y - y), reach));
    const value = mean + towards.reduce((s, c, j) => s + c * (weights[j] ?? 0), 0);
    values.push(value);
    if (!g.inside[i]) continue;
    // Forward substitution: the variance that the taps take away.
    let taken = 0;
    const z: number[] = [];
    for (let r = 0; r < n; r++) {
      const row = lower[r] ?? [];
      let s = towards[r] ?? 0;
      for (let c = 0; c < r; c++) s -= (row[c] ?? 0) * (z[c] ?? 0);
      const v = s / (row[r] ?? 1);
      z.push(v);
      taken += v * v;
    }
    const deviation = Math.sqrt(Math.max(1e-9, 1 - taken));
    const hollow = normal(value / Math.hypot(deviation, 0.25));
    cells++;
    sure += Math.max(hollow, 1 - hollow);
    if (hollow > 0.25 && hollow < 0.75) open++;
    const gain = n < LOOK_ROUND_TAPS ? deviation : BOUNDARY_LEAN * deviation - Math.abs(value);
    if (gain > bestGain && offRim(g, i)) {
      bestGain = gain;
      next = [x, y];
    }
  }
  await breathe(job, 1);
  const looseOutlines = zeroOutlines(values, g, outline)
    .map(simplified)
    .filter((o) => o.length >= 3)
    .sort((a, b) => areaOf(b) - areaOf(a));
  return {
    looseOutlines,
    looseMm2: areaOfAll(looseOutlines),
    openShare: cells === 0 ? 1 : open / cells,
    confidence: cells === 0 ? 0.5 : sure / cells,
    next: { x: next[0], y: next[1] },
    disputed: disputedTaps(taps),
  };
}
