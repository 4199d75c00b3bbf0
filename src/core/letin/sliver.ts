import Joi from 'joi';
import { assertRange } from '../check';
import type { Point } from '../geometry';
import { memory, practice, sourced } from '../sources';

export type SliverInput = {
  lengthMm: number;
  /** Widths of the gap at stations evenly spaced along it. mm. */
  gapsMm: readonly number[];
  depthMm: number;
  /** How far the crack moves over the year. mm; nothing when it is not known. */
  movesMm?: number;
};

export type SliverPlan = {
  /** Thickness at its upper edge, at the stations: a little more than the gap, so that it wedges. */
  topMm: number[];
  /** At its lower edge. */
  bottomMm: number[];
  highMm: number;
  /** Pieces end to end, each no longer than can be split straight, with their lengths. */
  piecesMm: number[];
  glued: 'both' | 'one';
  words: string;
};

/** Wider than the gap at the top, so that it wedges before it is down. mm. */
const WEDGES_MM = sourced(
  0.2,
  memory('a sliver that is two tenths fuller than its gap goes down two thirds by hand'),
);
/** Each side leans by so much, rise over run. */
const TAPER = sourced(0.03, memory('about two degrees a side'));
const PROUD_MM = sourced(3, practice('left proud and pared off'));
/** Longer slivers break before they are in. mm. */
const LONGEST_MM = sourced(300, memory('a hand’s span is straight and does not break'));
/** A crack that moves more than this is glued on one side. mm. */
const MOVES_MM = sourced(
  0.3,
  practice('a stiff fill in a moving crack breaks out or splits the board further'),
);
/** A lower edge that runs out to nothing is drawn as a line. mm */
const LEAST_DRAWN_MM = 0.1;
const LEAST_GAP_MM = 0.2;

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.sliver`: `{lengthMm, gapsMm: [2…101 stations], depthMm, movesMm?}`. */
export const sliverSchema = Joi.object({
  lengthMm: mm(5, 5000),
  gapsMm: Joi.array().items(mm(0, 50)).min(2).max(101).required(),
  depthMm: mm(0.5, 200),
  movesMm: Joi.number().min(0).max(50),
});

/**
 * Registry `letin.sliver`: tapered slivers for a gap that is not drawn together: thickness along it, height, pieces, and whether
 * they are glued on both sides.
 *
 * @throws RangeError for a gap that is none, or wider than it is long
 */
export function sliverPlan({ lengthMm, gapsMm, depthMm, movesMm }: SliverInput): SliverPlan {
  assertRange('The depth', depthMm, 'mm', 0.5, 200);
  const widest = Math.max(...gapsMm);
  if (widest < LEAST_GAP_MM)
    throw new RangeError('The gap is finer than two tenths of a millimetre: no sliver goes in. Draw thin glue into it instead.'); // prettier-ignore
  if (widest > lengthMm) throw new RangeError('The gap is wider than it is long. Let in a block instead.');
  const highMm = depthMm + PROUD_MM.value;
  const topMm = gapsMm.map((g) => g + WEDGES_MM.value + 2 * TAPER.value * PROUD_MM.value);
  const bottomMm = topMm.map((t) => Math.max(0, t - 2 * TAPER.value * highMm));
  const count = Math.ceil(lengthMm / LONGEST_MM.value - 1e-9);
  const glued = movesMm !== undefined && movesMm > MOVES_MM.value ? 'one' : 'both';
  return {
    topMm,
    bottomMm,
    highMm,
    piecesMm: Array.from({ length: count }, () => lengthMm / count),
    glued,
    words:
      glued === 'one'
        ? `It moves ${(movesMm ?? 0).toFixed(1)} mm over the year: glue on one side only, so that the other can open and close.`
        : 'Glue on both sides, grain along the crack, split rather than sawn so that it follows.',
  };
}

/** The sliver from above at full size, its grain along x: its upper edge, and its lower edge inside that. mm */
export function sliverOutlines({ topMm, bottomMm, piecesMm }: SliverPlan): {
  outline: Point[];
  recess: Point[];
} {
  const long = piecesMm.reduce((a, b) => a + b, 0);
  const around = (thick: readonly number[]): Point[] => {
    const edge = (sign: 1 | -1): Point[] =>
      thick.map((t, i) => [(long * i) / (thick.length - 1), (sign * t) / 2]);
    return [...edge(-1), ...edge(1).reverse()];
  };
  return { outline: around(topMm), recess: around(bottomMm.map((t) => Math.max(LEAST_DRAWN_MM, t))) };
}
