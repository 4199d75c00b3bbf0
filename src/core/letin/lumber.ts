import Joi from 'joi';
import { memory, sourced } from '../sources';

/** A board in the rack, its length along the grain. */
export type Lumber = {
  name: string;
  species: string;
  alongMm: number;
  acrossMm: number;
  thickMm: number;
  note: string;
};

/** Blocks of one size that are to be sawn, their grain along the board. */
export type Blanks = { alongMm: number; acrossMm: number; thickMm: number; count: number };

export type LumberInput = {
  blanks: Blanks;
  boards: readonly ({ id: string } & Pick<Lumber, 'species' | 'alongMm' | 'acrossMm' | 'thickMm'>)[];
  /** The wood that is wanted; another is only taken where that gives too few. */
  species: string;
  kerfMm: number;
};

/** What is sawn from one board. */
export type LumberTake = {
  id: string;
  count: number;
  sameWood: boolean;
  /** Blocks one behind the other along the board, side by side, and one over the other in its thickness. */
  columns: number;
  rows: number;
  layers: number;
  /** Cut off the end of the board, kerf and all, mm. */
  cutOffMm: number;
  /** The board after that: along the grain, mm. */
  leftMm: number;
  /** Planed or resawn off each block so that it has its thickness, mm. */
  thickerMm: number;
  /** Upper left corners of the blocks, seen on the board's face from its end, mm. */
  places: { alongMm: number; acrossMm: number }[];
};

export type LumberPlan = { takes: LumberTake[]; missing: number };

/** A shorter end is not kept as a board. mm */
const LEAST_LEFT_MM = sourced(20, memory('a shorter end goes to the offcuts'));
/** Less than this comes off with the plane anyway. mm */
const PLANED_AWAY_MM = sourced(1, memory('a plane takes a millimetre off in a few strokes'));
const ROUNDING = 1e-9;

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `letin.boards`: `{blanks: {alongMm, acrossMm, thickMm, count}, boards: [{id, species, alongMm, acrossMm, thickMm}], species, kerfMm}`. */
export const lumberSchema = Joi.object({
  blanks: Joi.object({
    alongMm: mm(1, 10_000),
    acrossMm: mm(1, 3000),
    thickMm: mm(0.3, 300),
    count: Joi.number().integer().min(1).max(1000).required(),
  }).required(),
  boards: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(64).required(),
        species: Joi.string().max(60).allow('').required(),
        alongMm: mm(1, 10_000),
        acrossMm: mm(1, 3000),
        thickMm: mm(1, 300),
      }),
    )
    .max(500)
    .required(),
  species: Joi.string().max(60).allow('').required(),
  kerfMm: mm(0, 10),
});

/** How often a size goes into a room, a kerf between two. */
const fits = (room: number, size: number, kerf: number): number =>
  Math.floor((room + kerf) / (size + kerf) + ROUNDING);

/** What a board gives of the blocks, as short a piece of it as will do; nothing when not one fits. */
function takeOf(
  { blanks, species, kerfMm }: LumberInput,
  board: LumberInput['boards'][number],
  wanted: number,
): LumberTake | undefined {
  const columnsMost = fits(board.alongMm, blanks.alongMm, kerfMm);
  const rowsMost = fits(board.acrossMm, blanks.acrossMm, kerfMm);
  const layersMost = fits(board.thickMm, blanks.thickMm, kerfMm);
  const count = Math.min(wanted, columnsMost * rowsMost * layersMost);
  if (count < 1) return undefined;
  const rows = Math.min(rowsMost, count);
  const layers = Math.min(layersMost, Math.ceil(count / rows));
  const columns = Math.ceil(count / (rows * layers));
  const cutOffMm = columns * (blanks.alongMm + kerfMm);
  const left = board.alongMm - cutOffMm;
  const seen = Math.ceil(count / layers);
  return {
    id: board.id,
    count,
    sameWood: species !== '' && board.species === species,
    columns,
    rows,
    layers,
    cutOffMm: Math.min(cutOffMm, board.alongMm),
    leftMm: left < LEAST_LEFT_MM.value ? 0 : left,
    thickerMm: (board.thickMm - layers * blanks.thickMm - (layers - 1) * kerfMm) / layers,
    places: Array.from({ length: seen }, (_, i) => ({
      alongMm: Math.floor(i / rows) * (blanks.alongMm + kerfMm),
      acrossMm: (i % rows) * (blanks.acrossMm + kerfMm),
    })),
  };
}

/** Wood that is used up: what is cut off the board, whatever of it is not block. mm³ */
const spent = (take: LumberTake, board: LumberInput['boards'][number]): number =>
  (take.leftMm === 0 ? board.alongMm : take.cutOffMm) * board.acrossMm * board.thickMm;

/**
 * Registry `letin.boards`: which board of the rack gives the blocks, how they lie on it, what is cut off and what is left. One board that
 * gives them all goes before several; the wanted wood before another; then the board of which least is spent. Blocks of one size whose
 * grain must lie along the board are most in straight rows.
 */
export function lumberPlan(input: LumberInput): LumberPlan {
  const takes: LumberTake[] = [];
  let missing = input.blanks.count;
  let rest = [...input.boards];
  while (missing > 0) {
    const choices = rest.flatMap((board) => {
      const take = takeOf(input, board, missing);
      return take ? [{ board, take }] : [];
    });
    const best = choices.sort(
      (a, b) =>
        Number(b.take.sameWood) - Number(a.take.sameWood) ||
        b.take.count - a.take.count ||
        spent(a.take, a.board) - spent(b.take, b.board),
    )[0];
    if (!best) break;
    takes.push(best.take);
    missing -= best.take.count;
    rest = rest.filter((b) => b !== best.board);
  }
  return { takes, missing };
}

/** What is done at the saw, in words. @param length writes a length in the shop's unit */
export function takeWords(
  { count, columns, rows, layers, cutOffMm, leftMm, thickerMm }: LumberTake,
  length: (mm: number) => string,
): string {
  const lie = [
    ...(rows > 1 ? [`${rows} side by side`] : []),
    ...(columns > 1 ? [`${columns} one behind the other`] : []),
    ...(layers > 1 ? [`${layers} resawn from its thickness`] : []),
  ].join(', ');
  return [
    `${count} ${count === 1 ? 'block' : 'blocks'} from one end${lie ? `: ${lie}` : ''}.`,
    leftMm > 0
      ? `Cut off ${length(cutOffMm)}; ${length(leftMm)} stay.`
      : 'The whole board is used; what is left goes to the offcuts.',
    ...(thickerMm > PLANED_AWAY_MM.value
      ? [`Each is ${length(thickerMm)} thicker than it need be: plane or resaw it.`]
      : []),
  ].join(' ');
}
