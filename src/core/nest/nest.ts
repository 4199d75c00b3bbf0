import Joi from 'joi';
import { breathe, seededRandom, type JobContext } from '../check';
import { areaOf, areaOfAll, boundingBox, differenceOf, offsetOutline } from '../geometry';
import { practice, memory, sourced } from '../sources';
import { largestRectangle } from './rectangle';
import type { Nested, NestInput, NestPiece, NestPlan } from './types';
import { at, firstPlace, takenFrom, turned, type Taken } from './places';

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
