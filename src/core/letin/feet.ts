import Joi from 'joi';
import { memory, sourced } from '../sources';

/** A foot where it stands, seen from above, and the gap under it when the others carry. mm. */
export type Foot = { name: string; xMm: number; yMm: number; gapMm: number };

export type FeetInput = { feet: readonly Foot[]; way: 'add' | 'take' };

export type FeetPlan = {
  /** Wood at each foot: added under it, or taken off it. mm. */
  changes: { name: string; mm: number }[];
  totalMm: number;
  /** It stood level already. */
  level: boolean;
  words: string;
};

/** A gap less than this is not felt. mm. */
export const FELT_MM = sourced(0.2, memory('less than two tenths does not rock under a hand'));

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.feet`: `{feet: [{name, xMm, yMm, gapMm}…], way: 'add' | 'take'}`, three to twelve feet. */
export const feetSchema = Joi.object({
  feet: Joi.array()
    .items(
      Joi.object({ name: Joi.string().min(1).max(40).required(), xMm: mm(-5000, 5000), yMm: mm(-5000, 5000), gapMm: mm(0, 200) }), // prettier-ignore
    )
    .min(3)
    .max(12)
    .required(),
  way: Joi.string().valid('add', 'take').required(),
});

/** Floor under three feet, as the height of a plane over any place; nothing when they stand in a line. */
function planeThrough(a: Foot, b: Foot, c: Foot): ((f: Foot) => number) | undefined {
  const det = (b.xMm - a.xMm) * (c.yMm - a.yMm) - (c.xMm - a.xMm) * (b.yMm - a.yMm);
  if (Math.abs(det) < 1e-6) return undefined;
  const [hb, hc] = [b.gapMm - a.gapMm, c.gapMm - a.gapMm];
  const slopeX = (hb * (c.yMm - a.yMm) - hc * (b.yMm - a.yMm)) / det;
  const slopeY = (hc * (b.xMm - a.xMm) - hb * (c.xMm - a.xMm)) / det;
  return (f) => a.gapMm + slopeX * (f.xMm - a.xMm) + slopeY * (f.yMm - a.yMm);
}

const EXACT_MM = 1e-9;

/**
 * Registry `letin.feet`: how much wood is added under each foot, or taken off each, so that a piece that rocks stands on all of
 * them; the least in all. The best floor always goes through three feet, so all of those are tried.
 *
 * @throws RangeError for feet that all stand in a line
 */
export function feetPlan({ feet, way }: FeetInput): FeetPlan {
  // A foot that hangs over the floor by its gap is short; adding brings the floor up to it, taking brings the others to it.
  const sign = way === 'add' ? 1 : -1;
  const gaps = feet.map((f) => f.gapMm);
  let best: number[] | undefined;
  for (const [i, a] of feet.entries())
    for (const [j, b] of feet.slice(i + 1).entries())
      for (const c of feet.slice(i + j + 2)) {
        const floor = planeThrough(a, b, c);
        if (!floor) continue;
        const changes = feet.map((f) => sign * (f.gapMm - floor(f)));
        if (changes.some((change) => change < -EXACT_MM)) continue;
        if (!best || better(changes, best, gaps)) best = changes;
      }
  if (!best) throw new RangeError('The feet stand in a line, and a line has no floor. Enter where each foot stands.'); // prettier-ignore
  const changes = feet.map((f, i) => ({ name: f.name, mm: Math.max(0, best[i] ?? 0) }));
  const totalMm = sum(changes.map((c) => c.mm));
  const level = changes.every((c) => c.mm < FELT_MM.value);
  const told = changes.filter((c) => c.mm >= FELT_MM.value).map((c) => `${c.name} ${c.mm.toFixed(1)} mm`);
  return {
    changes,
    totalMm,
    level,
    words: level
      ? 'It stands on all its feet: what is left is not felt.'
      : way === 'add'
        ? `Build up: ${told.join(', ')}.`
        : `Take off: ${told.join(', ')}. Half at a time, and stand it down again before the rest.`,
  };
}

/** Less wood; of as much the one that changes the feet that hang. */
function better(a: readonly number[], b: readonly number[], gaps: readonly number[]): boolean {
  const less = sum(b) - sum(a);
  if (Math.abs(less) > EXACT_MM) return less > 0;
  const off = (list: readonly number[]): number => sum(list.map((c, i) => Math.abs(c - (gaps[i] ?? 0))));
  return off(a) < off(b) - EXACT_MM;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
