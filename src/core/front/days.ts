import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { byTime, DAY_MIN, minutesFrom } from '../calendar';
import type { Bar } from './front';

/** Whole days from one day to another, both as `2026-05-01` or longer; negative when it is past. */
export const daysUntil = (day: string, today: string): number =>
  Math.round(
    (minutesFrom(`${day.slice(0, 10)}T00:00:00`) - minutesFrom(`${today.slice(0, 10)}T00:00:00`)) / DAY_MIN,
  );

/** How long there is until a day, in words. */
export function daysLeft(deadline: string, today: string): string {
  const days = daysUntil(deadline, today);
  if (days === 0) return 'Due today';
  if (days < 0) return `${-days} ${days === -1 ? 'day' : 'days'} late`;
  return `${days} ${days === 1 ? 'day' : 'days'} left`;
}

/** A day as it is said: “Monday 2 March”. */
export const dayText = (day: string): string => format(parseISO(day), 'EEEE d MMMM');

/** “morning”, “afternoon” or “evening”. @param at local time */
export function partOfDay(at: string): string {
  const hour = Number(at.slice(11, 13));
  return hour < 12 ? 'morning' : hour < 17 ? 'afternoon' : 'evening';
}
/** So many days ahead the hour of a step can be known. */
export const HOUR_KNOWN_DAYS = 1;

/** When the next step begins, with its day: “14:45 on Tuesday 1 December”, “Friday 4 December, in the morning”. */
export const nextWords = (at: string, today: string): string =>
  daysUntil(at, today) <= HOUR_KNOWN_DAYS
    ? `${at.slice(11, 16)} on ${dayText(at)}`
    : `${dayText(at)}, in the ${partOfDay(at)}`;

/** Days on which something is still to be begun, `2026-03-02`. */
export const daysOf = (bars: readonly Bar[]): string[] =>
  [...new Set(bars.filter((b) => !b.done && b.start !== b.attendedEnd).map((b) => b.start.slice(0, 10)))].sort(); // prettier-ignore

/** Bars that touch a day, in the order of their beginning. */
export const barsOn = (bars: readonly Bar[], day: string): Bar[] => {
  const from = `${day}T00:00:00`;
  const to = `${day}T23:59:59`;
  return bars.filter((b) => b.end > from && b.start <= to).sort((a, b) => byTime(a.start, b.start));
};

/** The most clamps of each kind that are in use at one time on a day. */
export function clampsInUse(bars: readonly Bar[], day: string): Record<string, number> {
  const most: Record<string, number> = {};
  const held = barsOn(bars, day);
  // The number in use rises only when a step begins.
  for (const at of held.map((b) => (b.start.slice(0, 10) < day ? `${day}T00:00:00` : b.start))) {
    const now: Record<string, number> = {};
    for (const b of held.filter((o) => o.start <= at && o.end > at))
      for (const [kind, count] of Object.entries(b.clamps)) now[kind] = (now[kind] ?? 0) + count;
    for (const [kind, count] of Object.entries(now)) most[kind] = Math.max(most[kind] ?? 0, count);
  }
  return most;
}

/** How a day that is wanted stands against the one that is reached; negative when it is late. */
export const slackDays = (wanted: string, ready: string): number => daysUntil(wanted, ready);

export function slackWords(days: number): string {
  const count = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return days === 0 ? 'Ready on the day' : days > 0 ? `${count} to spare` : `${count} too late`;
}

/** The day on which the last step of a piece ends, `2026-05-01`; nothing while it has no days. */
export function readyOn(bars: readonly Bar[], pieceId: string): string | undefined {
  const ends = bars.filter((b) => b.pieceId === pieceId).map((b) => b.end);
  return ends.length > 0 ? ends.reduce((a, b) => (a > b ? a : b)).slice(0, 10) : undefined;
}
