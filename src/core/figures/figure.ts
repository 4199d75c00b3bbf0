import { measured, type Sourced } from '../sources';

/** A figure as this shop has it; with a range where it was seen to vary. */
export type Figure = Sourced & { least?: number; most?: number };

/** Fewer observations than this say nothing against the book. */
const LEAST_OBSERVED = 3;

const at = (sorted: readonly number[], share: number): number => {
  const place = share * (sorted.length - 1);
  const low = sorted[Math.floor(place)] ?? NaN;
  const high = sorted[Math.ceil(place)] ?? NaN;
  return low + (high - low) * (place - Math.floor(place));
};

/**
 * The one place that says which figure counts here: the book's, before it the owner's own, before both what the log has shown
 * often enough.
 *
 * @param own.value what the owner entered, in the book's unit
 * @param shares what it really was, each as a share of the book's figure, such as 1.5 for half as long again
 * @returns the median of what was seen, with its quartiles as the range
 */
export function figureOf(
  book: Sourced,
  { own, shares = [] }: { own?: { value: number | undefined; by: string }; shares?: readonly number[] },
): Figure {
  if (shares.length >= LEAST_OBSERVED) {
    const sorted = [...shares].sort((a, b) => a - b);
    return {
      value: book.value * at(sorted, 0.5),
      least: book.value * at(sorted, 0.25),
      most: book.value * at(sorted, 0.75),
      source: measured(`learned from your log, the middle of ${shares.length} times`),
    };
  }
  return own?.value === undefined ? book : { value: own.value, source: measured(own.by) };
}
