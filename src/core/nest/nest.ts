import Joi from 'joi';
import { breathe, seededRandom, type JobContext } from '../check';
import { areaOf, areaOfAll, boundingBox, centroidOf, differenceOf, isConvex, keepBelow, offsetOutline, sides, sweptOver, sweptRound, type Point, type Polygon } from '../geometry'; // prettier-ignore
import { practice, memory, sourced } from '../sources';
import { outlineOn } from '../spot';
import { largestRectangle, type Rectangle } from './rectangle';

/** A patch to be cut. Its grain lies along x. */
export type NestPiece = {
  id: string;
  /** mm */
  outline: Polygon;
  /** Sheets it may come from, the best first; any of them when not given. */
  sheets?: readonly string[];
  /** Where it must be cut, when its figure has chosen a place: its middle on the sheet, its turn, and whether from the other face. */
  spot?: { sheet: string; xMm: number; yMm: number; degrees: number; flipped: boolean };
};

/** What is left of a sheet, its grain along x, and what is gone out of it. mm */
export type NestSheet = { id: string; outline: Polygon; holes?: readonly Polygon[] };

export type NestInput = {
  pieces: readonly NestPiece[];
  sheets: readonly NestSheet[];
  /** Left between two cuts, and to the rim of a sheet. */
  gapMm: number;
  /** Grain may be turned by as much. */
  grainToleranceDegrees: number;
  /** Orders of cutting that are tried. */
  tries?: number;
  seed?: number;
};

export type Nested = {
  id: string;
  sheet: string;
  /** Where the middle of the outline comes to lie. */
  xMm: number;
  yMm: number;
  degrees: number;
  flipped: boolean;
  outline: Point[];
};

/** One more of a patch, beside those that are needed. */
export type Spare = Nested & { of: string };

export type NestPlan = {
  placed: Nested[];
  unplaced: { id: string; why: string }[];
  /** Every sheet that is cut: what is cut from it, and the largest rectangle that stays whole. */
  sheets: { id: string; cutMm2: number; leftMm2: number; offcut: Rectangle }[];
};

export const NEST_SOURCE = practice(
  'packed from one end, so that the largest piece of the sheet stays whole',
);
/** Room for the knife. mm */
export const CUT_GAP_MM = sourced(2, memory('a knife and a rule need two millimetres between patches'));
const TRIES = 12;

const outline = Joi.array().items(Joi.array().ordered(Joi.number().min(-1e4).max(1e4).required(), Joi.number().min(-1e4).max(1e4).required()).length(2)).min(3).max(400).required(); // prettier-ignore
const id = Joi.string().min(1).max(120).required();
/** Input of `veneer.nest`: `{pieces: [{id, outline, sheets?, spot?}], sheets: [{id, outline, holes?}], gapMm?, grainToleranceDegrees, tries?, seed?}`. */
export const nestSchema = Joi.object({
  pieces: Joi.array()
    .items(
      Joi.object({
        id,
        outline,
        sheets: Joi.array().items(Joi.string().max(120)).max(500),
        spot: Joi.object({
          sheet: id,
          xMm: Joi.number().required(),
          yMm: Joi.number().required(),
          degrees: Joi.number().min(-180).max(180).required(),
          flipped: Joi.boolean().required(),
        }),
      }),
    )
    .max(200)
    .required(),
  sheets: Joi.array()
    .items(Joi.object({ id, outline, holes: Joi.array().items(outline).max(400) }))
    .max(500)
    .required(),
  gapMm: Joi.number().min(0).max(50).default(CUT_GAP_MM.value),
  grainToleranceDegrees: Joi.number().min(0).max(90).required(),
  tries: Joi.number().integer().min(1).max(200),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 31 - 1),
});

/** An outline about its middle, turned. */
const turned = (piece: Polygon, degrees: number, flipped: boolean): Point[] =>
  outlineOn(piece, centroidOf(piece), { degrees, flipped }, [0, 0]);
const at = (piece: Polygon, [x, y]: Point): Point[] => piece.map(([px, py]): Point => [px + x, py + y]);

/** What was cut from one sheet so far, grown by the room of a knife. */
type Taken = { sheet: NestSheet; room: Polygon[]; outlines: Point[][]; grown: Polygon[] };

const takenFrom = (sheet: NestSheet, gapMm: number): Taken => ({
  sheet,
  // A cut keeps off the rim by the same room.
  room: gapMm > 0 ? offsetOutline(sheet.outline, -gapMm, 'pointed') : [sheet.outline],
  outlines: [],
  grown: (sheet.holes ?? []).flatMap((h) => offsetOutline(h, gapMm, 'pointed')),
});

/** Places of a piece's middle at which it lies on the sheet and on nothing that is gone. */
function freePlaces({ room, grown }: Taken, piece: Polygon): Polygon[] {
  const back = piece.map(([x, y]): Point => [-x, -y]);
  return differenceOf(
    room.flatMap((o) => placesWithin(o, piece, back)),
    grown.flatMap((o) => sweptOver(o, back)),
  );
}

/** Places of a piece's middle at which it lies within an outline. */
function placesWithin(room: Polygon, piece: Polygon, back: Polygon): Polygon[] {
  const [corner] = piece;
  if (!corner) return [];
  if (!isConvex(room)) return differenceOf([at(room, [-corner[0], -corner[1]])], sweptRound(room, back));
  // Within every side of the outline, as far as the piece reaches towards it.
  const [mx, my] = centroidOf(room);
  const kept = sides(room).reduce<Polygon>(
    (left, [a, b]) => {
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
      if (length === 0 || left.length === 0) return left;
      const across: Point = [(b[1] - a[1]) / length, (a[0] - b[0]) / length];
      const out =
        across[0] * (mx - a[0]) + across[1] * (my - a[1]) > 0 ? ([-across[0], -across[1]] as const) : across;
      const reach = Math.max(...piece.map((p) => out[0] * p[0] + out[1] * p[1]));
      return keepBelow(left, out, out[0] * a[0] + out[1] * a[1] - reach + TOUCHING_MM);
    },
    room.map(([x, y]): Point => [x, y]),
  );
  return kept.length >= 1 ? [kept] : [];
}
/** A piece as wide as its room still goes in. mm */
const TOUCHING_MM = 1e-4;

/** The place that leaves the most of the sheet beyond it: nearest to its end, then to its side. */
function firstPlace(taken: Taken, piece: Polygon): { at: Point; reach: number } | undefined {
  const { right } = boundingBox(piece);
  let best: { at: Point; reach: number } | undefined;
  for (const region of freePlaces(taken, piece))
    for (const p of region) {
      const reach = p[0] + right;
      if (!best || reach < best.reach - 1e-6 || (reach < best.reach + 1e-6 && p[1] < best.at[1]))
        best = { at: p, reach };
    }
  return best;
}

/** Grain as it runs, end for end too; it is only turned where nothing else fits. */
const turnsWithin = (tolerance: number): number[][] =>
  [[0], ...(tolerance > 0 ? [[tolerance, -tolerance]] : [])].map((few) =>
    few.flatMap((t) => [t, t > 0 ? t - 180 : t + 180]),
  );

type Packed = { placed: Nested[]; missing: string[]; taken: Map<string, Taken> };

/** Packs pieces in the order given. */
function packed(order: readonly NestPiece[], { sheets, gapMm, grainToleranceDegrees }: NestInput, start: Packed): Packed {
  const taken = new Map([...start.taken].map(([k, t]) => [k, { ...t, outlines: [...t.outlines], grown: [...t.grown] }])); // prettier-ignore
  const placed = [...start.placed];
  const missing = [...start.missing];
  for (const piece of order) {
    const from = piece.sheets ?? sheets.map((s) => s.id);
    let found: Nested | undefined;
    for (const name of from) {
      const sheet = taken.get(name);
      if (!sheet) continue;
      for (const turns of turnsWithin(grainToleranceDegrees)) {
        let reach = Infinity;
        for (const degrees of turns) {
          const laid = turned(piece.outline, degrees, false);
          const place = firstPlace(sheet, laid);
          if (!place || place.reach > reach - 1e-6) continue;
          reach = place.reach;
          found = { id: piece.id, sheet: name, xMm: place.at[0], yMm: place.at[1], degrees, flipped: false, outline: at(laid, place.at) };
        }
        if (found) break;
      }
      if (found) {
        sheet.outlines.push(found.outline);
        sheet.grown.push(...offsetOutline(found.outline, gapMm, 'pointed'));
        break;
      }
    }
    if (found) placed.push(found);
    else missing.push(piece.id);
  }
  return { placed, missing, taken };
} // prettier-ignore

/** Pieces whose place was chosen lie there, or are told when they cannot. */
function withSpots(input: NestInput): { start: Packed; free: NestPiece[]; clashes: string[] } {
  const taken = new Map(input.sheets.map((s) => [s.id, takenFrom(s, input.gapMm)]));
  const start: Packed = { placed: [], missing: [], taken };
  const free: NestPiece[] = [];
  const clashes: string[] = [];
  for (const piece of input.pieces) {
    const sheet = piece.spot && taken.get(piece.spot.sheet);
    if (!piece.spot || !sheet) {
      free.push(piece);
      continue;
    }
    const { xMm, yMm, degrees, flipped } = piece.spot;
    const laid = at(turned(piece.outline, degrees, flipped), [xMm, yMm]);
    const off = areaOfAll(differenceOf([laid], [sheet.sheet.outline]));
    const over = areaOf(laid) - off - areaOfAll(differenceOf(differenceOf([laid], sheet.outlines), sheet.sheet.holes ?? [])); // prettier-ignore
    if (off > SLIGHT_MM2 || over > SLIGHT_MM2) {
      clashes.push(piece.id);
      const { spot: _spot, ...rest } = piece;
      free.push(rest);
      continue;
    }
    sheet.outlines.push(laid);
    sheet.grown.push(...offsetOutline(laid, input.gapMm, 'pointed'));
    start.placed.push({ id: piece.id, sheet: piece.spot.sheet, xMm, yMm, degrees, flipped, outline: laid });
  }
  return { start, free, clashes };
}
/** Two outlines that overlap by less only touch. mm² */
const SLIGHT_MM2 = 0.5;

/**
 * Registry `veneer.nest`: patches laid on sheets, their grain with the sheet's, none on another or over the rim. What has a chosen spot lies
 * there; the rest is packed from one end, in the best of several orders, so that the largest offcut stays whole.
 */
export async function nestPatches(input: NestInput, job: JobContext = {}): Promise<NestPlan> {
  const { start, free, clashes } = withSpots(input);
  const random = seededRandom(input.seed ?? 1);
  const byArea = [...free].sort((a, b) => areaOf(b.outline) - areaOf(a.outline));
  const wide = ({ outline: o }: NestPiece): number => boundingBox(o).right - boundingBox(o).left;
  const tall = ({ outline: o }: NestPiece): number => boundingBox(o).bottom - boundingBox(o).top;
  const orders = [byArea, [...free].sort((a, b) => wide(b) - wide(a)), [...free].sort((a, b) => tall(b) - tall(a))]; // prettier-ignore
  const tries = free.length < 2 ? 1 : (input.tries ?? TRIES);
  let best: { packed: Packed; worth: number } | undefined;
  for (let i = 0; i < tries; i++) {
    const order = orders[i] ?? shuffled(byArea, random);
    const tried = packed(order, input, start);
    const worth = worthOf(tried);
    if (!best || worth > best.worth) best = { packed: tried, worth };
    await breathe(job, (i + 1) / tries);
  }
  const { placed, missing, taken } = best?.packed ?? start;
  return {
    placed,
    unplaced: missing.map((name) => ({
      id: name,
      why: clashes.includes(name)
        ? 'Its chosen spot is taken by another patch or lies off what is left, and nowhere else is room for it.'
        : 'No sheet has room for it with its grain as it must run.',
    })),
    sheets: [...taken.values()]
      .filter((t) => t.outlines.length > 0)
      .map(({ sheet, outlines }) => {
        const holes = [...(sheet.holes ?? []), ...outlines];
        return {
          id: sheet.id,
          cutMm2: outlines.reduce((sum, o) => sum + areaOf(o), 0),
          leftMm2: areaOfAll(differenceOf([sheet.outline], holes)),
          offcut: largestRectangle(sheet.outline, holes),
        };
      }),
  };
}

/** So many spares of a patch are laid out at most. */
export const MOST_SPARES = 3;

/**
 * Spares of placed patches, on the sheet that each is cut from, in what the plan leaves of it.
 *
 * @param count of each
 * @returns the spares there is room for, how many there is none for, and the sheets as they are left then
 */
export async function nestSpares(
  input: NestInput,
  { placed, sheets }: NestPlan,
  count: number,
  job: JobContext = {},
): Promise<{ spares: Spare[]; without: number; sheets: NestPlan['sheets'] }> {
  const needed = placed.flatMap((p) =>
    Array.from({ length: count }, (_, i) => ({ of: p, id: `${p.id}+${i + 1}` })),
  );
  const cutFrom = new Set(sheets.map((s) => s.id));
  const left = input.sheets
    .filter((s) => cutFrom.has(s.id))
    .map((s) => ({
      ...s,
      holes: [...(s.holes ?? []), ...placed.filter((p) => p.sheet === s.id).map((p) => p.outline)],
    }));
  const plan = await nestPatches(
    {
      ...input,
      sheets: left,
      pieces: needed.flatMap(({ of, id: name }) => {
        const piece = input.pieces.find((p) => p.id === of.id);
        return piece ? [{ id: name, outline: piece.outline, sheets: [of.sheet] }] : [];
      }),
    },
    job,
  );
  return {
    spares: plan.placed.map((p) => ({ ...p, of: needed.find((n) => n.id === p.id)?.of.id ?? '' })),
    without: plan.unplaced.length,
    sheets: sheets.map((s) => {
      const now = plan.sheets.find((p) => p.id === s.id);
      return now ? { ...now, cutMm2: s.cutMm2 + now.cutMm2 } : s;
    }),
  };
}

/** More placed goes first, then fewer sheets cut, then the shorter stretch of each that is spent. */
function worthOf({ placed, taken }: Packed): number {
  const cut = [...taken.values()].filter((t) => t.outlines.length > 0);
  const spent = cut.reduce((sum, t) => {
    const { left } = boundingBox(t.sheet.outline);
    return sum + Math.max(...t.outlines.map((o) => boundingBox(o).right - left));
  }, 0);
  return 1e9 * placed.length - 1e6 * cut.length - spent;
}

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    const [a, b] = [out[i], out[j]];
    if (a !== undefined && b !== undefined) [out[i], out[j]] = [b, a];
  }
  return out;
}
