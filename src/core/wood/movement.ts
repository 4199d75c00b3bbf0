import Joi from 'joi';
import { assertRange } from '../check';
import { equilibriumMoisture } from './moisture';
import { shrinkageByDensity } from './density';
import { findSpecies, speciesByName } from './species';

/** How the board was sawn: rings lying flat in its face, standing upright, or slanting. */
export type Cut = 'flat' | 'quarter' | 'rift';
export type Air = { temperatureC: number; relativeHumidity: number };
export type MovementInput = {
  species: string;
  cut: Cut;
  widthMm: number;
  from: Air;
  to: Air;
  /** Oven-dry mass over volume at 12 % moisture, relative to water, 0.2…1.3; used to estimate the shrinkage of a wood that is not in the table. */
  specificGravity?: number;
};

const air = Joi.object({ temperatureC: Joi.number().required(), relativeHumidity: Joi.number().required() });

/** Input of `wood.movement`. The species is an id, a name or a trade name. */
export const movementSchema = Joi.object({
  species: Joi.string().min(1).max(100).required(),
  cut: Joi.string().valid('flat', 'quarter', 'rift').required(),
  widthMm: Joi.number().required(),
  from: air.required(),
  to: air.required(),
  specificGravity: Joi.number(),
});

/**
 * Change of a width per percent of moisture, as a fraction, between 6 and 14 % moisture.
 *
 * @param shrinkagePercent green to oven-dry, 0…20 %
 * @source Wood Handbook (Forest Products Laboratory), dimensional change coefficient: C = S / (30 − 20 S), S as a fraction
 */
export function changeCoefficient(shrinkagePercent: number): number {
  assertRange('The shrinkage', shrinkagePercent, '%', 0, 20);
  const s = shrinkagePercent / 100;
  return s / (30 - 20 * s);
}

/** Radial and tangential shrinkage, %: from the table, or estimated from the density when the wood is not in it. */
function shrinkageOf(species: string, specificGravity: number | undefined): [number, number] {
  const wood = specificGravity === undefined ? speciesByName(species) : findSpecies(species);
  if (wood) return [wood.radialPercent.value, wood.tangentialPercent.value];
  const gravity = specificGravity ?? 0;
  assertRange('The specific gravity', gravity, '', 0.2, 1.3);
  const { radialPercent, tangentialPercent } = shrinkageByDensity(gravity);
  return [radialPercent, tangentialPercent];
}

/**
 * Registry `wood.movement`: how much a board grows (+) or shrinks (−) across its width when the air changes.
 *
 * Between 6 and 14 % moisture the handbook's coefficient is used; outside, its formula for any content below fibre saturation,
 * ΔD = D (M₂ − M₁) / (3000/S − 30 + M₁) with moisture and shrinkage in percent.
 *
 * @throws RangeError for a wood that is not in the table, a width outside 1…3000 mm, a climate out of range
 */
export function woodMovement({ species, cut, widthMm, from, to, specificGravity }: MovementInput): {
  fromMoisture: number;
  toMoisture: number;
  changeMm: number;
} {
  assertRange('The width', widthMm, 'mm', 1, 3000);
  const [radial, tangential] = shrinkageOf(species, specificGravity);
  const shrinkage = cut === 'flat' ? tangential : cut === 'quarter' ? radial : (radial + tangential) / 2;
  const fromMoisture = equilibriumMoisture(from.temperatureC, from.relativeHumidity);
  const toMoisture = equilibriumMoisture(to.temperatureC, to.relativeHumidity);
  const [m1, m2] = [fromMoisture * 100, toMoisture * 100];
  const inside = Math.min(m1, m2) >= 6 && Math.max(m1, m2) <= 14;
  const changeMm = inside
    ? widthMm * changeCoefficient(shrinkage) * (m2 - m1)
    : (widthMm * (m2 - m1)) / (3000 / shrinkage - 30 + m1);
  return { fromMoisture, toMoisture, changeMm };
}
