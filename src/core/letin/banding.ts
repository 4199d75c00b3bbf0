import Joi from 'joi';
import { assertRange } from '../check';
import { memory, practice, sourced, type Source } from '../sources';
import { cutFrom } from './cutting';

export type BandingInput = {
  /** Runs between corners, along the outer edge. mm */
  runsMm: readonly number[];
  /** The last run meets the first. */
  closed: boolean;
  /** Angle between two runs, inside. */
  cornerDeg: number;
  wideMm: number;
  /** The pattern comes again after so much; none for a plain line. mm */
  repeatMm?: number;
  kerfMm: number;
  /** One length as it is bought or made. mm */
  stockMm: number;
  spares: number;
};

export type BandingPiece = {
  outerMm: number;
  innerMm: number;
  /** Mitres at its two ends. */
  mitres: 0 | 1 | 2;
  /** Where the pattern is cut at the ends, from the beginning of a repeat, when it is laid out from the middle. mm */
  phaseMm?: number;
  /** What is taken out, or let in, at a joint in the middle, so that every corner shows the same. mm */
  middleMm?: number;
};

export type BandingPlan = {
  mitreDeg: number;
  pieces: BandingPiece[];
  stocks: number;
  leftMm: number[];
  /** Every corner shows the same place of the pattern without a joint in the middle. */
  cornersAlike: boolean;
  words: string;
};

/** Each piece is cut longer and trimmed on the shooting board. mm */
const TRIM_MM = sourced(2, memory('a millimetre at each end for the plane'));
/** A pattern that is off by less is not seen. mm */
const ALIKE_MM = sourced(0.3, memory('a third of a millimetre in a pattern is not seen'));
export const BANDING_SOURCE: Source = practice(
  'a pattern is laid out from the middle of each side, so that its ends are alike',
);

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.banding`: `{runsMm: […], closed, cornerDeg, wideMm, repeatMm?, kerfMm, stockMm, spares}`. */
export const bandingSchema = Joi.object({
  runsMm: Joi.array().items(mm(5, 10_000)).min(1).max(40).required(),
  closed: Joi.boolean().required(),
  cornerDeg: mm(20, 180),
  wideMm: mm(0.3, 100),
  repeatMm: Joi.number().min(1).max(1000),
  kerfMm: mm(0, 10),
  stockMm: mm(20, 10_000),
  spares: Joi.number().integer().min(0).max(20).required(),
});

/**
 * Registry `letin.banding`: lengths and mitres of a banding or stringing, where its pattern is cut so that the ends of each side
 * are alike, and how many lengths it takes.
 *
 * @throws RangeError for a side that its mitres eat up, a side longer than a length
 */
export function bandingPlan(input: BandingInput): BandingPlan {
  const { runsMm, closed, cornerDeg, wideMm, repeatMm, kerfMm, stockMm, spares } = input;
  assertRange('The angle of a corner', cornerDeg, '°', 20, 180);
  const mitreDeg = cornerDeg / 2;
  const shorter = wideMm / Math.tan((mitreDeg * Math.PI) / 180);
  const last = runsMm.length - 1;
  const corners = (i: number): 0 | 1 | 2 =>
    closed && runsMm.length > 1 ? 2 : last === 0 ? 0 : i === 0 || i === last ? 1 : 2;
  const pieces = runsMm.map((outerMm, i): BandingPiece => {
    const mitres = corners(i);
    const innerMm = outerMm - mitres * shorter;
    if (innerMm <= 0)
      throw new RangeError(
        `A side of ${outerMm} mm is eaten up by its mitres: the banding is ${wideMm} mm wide. Take a narrower one, or leave this side plain.`,
      );
    return { outerMm, innerMm, mitres, ...(repeatMm === undefined ? {} : laidOut(outerMm, repeatMm)) };
  });
  const lengths = pieces.map((p) => p.outerMm + TRIM_MM.value);
  const extra = Array.from({ length: spares }, () => Math.max(...lengths));
  const { stocks } = cutFrom([...lengths, ...extra], stockMm, kerfMm);
  const middles = pieces.flatMap((p) => p.middleMm ?? []);
  const cornersAlike = middles.every((m) => Math.abs(m - (middles[0] ?? 0)) <= ALIKE_MM.value);
  return {
    mitreDeg,
    pieces,
    stocks: stocks.length,
    leftMm: stocks.map((s) => s.leftMm),
    cornersAlike,
    words:
      repeatMm === undefined
        ? 'Cut a hair long and shoot the mitres to fit, the longest side first.'
        : cornersAlike
          ? 'Laid out from the middle of each side, every corner shows the same place of the pattern.'
          : 'Sides of these lengths end in different places of the pattern. Cut each side in two from the corners, and let the two meet in the middle, where the eye looks last.',
  };
}

/** A side whose middle is the middle of a repeat: what its ends show, and what would have to go for whole repeats. */
function laidOut(outerMm: number, repeatMm: number): { phaseMm: number; middleMm: number } {
  const half = outerMm / 2 - repeatMm / 2;
  // From the end back to the beginning of the repeat that is cut there.
  const phaseMm = ((-half % repeatMm) + repeatMm) % repeatMm;
  const whole = Math.round(outerMm / repeatMm);
  return { phaseMm, middleMm: outerMm - whole * repeatMm };
}
