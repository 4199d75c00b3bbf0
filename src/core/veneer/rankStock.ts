import Joi from 'joi';
import { deltaE00, type Lab } from '../colour';
import { memory, practice, sourced } from '../sources';
import type { School } from '../terms';
import type { WoodCard } from './card';
import { SURE_GRAIN } from './grainIn';
import { thicknessPlan } from './thickness';

const { abs, exp, hypot, log, max, min } = Math;

/** Pores are told only where the photo's scale is known. */
type Seen = Omit<WoodCard, 'pores'> & { pores?: WoodCard['pores'] };

export type StockCard = Seen & {
  id: string;
  thicknessMm: number;
  /** Usable size along and across its grain, where it is known. mm */
  alongMm?: number;
  acrossMm?: number;
  cut?: 'sawn' | 'knife';
  period?: string;
};
export type StockRankInput = {
  target: Seen & { alongMm?: number; acrossMm?: number; cut?: 'sawn' | 'knife'; period?: string };
  stock: readonly StockCard[];
  /** Of the old veneer. */
  thicknessMm: number;
  school: School;
};

export type StockPart = 'figure' | 'pore' | 'colour' | 'thickness' | 'fit';
export type StockRank = {
  ranked: {
    id: string;
    score: number;
    parts: Record<StockPart, number>;
    deltaE00: number;
    shims: number;
    why: string[];
  }[];
};

/** What each part of a score is called. */
export const STOCK_PARTS: Record<StockPart, string> = {
  figure: 'Figure',
  pore: 'Pores',
  colour: 'Colour',
  thickness: 'Thickness',
  fit: 'Fit',
};

/** What counts how much in each school; a row adds up to one. */
export const STOCK_WEIGHTS: Record<School, Record<StockPart, number>> = {
  conserve: { figure: 0.3, pore: 0.15, colour: 0.2, thickness: 0.15, fit: 0.2 },
  clear: { figure: 0.4, pore: 0.1, colour: 0.3, thickness: 0.1, fit: 0.1 },
  paint: { figure: 0.05, pore: 0.2, colour: 0, thickness: 0.4, fit: 0.35 },
};
export const STOCK_WEIGHTS_SOURCE = practice('figure before colour under a clear finish; under paint only height, size and pores that print through'); // prettier-ignore

/** Differences at which a part has fallen to about a third. */
const FALLS = {
  contrast: sourced(14, memory('L* by which dark lines differ clearly')),
  coherence: sourced(0.5, memory('between straight grain and a burr')),
  period: sourced(0.7, memory('stripes twice as wide are another wood')),
  colour: sourced(9, memory('a difference of colour that dye and glaze do not hide')),
};
/** Of a difference that dye can close so much is held against a veneer all the same. */
const DYED_COUNTS = sourced(0.2, practice('lighter is better than darker; colour is added, not removed'));
const SHIM_COSTS = sourced(0.15, memory('each sheet of paper is work and makes the bed softer'));
const LOW_COSTS = sourced(0.6, memory('a patch that stays low is seen in raking light'));
const PORES = ['none', 'fine', 'coarse'] as const;
const LOW_MM = 0.1;
const UNKNOWN_PORES = sourced(0.5, memory('half, where nobody can tell'));

const lab = Joi.array().ordered(Joi.number().min(0).max(100).required(), Joi.number().min(-150).max(150).required(), Joi.number().min(-150).max(150).required()).length(3).required(); // prettier-ignore
const share = Joi.number().min(0).max(1);
const card = {
  grainDeg: Joi.number().min(-360).max(360),
  coherence: share.required(),
  periodMm: Joi.number().min(0.05).max(2000),
  strength: share.required(),
  contrast: Joi.number().min(-100).max(100).required(),
  pores: Joi.string().valid(...PORES),
  tones: Joi.object({ ground: lab, mid: lab, line: lab }).required(),
  shares: Joi.object({ ground: share.required(), mid: share.required(), line: share.required() }),
  alongMm: Joi.number().min(0.1).max(10_000),
  acrossMm: Joi.number().min(0.1).max(10_000),
  cut: Joi.string().valid('sawn', 'knife'),
  period: Joi.string().max(60),
}; // prettier-ignore
/** Input of `veneer.match`: `{target: {…wood card}, stock: [{id, …wood card, thicknessMm}], thicknessMm, school}`. */
export const stockRankSchema = Joi.object({
  target: Joi.object(card).required(),
  stock: Joi.array()
    .items(Joi.object({ ...card, id: Joi.string().min(1).max(120).required(), thicknessMm: Joi.number().min(0.2).max(6).required() }))
    .max(2000)
    .required(),
  thicknessMm: Joi.number().min(0.2).max(6).required(),
  school: Joi.string().valid('conserve', 'clear', 'paint').required(),
}); // prettier-ignore

const chroma = (c: Lab): number => hypot(c[1], c[2]);

/** What dye and glaze cannot close: a ground that is too dark or too strong a colour; of the rest a little counts. */
function cannotClose(target: Lab, candidate: Lab): number {
  const darker = max(0, target[0] - candidate[0]);
  const stronger = max(0, chroma(candidate) - chroma(target));
  return hypot(darker, 0.6 * stronger) + DYED_COUNTS.value * deltaE00(target, candidate);
}

/**
 * Registry `veneer.match`: the stock ranked for a place, each part of the score from 0 to 1 and told.
 *
 * @throws RangeError when there is no stock
 */
export function rankStock({ target, stock, thicknessMm, school }: StockRankInput): StockRank {
  if (stock.length === 0)
    throw new RangeError('There is nothing in the stock to rank. Photograph what you have, with its thickness and size.'); // prettier-ignore
  const weights = STOCK_WEIGHTS[school];
  const ranked = stock.map((s) => {
    const thickness = thicknessPlan(thicknessMm, s.thicknessMm);
    const apart = abs(s.contrast - target.contrast) / FALLS.contrast.value;
    const run = abs(s.coherence - target.coherence) / FALLS.coherence.value;
    const stripes =
      s.periodMm === undefined ||
      target.periodMm === undefined ||
      min(s.coherence, target.coherence) < SURE_GRAIN.value
        ? 0
        : (min(s.strength, target.strength) * abs(log(s.periodMm / target.periodMm))) / FALLS.period.value;
    const open = cannotClose(target.tones.ground, s.tones.ground);
    const tooSmall =
      (target.alongMm !== undefined && s.alongMm !== undefined && s.alongMm < target.alongMm) ||
      (target.acrossMm !== undefined && s.acrossMm !== undefined && s.acrossMm < target.acrossMm);
    const otherCut = target.cut !== undefined && s.cut !== undefined && target.cut !== s.cut;
    const otherPeriod = target.period !== undefined && s.period !== undefined && target.period !== s.period;
    const poreGap =
      s.pores && target.pores ? PORES.indexOf(s.pores) - PORES.indexOf(target.pores) : undefined;
    const low = thickness.proudMm < -LOW_MM;
    const parts: Record<StockPart, number> = {
      figure: exp(-(apart + run + stripes)),
      pore: poreGap === undefined ? UNKNOWN_PORES.value : 1 - abs(poreGap) / 2,
      colour: exp(-open / FALLS.colour.value),
      thickness: max(0, 1 - SHIM_COSTS.value * thickness.sheets - (low ? LOW_COSTS.value : 0)),
      fit: tooSmall ? 0 : school === 'conserve' ? (otherCut ? 0.5 : 1) * (otherPeriod ? 0.7 : 1) : 1,
    };
    const score =
      100 * (Object.keys(parts) as StockPart[]).reduce((sum, p) => sum + weights[p] * parts[p], 0);
    const darker = target.tones.ground[0] - s.tones.ground[0];
    const why = [
      ...(tooSmall ? ['Too small for the patch with its grain as it must run.'] : []),
      ...(darker > 1 ? [`Its ground is darker by ${darker.toFixed(0)} L*; that cannot be taken away.`] : []),
      ...(darker < -1 ? ['Its ground is lighter: dye brings it near.'] : []),
      ...(apart > 0.5 ? [`Its lines are ${s.contrast > target.contrast ? 'stronger' : 'weaker'}.`] : []),
      ...(run > 0.5 ? [s.coherence > target.coherence ? 'Its grain runs straighter.' : 'Its figure is wilder.'] : []),
      ...(stripes > 0.4 ? ['Its stripes stand at another distance.'] : []),
      ...(poreGap === undefined ? ['The scale of its photo is not known, so its pores and stripes are not compared.'] : []),
      ...(poreGap ? [`Its pores are ${poreGap > 0 ? 'coarser' : 'finer'}.`] : []),
      ...(school === 'conserve' && otherCut ? [`It is ${s.cut === 'sawn' ? 'sawn' : 'knife-cut'}, the old one is not.`] : []),
      ...(school === 'conserve' && otherPeriod ? ['It is of another period.'] : []),
      thickness.advice,
    ]; // prettier-ignore
    return { id: s.id, score: tooSmall ? 0 : score, parts, deltaE00: deltaE00(target.tones.mid, s.tones.mid), shims: thickness.sheets, why }; // prettier-ignore
  });
  return { ranked: ranked.sort((a, b) => b.score - a.score || a.id.localeCompare(b.id)) };
}
