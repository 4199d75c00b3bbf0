import Joi from 'joi';
import { assertRange } from '../check';
import { thicknessPlan, type ThicknessPlan } from './thickness';

export type ShimsInput = {
  /** The old veneer at one end of the patch and at the other, by caliper at the recess. mm */
  oldMm: readonly [one: number, other: number];
  newMm: number;
  /** From the one end to the other. mm */
  lengthMm: number;
};

/** A stretch under the patch with so many sheets, from the one end. */
export type ShimZone = {
  fromMm: number;
  toMm: number;
  sheets: number;
  proudMm: { least: number; most: number };
};

export type ShimsPlan = { zones: ShimZone[]; ends: [ThicknessPlan, ThicknessPlan]; words: string };

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `veneer.shims`: `{oldMm: [one, other], newMm, lengthMm}`. */
export const shimsSchema = Joi.object({
  oldMm: Joi.array().ordered(mm(0.2, 6), mm(0.2, 6)).length(2).required(),
  newMm: mm(0.2, 6),
  lengthMm: mm(2, 5000),
});

/** Places that are told apart along a patch. */
const STEPS = 200;
/** A stretch this short is no sheet of its own. mm */
const LEAST_ZONE_MM = 3;

/**
 * Registry `veneer.shims`: paper under a patch whose old veneer is thicker at one end than at the other: how many sheets lie under which
 * stretch of it. A sheet under part of it is a half shim.
 *
 * @throws RangeError for thicknesses that no veneer has
 */
export function shimsPlan({ oldMm: [one, other], newMm, lengthMm }: ShimsInput): ShimsPlan {
  assertRange('The length of the patch', lengthMm, 'mm', 2, 5000);
  const at = (t: number): ThicknessPlan => thicknessPlan(one + (other - one) * t, newMm);
  const zones: ShimZone[] = [];
  for (let i = 0; i < STEPS; i++) {
    const { sheets, proudMm } = at((i + 0.5) / STEPS);
    const last = zones[zones.length - 1];
    const toMm = ((i + 1) / STEPS) * lengthMm;
    if (last && last.sheets === sheets) {
      last.toMm = toMm;
      last.proudMm = {
        least: Math.min(last.proudMm.least, proudMm),
        most: Math.max(last.proudMm.most, proudMm),
      };
    } else
      zones.push({
        fromMm: (i / STEPS) * lengthMm,
        toMm,
        sheets,
        proudMm: { least: proudMm, most: proudMm },
      });
  }
  const kept = zones.filter((z, i) => zones.length === 1 || i === zones.length - 1 || z.toMm - z.fromMm >= LEAST_ZONE_MM); // prettier-ignore
  const ends: [ThicknessPlan, ThicknessPlan] = [at(0), at(1)];
  const words =
    kept.length === 1
      ? ends[one >= other ? 0 : 1].advice
      : 'Full sheets first, the part ones on them. Tear the rim of a half shim rather than cut it, so that its step is not felt.';
  return { zones: joined(kept), ends, words };
}

/** Neighbours that became alike when a short stretch between them was dropped are one, and none leaves a gap. */
function joined(zones: readonly ShimZone[]): ShimZone[] {
  const out: ShimZone[] = [];
  for (const zone of zones) {
    const last = out[out.length - 1];
    if (last && last.sheets === zone.sheets) {
      last.toMm = zone.toMm;
      last.proudMm = { least: Math.min(last.proudMm.least, zone.proudMm.least), most: Math.max(last.proudMm.most, zone.proudMm.most) }; // prettier-ignore
    } else out.push({ ...zone, fromMm: last ? last.toMm : zone.fromMm });
  }
  return out;
}
