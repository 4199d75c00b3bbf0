/** How much of a resource is in use over time: `used[k]` from `at[k]` until `at[k + 1]`. Times are minutes; the last stretch has no end. */
export type Timeline = { at: number[]; used: number[] };

export const emptyTimeline = (): Timeline => ({ at: [-Infinity], used: [0] });

/** A share that is left over by rounding is none. */
const ROUNDING = 1e-9;

/** The stretch in which a time lies. */
function stretchAt({ at }: Timeline, time: number): number {
  let low = 0;
  let high = at.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((at[middle] ?? Infinity) <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A stretch that begins just at a time. */
function cutAt(line: Timeline, time: number): number {
  const k = stretchAt(line, time);
  if (line.at[k] === time) return k;
  line.at.splice(k + 1, 0, time);
  line.used.splice(k + 1, 0, line.used[k] ?? 0);
  return k + 1;
}

/** Takes an amount from one time until another. */
export function hold(line: Timeline, from: number, to: number, amount: number): void {
  if (to <= from) return;
  const first = cutAt(line, from);
  const last = cutAt(line, to);
  for (let k = first; k < last; k++) line.used[k] = (line.used[k] ?? 0) + amount;
  // Stretches that came to be alike are one: a hand that works all day is one stretch a day.
  for (const k of [last, first]) {
    if (k > 0 && line.used[k] === line.used[k - 1]) {
      line.at.splice(k, 1);
      line.used.splice(k, 1);
    }
  }
}

/**
 * Until when nothing that needs more can begin, if a stretch between two times is too full: a gap before the last such stretch
 * is shorter than what is to be put there.
 *
 * @param room the most that may be in use beside it
 */
export function fullUntil(line: Timeline, from: number, to: number, room: number): number | undefined {
  if (to <= from) return undefined;
  const { at, used } = line;
  const isFull = (k: number): boolean => (used[k] ?? 0) > room + ROUNDING;
  let full: number | undefined;
  let k = stretchAt(line, from);
  for (; k < at.length && (at[k] ?? Infinity) < to; k++) if (isFull(k)) full = k;
  if (full === undefined) return undefined;
  while (isFull(full + 1)) full++;
  return at[full + 1] ?? Infinity;
}
