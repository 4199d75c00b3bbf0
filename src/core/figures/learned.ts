import { byTime } from '../calendar';

/** What the log shows of kinds of work: for each its last times, as shares of the book's minutes. */
export type Learned = Readonly<Record<string, readonly number[]>>;

/** Spreading glue and setting clamps: the pace of a shop. */
export const LAYING = 'laying';

/** So many of the last times count: a hand gets quicker. */
const MOST_OBSERVED = 20;
/** What took a tenth or ten times of what was planned was another work, or a slip of the finger. */
const LEAST_SHARE = 0.1;
const MOST_SHARE = 10;

type Observed = { step?: string; bookMin?: number; actualMin: number; doneAt: string };

/** What a log shows; entries without the book's minutes say nothing. */
export function learnedFrom(entries: readonly Observed[]): Learned {
  const learned = new Map<string, number[]>();
  for (const { step, bookMin, actualMin } of [...entries].sort((a, b) => byTime(a.doneAt, b.doneAt))) {
    if (!step || !bookMin || actualMin <= 0) continue;
    const share = actualMin / bookMin;
    if (share < LEAST_SHARE || share > MOST_SHARE) continue;
    learned.set(step, [...(learned.get(step) ?? []), share].slice(-MOST_OBSERVED));
  }
  return Object.fromEntries(learned);
}
