import Joi from 'joi';
import { assertRange } from '../check';
import type { Point } from '../geometry';

export type StripsInput = {
  /** Run of edge or band to be covered. */
  runMm: number;
  /** Height of the edge; the grain of sawn strips stands across the run. */
  highMm: number;
  /** Thickness that a strip has when it is done, and what planing takes of it. */
  thickMm: number;
  planedMm: number;
  /** The block that they are sawn from: along the run, thickness that is sawn up; it is as long as the edge is high. */
  blockWideMm: number;
  blockThickMm: number;
  kerfMm: number;
  /** Slant of the joints against a square cut. */
  slantDeg: number;
  spares: number;
  /** The board that the blocks come from. */
  board?: { alongMm: number; acrossMm: number; thickMm: number };
};

export type StripsPlan = {
  /** Covered by one piece, less what its slanted joint takes. */
  eachMm: number;
  pieces: number;
  slicesPerBlock: number;
  blocks: number;
  blockLengthMm: number;
  /** How many of the blocks the board gives. */
  blocksInBoard?: number;
  enough?: boolean;
};

/** For trimming after gluing. mm. */
const OVERHANG_MM = 3;

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.strips`: `{runMm, highMm, thickMm, planedMm, blockWideMm, blockThickMm, kerfMm, slantDeg, spares, board?}`. */
export const stripsSchema = Joi.object({
  runMm: mm(1, 20_000),
  highMm: mm(1, 300),
  thickMm: mm(0.3, 20),
  planedMm: mm(0, 3),
  blockWideMm: mm(3, 600),
  blockThickMm: mm(1, 300),
  kerfMm: mm(0.2, 6),
  slantDeg: mm(0, 60),
  spares: Joi.number().integer().min(0).max(200).required(),
  board: Joi.object({ alongMm: mm(1, 6000), acrossMm: mm(1, 2000), thickMm: mm(1, 300) }),
});

/**
 * Registry `letin.strips`: pieces of sawn veneer side by side along an edge, sliced from blocks that are as long as the edge is
 * high; how many blocks, and whether a board gives them.
 *
 * @throws RangeError for a block too thin for one slice, a slant that eats the whole piece
 */
export function stripsPlan(input: StripsInput): StripsPlan {
  const { runMm, highMm, thickMm, planedMm, blockWideMm, blockThickMm, kerfMm, slantDeg, spares, board } =
    input;
  assertRange('The slant', slantDeg, '°', 0, 60);
  // A slanted joint is laid over its neighbour by the height it climbs.
  const eachMm = blockWideMm - highMm * Math.tan((slantDeg * Math.PI) / 180);
  if (eachMm <= 0)
    throw new RangeError(`A joint slanted by ${slantDeg}° takes all of a piece ${blockWideMm} mm wide. Saw wider blocks, or slant less.`); // prettier-ignore
  const pieces = Math.ceil(runMm / eachMm - 1e-9) + spares;
  const slice = thickMm + planedMm;
  // n slices and n − 1 kerfs.
  const slicesPerBlock = Math.floor((blockThickMm + kerfMm) / (slice + kerfMm) + 1e-9);
  if (slicesPerBlock < 1)
    throw new RangeError(`A block ${blockThickMm} mm thick gives no slice of ${slice.toFixed(1)} mm. Take a thicker block.`); // prettier-ignore
  const blocks = Math.ceil(pieces / slicesPerBlock);
  const blockLengthMm = highMm + 2 * OVERHANG_MM;
  if (!board) return { eachMm, pieces, slicesPerBlock, blocks, blockLengthMm };
  const fit = (room: number, size: number): number => Math.floor((room + kerfMm) / (size + kerfMm) + 1e-9);
  const blocksInBoard =
    fit(board.alongMm, blockLengthMm) * fit(board.acrossMm, blockWideMm) * fit(board.thickMm, blockThickMm);
  return {
    eachMm,
    pieces,
    slicesPerBlock,
    blocks,
    blockLengthMm,
    blocksInBoard,
    enough: blocksInBoard >= blocks,
  };
}

/** One strip at full size, the run of the edge along x: as it covers the edge, and with what stands over above and below. mm */
export function stripOutlines({ highMm, blockWideMm, slantDeg }: StripsInput): {
  outline: Point[];
  recess: Point[];
} {
  const lean = Math.tan((slantDeg * Math.PI) / 180);
  const slanted = (high: number): Point[] =>
    (
      [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ] as const
    ).map(([side, up]): Point => [
      (side * (blockWideMm - highMm * lean)) / 2 - (up * high * lean) / 2,
      (up * high) / 2,
    ]);
  return { outline: slanted(highMm), recess: slanted(highMm + 2 * OVERHANG_MM) };
}
