import Joi from 'joi';
import { inverse, Matrix, solve } from 'ml-matrix';
import { breathe, type JobContext } from '../check';
import { deltaE00, labSchema, type Lab } from '../colour';
import { memory, sourced } from '../sources';
import { coatedOnce, coatSchema, knownSpectrum, readyCoat, seenOf, type Coat, type Ground } from './coats';
import { SPREAD } from './spread';

/** A board as it was made: its bare wood, what went on in how many coats from the first on, and the colour it had in the end. */
export type Board = {
  ground: Lab;
  /** `share`: how much of its colour is in a coat that was thinned, 0…1; all of it when not given. */
  coats: readonly { id: string; coats: number; share?: number }[];
  measured: Lab;
};
export type FitInput = { products: readonly Coat[]; boards: readonly Board[]; photoSd?: number };
export type FittedProduct = {
  id: string;
  /** Natural logarithm of how much more it works in red, green and blue light than its swatch says, and how sure that is. */
  gain: Lab;
  gainSd: Lab;
  boards: number;
  /** Mean difference between boards with it and their predictions: before and after learning. ΔE00 */
  before: number;
  after: number;
};
export type Fit = {
  products: FittedProduct[];
  /** Covariance of all gains, product by product, three each. */
  covariance: number[][];
  /** Standard deviation of a board's photo along each axis, as the boards show it. CIELAB */
  photoSd: number;
  /** Boards that do not go with the others: a bad photo, another tin. */
  doubtful: number[];
};

/**
 * What is known of a product before any board, as standard deviations of natural logarithms: its strength as a whole, and its colour, a third
 * of the spectrum against the others.
 */
export const PRIOR = {
  strength: sourced(0.5, memory('a tin may be half or twice as strong as its swatch')),
  colour: sourced(0.15, memory('and lean a little to one side')),
};
/** A board further off than this, in standard deviations of three axes, counts less the further it is (chi-square, 99 %). */
const DOUBTFUL_SD = 3.37;
/** So many boards the stated photo spread is worth beside what the boards show. */
const SPREAD_WEIGHT = 6;
const ROUNDS = 30;
const SETTLED = 1e-5;
const NUDGE = 1e-3;

/** Input of `colour.fit`. */
export const fitSchema = Joi.object({
  products: Joi.array().items(coatSchema).unique('id').min(1).max(60).required(),
  boards: Joi.array()
    .items(
      Joi.object({
        ground: labSchema.required(),
        coats: Joi.array()
          .items(
            Joi.object({
              id: Joi.string().max(100).required(),
              coats: Joi.number().integer().min(1).max(20).required(),
              share: Joi.number().greater(0).max(1),
            }),
          )
          .min(1)
          .max(20)
          .required(),
        measured: labSchema.required(),
      }),
    )
    .max(500)
    .required(),
  photoSd: Joi.number().min(0.1).max(20),
});

const tripleOf = (values: readonly number[], k: number): Lab => [
  values[3 * k] ?? 0,
  values[3 * k + 1] ?? 0,
  values[3 * k + 2] ?? 0,
];

/** The colour a board is expected to have with these gains. */
export function boardColour(
  board: Omit<Board, 'measured'>,
  products: ReadonlyMap<string, Coat>,
  gains: ReadonlyMap<string, Lab>,
): Lab {
  let now: Ground = { spectrum: knownSpectrum(board.ground), wetting: 0 };
  for (const { id, coats, share = 1 } of board.coats) {
    const product = products.get(id);
    if (!product)
      throw new RangeError(
        `A board names “${id}”, which is not among the products. Take the board out, or put the product in.`,
      );
    const strength = product.strength * share;
    const ready = readyCoat({ ...product, strength, gain: gains.get(id) ?? [0, 0, 0] });
    for (let n = 0; n < coats; n++) now = coatedOnce(now, ready);
  }
  return seenOf(now);
}

/**
 * Registry `colour.fit`: learns from test boards how strong each product is and which way its colour leans.
 *
 * Gauss–Newton steps to the most likely gains, with what is known before as a prior; boards that do not go with the rest count less.
 *
 * @throws RangeError for a board with a product that is not given
 */
export async function fitBoards(input: FitInput, job: JobContext = {}): Promise<Fit> {
  const { products, boards } = input;
  const stated = input.photoSd ?? SPREAD.photo.value;
  const byId = new Map(products.map((p) => [p.id, p]));
  const at = new Map(products.map((p, k) => [p.id, k]));
  const size = 3 * products.length;
  const gainsOf = (values: readonly number[]): Map<string, Lab> =>
    new Map(products.map((p, k) => [p.id, tripleOf(values, k)]));
  const prior = priorPrecision(products.length);
  let values = new Array<number>(size).fill(0);
  let sd = stated;
  let weights = boards.map(() => 1);
  let precision = prior;
  for (let round = 0; round < ROUNDS; round++) {
    await breathe(job, round / ROUNDS);
    const gains = gainsOf(values);
    const normal = prior.clone();
    const pull = prior.mmul(Matrix.columnVector(values)).mul(-1);
    let off = 0;
    boards.forEach((board, b) => {
      const expected = boardColour(board, byId, gains);
      const residual = board.measured.map((v, i) => v - (expected[i] ?? 0));
      const far = Math.hypot(...residual) / sd;
      const weight = far > DOUBTFUL_SD ? (DOUBTFUL_SD / far) ** 2 : 1;
      weights[b] = weight;
      off += weight * residual.reduce((s, r) => s + r * r, 0);
      const columns = slopesOf(board, byId, gains, expected, at);
      const scale = weight / (sd * sd);
      for (const { p, slope } of columns) {
        pull.set(p, 0, pull.get(p, 0) + scale * slope.reduce((s, v, i) => s + v * (residual[i] ?? 0), 0));
        for (const other of columns)
          normal.set(
            p,
            other.p,
            normal.get(p, other.p) + scale * slope.reduce((s, v, i) => s + v * (other.slope[i] ?? 0), 0),
          );
      }
    });
    precision = normal;
    const step = solve(normal, pull).to1DArray();
    // A long first step may run past: it is held to one natural unit.
    const longest = Math.max(...step.map(Math.abs));
    const held = Math.min(1, 1 / Math.max(longest, 1e-12));
    values = values.map((v, i) => v + held * (step[i] ?? 0));
    const counted = weights.reduce((a, b) => a + b, 0);
    sd = Math.sqrt((3 * SPREAD_WEIGHT * stated ** 2 + off) / (3 * SPREAD_WEIGHT + 3 * counted));
    if (longest < SETTLED) break;
  }
  const covariance = inverse(precision).to2DArray();
  const gains = gainsOf(values);
  const none = new Map<string, Lab>();
  const errors = boards.map((board) => ({
    ids: board.coats.map((c) => c.id),
    before: deltaE00(boardColour(board, byId, none), board.measured),
    after: deltaE00(boardColour(board, byId, gains), board.measured),
  }));
  const mean = (list: readonly number[]): number =>
    list.length === 0 ? 0 : list.reduce((a, b) => a + b, 0) / list.length;
  return {
    products: products.map((p, k) => {
      const own = errors.filter((e) => e.ids.includes(p.id));
      const spread = [0, 1, 2].map((i) => Math.sqrt(covariance[3 * k + i]?.[3 * k + i] ?? 0));
      return {
        id: p.id,
        gain: tripleOf(values, k),
        gainSd: tripleOf(spread, 0),
        boards: own.length,
        before: mean(own.map((e) => e.before)),
        after: mean(own.map((e) => e.after)),
      };
    }),
    covariance,
    photoSd: sd,
    doubtful: weights.flatMap((w, b) => (w < 0.5 ? [b] : [])),
  };
}

/** What is known before: each gain is its product's strength plus a lean of its own. */
function priorPrecision(count: number): Matrix {
  const [strength, lean] = [PRIOR.strength.value ** 2, PRIOR.colour.value ** 2];
  const one = inverse(
    new Matrix([0, 1, 2].map((i) => [0, 1, 2].map((j) => strength + (i === j ? lean : 0)))),
  );
  const all = Matrix.zeros(3 * count, 3 * count);
  for (let k = 0; k < count; k++) all.setSubMatrix(one, 3 * k, 3 * k);
  return all;
}

/** How the expected colour moves with each gain that the board knows. */
function slopesOf(
  board: Omit<Board, 'measured'>,
  products: ReadonlyMap<string, Coat>,
  gains: ReadonlyMap<string, Lab>,
  expected: Lab,
  at: ReadonlyMap<string, number>,
): { p: number; slope: number[] }[] {
  const ids = [...new Set(board.coats.map((c) => c.id))];
  return ids.flatMap((id) => {
    const place = at.get(id);
    if (place === undefined) return [];
    return [0, 1, 2].map((i) => {
      const own = gains.get(id) ?? [0, 0, 0];
      const moved = new Map(gains).set(
        id,
        tripleOf(
          own.map((v, j) => v + (i === j ? NUDGE : 0)),
          0,
        ),
      );
      const there = boardColour(board, products, moved);
      return { p: 3 * place + i, slope: there.map((v, j) => (v - (expected[j] ?? 0)) / NUDGE) };
    });
  });
}

/**
 * A predicted colour and its standard deviation along each axis, after what the boards have taught.
 *
 * @throws RangeError for a product that is not given, or that the fit does not know
 */
export function predicted(
  board: Omit<Board, 'measured'>,
  products: readonly Coat[],
  fit: Fit,
): { lab: Lab; sd: Lab } {
  const byId = new Map(products.map((p) => [p.id, p]));
  const at = new Map(fit.products.map((p, k) => [p.id, k]));
  const unknown = board.coats.find((c) => !at.has(c.id));
  if (unknown)
    throw new RangeError(
      `Nothing was learned or supposed of “${unknown.id}”. Give it to the fit with the others.`,
    );
  const gains = new Map(fit.products.map((p) => [p.id, p.gain]));
  const lab = boardColour(board, byId, gains);
  const columns = slopesOf(board, byId, gains, lab, at);
  const variance = lab.map((_, i) =>
    columns.reduce(
      (s, a) =>
        columns.reduce(
          (t, b) => t + (a.slope[i] ?? 0) * (fit.covariance[a.p]?.[b.p] ?? 0) * (b.slope[i] ?? 0),
          s,
        ),
      0,
    ),
  );
  return { lab, sd: tripleOf(variance.map(Math.sqrt), 0) };
}
