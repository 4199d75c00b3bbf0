import { memory, type Source } from '../sources';
import type { TapSound } from './features';

/** So many taps on wood known to be sound are needed before anything is proposed. */
export const LEAST_REFERENCE = 3;

export const EAR_SOURCE: Source = memory(
  'over a void wood sounds lower and rings longer than on sound ground; how much differs from piece to piece, so it is compared with taps on this piece',
);

export type Hearing = { hollow: boolean; confidence: number };

/** Which way each feature goes over a void, and how much it scatters from tap to tap at least (natural logarithms). */
const FEATURES: { of: (s: TapSound) => number; hollowSign: 1 | -1; leastSpread: number }[] = [
  { of: (s) => Math.log(Math.max(1, s.centroidHz)), hollowSign: -1, leastSpread: 0.14 },
  { of: (s) => Math.log(Math.max(1, s.dominantHz)), hollowSign: -1, leastSpread: 0.2 },
  { of: (s) => Math.log(Math.max(1, s.decayMs)), hollowSign: 1, leastSpread: 0.25 },
];

/** Where solid and hollow are as likely, in spreads away from sound wood, and how sharply it turns there. */
const TURN = 1.6;
const STEEPNESS = 1.8;

const mean = (xs: number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;

/** Median of three or more, so that one bad reference tap does no harm. */
function median(xs: number[]): number {
  const sorted = [...xs].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 ? (sorted[half] ?? 0) : ((sorted[half - 1] ?? 0) + (sorted[half] ?? 0)) / 2;
}

/**
 * Solid or hollow, compared with taps on wood of the same piece that is known to be sound.
 *
 * @param solid at least {@link LEAST_REFERENCE} taps
 * @returns the likelier of the two, with its chance 0.5…1
 * @throws RangeError when there are too few taps to compare with
 */
export function classifyTap(tap: TapSound, solid: readonly TapSound[]): Hearing {
  if (solid.length < LEAST_REFERENCE) {
    throw new RangeError(
      `There are ${solid.length} taps on sound wood to compare with; at least ${LEAST_REFERENCE} are needed. Tap a place you know to be sound.`,
    );
  }
  const away = mean(
    FEATURES.map(({ of, hollowSign, leastSpread }) => {
      const known = solid.map(of);
      const middle = median(known);
      const spread = Math.max(leastSpread, 1.48 * median(known.map((v) => Math.abs(v - middle))));
      const z = (hollowSign * (of(tap) - middle)) / spread;
      return Math.max(-6, Math.min(6, z));
    }),
  );
  const chance = 1 / (1 + Math.exp(-STEEPNESS * (away - TURN)));
  return { hollow: chance > 0.5, confidence: Math.max(chance, 1 - chance) };
}
