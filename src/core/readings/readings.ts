import { assertRange, seededRandom } from '../check';
import type { Lab } from '../colour';

export type ReadingsSummary = {
  count: number;
  least: number;
  mean: number;
  greatest: number;
  /** Sample standard deviation; 0 for one reading. */
  spread: number;
};

/** Least, mean, greatest and spread of a set of readings, in their own unit; nothing for an empty set. */
export function summarise(readings: readonly number[]): ReadingsSummary | undefined {
  const count = readings.length;
  if (count === 0) return undefined;
  const mean = readings.reduce((s, r) => s + r, 0) / count;
  const squares = readings.reduce((s, r) => s + (r - mean) ** 2, 0);
  return {
    count,
    least: Math.min(...readings),
    mean,
    greatest: Math.max(...readings),
    spread: count > 1 ? Math.sqrt(squares / (count - 1)) : 0,
  };
}

/** A pin meter reads nothing useful outside this range. Fraction of dry mass. */
export const MOISTURE_RANGE = { least: 0.02, most: 0.4 };

/** @throws RangeError for a moisture reading that no meter gives */
export const assertMoisture = (fraction: number): void =>
  assertRange('The moisture', Math.round(fraction * 1000) / 10, '%', MOISTURE_RANGE.least * 100, MOISTURE_RANGE.most * 100); // prettier-ignore

export type InstrumentReading = { value: number; at: string; simulated: boolean };

/** A simulated caliper on an edge of veneer: about 0.8 mm with the scatter of a hand, read to 0.01 mm. */
export function simulatedCaliper(seed: number, at: string): InstrumentReading {
  const random = seededRandom(seed);
  const scatter = (random() + random() + random() - 1.5) * 0.12;
  return { value: Math.round((0.8 + scatter) * 100) / 100, at, simulated: true };
}

/** A simulated pin moisture meter in furniture that stands indoors: 7 to 11 %, as a fraction. */
export function simulatedMoistureMeter(seed: number, at: string): InstrumentReading {
  const random = seededRandom(seed + 17);
  return { value: Math.round((0.07 + 0.04 * random()) * 1000) / 1000, at, simulated: true };
}

/** One reading of a colour reader. */
export type ColourReading = { lab: Lab; at: string; simulated: boolean };

/** A simulated colour reader, held on brown wood. */
export function simulatedColourReader(seed: number, at: string): ColourReading {
  const random = seededRandom(seed);
  const around = (middle: number, wide: number): number =>
    Math.round(10 * (middle + wide * (random() - 0.5))) / 10;
  return { lab: [around(52, 6), around(15, 3), around(29, 5)], at, simulated: true };
}
