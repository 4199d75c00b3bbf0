import Joi from 'joi';
import { assertRange } from '../check';
import {
  assertOutline,
  boundingBox,
  contains,
  distanceToBoundary,
  rotate,
  type Point,
  type Polygon,
} from '../geometry';
import { memory, practice, sourced } from '../sources';
import { outlineSchema } from './outlineSchema';

export type DutchmanInput = {
  /** What is gone, mm on its face. */
  outline: Polygon;
  /** The face it is on. */
  face: Polygon;
  grainDeg: number;
  depthMm: number;
  boardMm: number;
  /** Beyond the loss into sound wood. */
  marginMm?: number;
  /** Square ends, or ends that run out to a point along the grain, whose seams show less. */
  ends: 'square' | 'tapered';
};

export type DutchmanPlan = {
  /** What is cut out, mm on the face. */
  recess: Point[];
  alongMm: number;
  acrossMm: number;
  depthMm: number;
  /** Sides that lie open at an edge of the face. */
  openSides: number;
  block: { alongMm: number; acrossMm: number; thickMm: number };
  /** Floor and walls. */
  gluedMm2: number;
  order: string[];
};

export const DUTCHMAN_MARGIN_MM = sourced(2.5, practice('two to three millimetres into sound wood'));
/** Sound floor under the loss. mm. */
const FLOOR_MM = sourced(1, memory('a millimetre into sound wood'));
const LEAST_DEPTH_MM = sourced(4, memory('a thinner block curls and has no walls to be glued to'));
/** Left of the board under the recess. mm. */
const UNDER_MM = sourced(3, memory('less breaks through while it is pared'));
/** To fit, to plane, and to stand proud. mm. */
const FITTING_MM = { along: sourced(2, memory('to fit')), across: sourced(1, memory('to fit')), proud: sourced(1.5, practice('left proud and planed')) }; // prettier-ignore
/** Rise over run of a tapered end. */
const TAPER = sourced(0.5, memory('ends slanted at about 27° to the grain hide in its lines'));
/** Nearer to an edge than this the wall would break out: the recess runs through. mm. */
const WALL_MM = sourced(4, memory('a thinner wall breaks out'));

/** Input of `letin.dutchman`: `{outline: [[xMm, yMm]…], face: […], grainDeg, depthMm, boardMm, marginMm?, ends: 'square' | 'tapered'}`. */
export const dutchmanSchema = Joi.object({
  outline: outlineSchema,
  face: outlineSchema,
  grainDeg: Joi.number().min(-360).max(360).required(),
  depthMm: Joi.number().min(0.1).max(200).required(),
  boardMm: Joi.number().min(1).max(200).required(),
  marginMm: Joi.number().min(0).max(30),
  ends: Joi.string().valid('square', 'tapered').required(),
});

/**
 * Registry `letin.dutchman`: the recess that is cut out round a loss, along the grain and as small as it can be with sound margins,
 * and the block that is let in.
 *
 * @throws RangeError for a loss over the edge of the face, a depth over the board
 */
export function dutchmanPlan(input: DutchmanInput): DutchmanPlan {
  const { outline, face, grainDeg, depthMm, boardMm, marginMm = DUTCHMAN_MARGIN_MM.value, ends } = input;
  assertOutline(outline);
  assertOutline(face);
  assertRange('The margin', marginMm, 'mm', 0, 30);
  if (depthMm > boardMm)
    throw new RangeError(`The loss is ${depthMm} mm deep and the board only ${boardMm} mm thick. Measure its depth again.`); // prettier-ignore
  if (outline.some((p) => !contains(face, p) && distanceToBoundary(p, face) > 0.5))
    throw new RangeError(
      'The recess would lie over the edge of the face. Drag the outline back onto the wood.',
    );
  const turn = (p: Point): Point => rotate(p, -grainDeg);
  const loss = boundingBox(outline.map(turn));
  const board = boundingBox(face.map(turn));
  // A wall too thin to stand is taken too: the recess runs out at that edge.
  const runsOut = (to: number, edge: number): { at: number; open: boolean } =>
    Math.abs(edge - to) < WALL_MM.value ? { at: edge, open: true } : { at: to, open: false };
  const left = runsOut(loss.left - marginMm, board.left);
  const right = runsOut(loss.right + marginMm, board.right);
  const top = runsOut(loss.top - marginMm, board.top);
  const bottom = runsOut(loss.bottom + marginMm, board.bottom);
  const acrossMm = bottom.at - top.at;
  const tip = ends === 'tapered' ? acrossMm / 2 / TAPER.value : 0;
  const reach = (side: { at: number; open: boolean }, sign: 1 | -1): number => {
    if (side.open || tip === 0) return side.at;
    const to = side.at + sign * tip;
    return sign > 0 ? Math.min(to, board.right - WALL_MM.value) : Math.max(to, board.left + WALL_MM.value);
  };
  const [from, to] = [reach(left, -1), reach(right, 1)];
  const middle = (top.at + bottom.at) / 2;
  const corners: Point[] = [
    [left.at, top.at],
    [right.at, top.at],
    ...(to > right.at ? [[to, middle] as Point] : []),
    [right.at, bottom.at],
    [left.at, bottom.at],
    ...(from < left.at ? [[from, middle] as Point] : []),
  ];
  const deep = Math.min(boardMm - UNDER_MM.value, Math.max(LEAST_DEPTH_MM.value, depthMm + FLOOR_MM.value));
  const depth = depthMm + FLOOR_MM.value > boardMm - UNDER_MM.value ? boardMm : deep;
  const alongMm = to - from;
  const openSides = [left, right, top, bottom].filter((s) => s.open).length;
  const walls = 2 * alongMm + 2 * acrossMm;
  return {
    recess: corners.map((p) => rotate(p, grainDeg)),
    alongMm,
    acrossMm,
    depthMm: depth,
    openSides,
    block: {
      alongMm: alongMm + FITTING_MM.along.value,
      acrossMm: acrossMm + FITTING_MM.across.value,
      thickMm: depth + FITTING_MM.proud.value,
    },
    gluedMm2: (depth < boardMm ? alongMm * acrossMm : 0) + walls * depth,
    order: [
      'Knife the two long lines with the grain first, then the ends: a line that is cut stops the chisel.',
      'Saw or rout to a hair inside the lines; pare to them, the walls a trace under-cut.',
      depth < boardMm ? 'Level the floor with a router plane or a wide chisel.' : 'It goes through: back it, and pare from both faces.', // prettier-ignore
      'Plane the block to the recess, not the recess to the block; growth rings as in the board.',
      'Glue on floor and walls; a caul over it, clamps pulling it into the corner that shows most.',
    ],
  };
}
