import Joi from 'joi';
import { assertRange } from '../check';
import {
  areaOf,
  assertOutline,
  boundingBox,
  centroidOf,
  offsetOutline,
  rotate,
  type Point,
  type Polygon,
} from '../geometry';
import { memory, practice, sourced, type Source } from '../sources';
import { outlineSchema } from './outlineSchema';

export type PartInput = {
  /** Of the good one, as it was traced. mm */
  outline: Polygon;
  /** Grain of the good one in that drawing, clockwise from the x axis. */
  grainDeg: number;
  /** Left for right: a part of the other side. */
  mirrored: boolean;
  thickMm: number;
  /** Kerf of the saw: the line is cut on its waste side. mm */
  kerfMm: number;
  copies: number;
  spares: number;
  /** The board it comes from: along and across its grain. mm */
  boardLongMm: number;
  boardWideMm: number;
};

export type PartPlan = {
  /** The part, its grain along x, its middle at 0,0. */
  outline: Point[];
  /** The middle of the saw's path round it. */
  sawLine: Point[];
  areaMm2: number;
  /** Where its weight hangs, from the middle of its box. */
  centroid: Point;
  /** One blank, with room to hold and plane. mm */
  blank: { alongMm: number; acrossMm: number; thickMm: number };
  /** Blanks side by side and end to end on one board. */
  perBoard: number;
  boards: number;
  /** Left of the board at its end when the last blank is off. mm */
  leftMm: number;
  /** Narrowest place across the grain: wood breaks there. */
  shortGrainMm: number;
  words: string;
};

/** Room round a part: to hold it, and to plane it to the good one. mm */
const ROOM_MM = sourced(5, memory('to hold it and to plane it to the good one'));
const PLANED_MM = sourced(2, memory('to plane both faces'));
/** Narrower along the grain than this share of its height, a part breaks. */
const SHORT_GRAIN = sourced(0.25, memory('grain that is shorter than a quarter of its height snaps'));
export const PART_SOURCE: Source = practice(
  'grain in a new part runs as in the good one; the new one is planed to the old, not the old to the new',
);

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.part`: `{outline, grainDeg, mirrored, thickMm, kerfMm, copies, spares, boardLongMm, boardWideMm}`. */
export const partSchema = Joi.object({
  outline: outlineSchema,
  grainDeg: mm(-360, 360),
  mirrored: Joi.boolean().required(),
  thickMm: mm(0.3, 300),
  kerfMm: mm(0, 10),
  copies: Joi.number().integer().min(1).max(200).required(),
  spares: Joi.number().integer().min(0).max(50).required(),
  boardLongMm: mm(10, 10_000),
  boardWideMm: mm(5, 3000),
});

/**
 * Registry `letin.part`: a new part from the outline of the good one: mirrored where it belongs to the other side, its grain laid
 * along the board, the path of the saw, blanks and boards.
 *
 * @throws RangeError for an outline that crosses itself, or a blank larger than the board
 */
export function partPlan(input: PartInput): PartPlan {
  const { outline, grainDeg, mirrored, thickMm, kerfMm, copies, spares, boardLongMm, boardWideMm } = input;
  assertOutline(outline);
  assertRange('The thickness', thickMm, 'mm', 0.3, 300);
  const along = outline.map((p) => rotate(p, -grainDeg));
  const turned = mirrored ? along.map(([x, y]): Point => [-x, y]).reverse() : along;
  const box = boundingBox(turned);
  const middle: Point = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const part = turned.map(([x, y]): Point => [x - middle[0], y - middle[1]]);
  const [long, wide] = [box.right - box.left, box.bottom - box.top];
  const [path] = kerfMm > 0 ? offsetOutline(part, kerfMm / 2) : [part];
  const blank = {
    alongMm: long + 2 * ROOM_MM.value,
    acrossMm: wide + 2 * ROOM_MM.value,
    thickMm: thickMm + PLANED_MM.value,
  };
  const inRow = Math.floor((boardLongMm + kerfMm) / (blank.alongMm + kerfMm) + 1e-9);
  const rows = Math.floor((boardWideMm + kerfMm) / (blank.acrossMm + kerfMm) + 1e-9);
  const perBoard = inRow * rows;
  if (perBoard < 1)
    throw new RangeError(
      `The blank of ${blank.alongMm.toFixed(0)} × ${blank.acrossMm.toFixed(0)} mm does not fit the board of ${boardLongMm} × ${boardWideMm} mm with its grain along it. Take another board, or glue one up.`,
    );
  const wanted = copies + spares;
  const shortGrainMm = narrowestAlong(part);
  return {
    outline: part,
    sawLine: [...(path ?? part)],
    areaMm2: areaOf(part),
    centroid: centroidOf(part),
    blank,
    perBoard,
    boards: Math.ceil(wanted / perBoard),
    leftMm: boardLongMm - Math.min(inRow, Math.ceil(wanted / rows)) * (blank.alongMm + kerfMm),
    shortGrainMm,
    words:
      shortGrainMm < SHORT_GRAIN.value * wide
        ? `The grain is only ${shortGrainMm.toFixed(0)} mm long at its narrowest: turn the grain as in the good one, or back it with a spline.`
        : 'Saw outside the line, and plane it to the good one.',
  };
}

const STRIPS = 60;
/** Within so much of its top and bottom every outline is short. */
const TIPS_SHARE = 0.1;

/** The shortest run of grain through a part, over its height but for the tips. mm */
function narrowestAlong(part: Polygon): number {
  const { top, bottom } = boundingBox(part);
  let least = Infinity;
  for (let i = 0; i < STRIPS; i++) {
    const y = top + (bottom - top) * (TIPS_SHARE + ((1 - 2 * TIPS_SHARE) * (i + 0.5)) / STRIPS);
    const at = part
      .flatMap((a, n): number[] => {
        const b = part[(n + 1) % part.length] ?? a;
        return a[1] <= y === b[1] <= y ? [] : [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
      })
      .sort((a, b) => a - b);
    for (let n = 0; n + 1 < at.length; n += 2) least = Math.min(least, (at[n + 1] ?? 0) - (at[n] ?? 0));
  }
  return least;
}
