import type { RepairPace } from '../catalogue';
import { memory, type Source } from '../sources';

type Pace = {
  /** The book's minutes are for a place up to this size. cm² */
  upToCm2: number;
  /** For each further square centimetre. */
  minPerCm2: number;
};

export const REPAIR_PACE_SOURCE: Source = memory(
  'the book’s minutes for a small place, and a share for each square centimetre beyond it; your own log goes first',
);

const PACES: Record<RepairPace, Pace> = {
  fill: { upToCm2: 25, minPerCm2: 0.012 },
  level: { upToCm2: 25, minPerCm2: 0.02 },
  cut: { upToCm2: 50, minPerCm2: 0.05 },
  brush: { upToCm2: 100, minPerCm2: 0.01 },
  face: { upToCm2: 500, minPerCm2: 0.03 },
  scrape: { upToCm2: 500, minPerCm2: 0.01 },
};

/** Minutes of a step over a place of this size. @param bookMin for a small one @param areaMm2 0 or more */
export function pacedMinutes(bookMin: number, pace: RepairPace, areaMm2: number): number {
  const { upToCm2, minPerCm2 } = PACES[pace];
  return bookMin + Math.max(0, areaMm2 / 100 - upToCm2) * minPerCm2;
}
