import { formatISO } from 'date-fns/formatISO';

/** The present local time without zone, `2026-03-02T08:00:00`. */
export const localNow = (): string => formatISO(new Date()).slice(0, 19);

/** The quarter of an hour that is running: a plan is not made anew every second. */
export function planningTime(): string {
  const now = localNow();
  const quarter = String(Math.floor(Number(now.slice(14, 16)) / 15) * 15).padStart(2, '0');
  return `${now.slice(0, 14)}${quarter}:00`;
}
