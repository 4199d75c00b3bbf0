import { memory, published, type Source } from '../sources';

export const BASIC_DENSITY_SOURCE: Source = published(
  'Wood Handbook (Forest Products Laboratory)',
  'specific gravity at a moisture content from the basic one, Gm = Gb / (1 − 0.265 a Gb), a = (30 − M) / 30; written down from memory',
);

/** How far wood at 12 % moisture has shrunk of what it shrinks in all. */
const SHRUNK_AT_12 = (30 - 12) / 30;

/**
 * Basic density (oven-dry mass over green volume) from that of wood as it lies in the shop.
 *
 * @param gravity oven-dry mass over volume at 12 % moisture, relative to water, 0.1…1.4
 * @source {@link BASIC_DENSITY_SOURCE}, solved for Gb
 */
export const basicDensity = (gravity: number): number => gravity / (1 + 0.265 * SHRUNK_AT_12 * gravity);

/** How shrinkage is estimated for a wood that is only known by its density. */
export const DENSITY_SHRINKAGE_SOURCE: Source = memory(
  'volumetric shrinkage is about 28 % (the moisture at fibre saturation) times the basic density; three fifths of it tangential, two fifths radial',
);

/** Radial and tangential shrinkage, %, estimated from the density at 12 % moisture. @source {@link DENSITY_SHRINKAGE_SOURCE} */
export function shrinkageByDensity(gravity: number): { radialPercent: number; tangentialPercent: number } {
  const volumetric = 28 * basicDensity(gravity);
  return { radialPercent: 0.4 * volumetric, tangentialPercent: 0.6 * volumetric };
}
