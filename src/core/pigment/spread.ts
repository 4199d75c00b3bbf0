import { errorFunction } from 'simple-statistics';
import { memory, sourced } from '../sources';

/**
 * Standard deviations of a colour read from a photo, of one coming from a swatch of the product, and of the model's change before any test
 * board has been made, as a share of that change; CIELAB, along each axis.
 */
export const SPREAD = {
  photo: sourced(1.2, memory('two photos of one board in the same light differ by about so much')),
  swatch: sourced(1.5, memory('a swatch on another wood, from another tin')),
  model: sourced(0.25, memory('before a test board the strength of a product is a guess')),
};

/** From where a difference is seen: ΔE00. */
export const SEEN = {
  armsLength: sourced(1, memory('a CIEDE2000 of 1 is just seen side by side')),
  standing: sourced(2, memory('a CIEDE2000 of 2 is just seen at a distance')),
};

/**
 * Standard deviation of a predicted colour before any board, along each axis.
 *
 * @param change ΔE00 from the ground to the prediction
 */
export const spreadBefore = (change: number): number =>
  Math.hypot(SPREAD.photo.value, SPREAD.swatch.value, SPREAD.model.value * change);

/**
 * The chance that a difference is above a limit when each of the three axes is uncertain alike: the length of a vector of mean `difference`
 * with normal errors of `sd` (a Maxwell distribution off its centre).
 *
 * @param sd standard deviation along each axis, above 0
 */
export function chanceAbove(difference: number, sd: number, limit: number): number {
  const d = Math.max(1e-6, difference);
  const cdf = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;
  const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  const [a, b] = [(limit - d) / sd, (limit + d) / sd];
  const below = cdf(a) - cdf(-b) - (sd / d) * (density(a) - density(b));
  return Math.min(1, Math.max(0, 1 - below));
}
