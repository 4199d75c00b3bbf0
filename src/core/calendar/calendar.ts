/** Local times without a zone, `2026-03-02T08:00:00`, counted in minutes; a shop clock knows no summer time. */
const LOCAL = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2}))?$/;
export const DAY_MIN = 1440;

/** @throws RangeError when the text is no local date and time */
export function minutesFrom(local: string): number {
  const m = LOCAL.exec(local);
  const [, y, mo, d, h, mi, s] = m ?? [];
  const time = Date.UTC(Number(y), Number(mo) - 1, Number(d), Number(h), Number(mi), Number(s ?? 0));
  const back = Number.isNaN(time) ? '' : new Date(time).toISOString().slice(0, 16);
  if (!m || back !== local.slice(0, 16)) {
    throw new RangeError(`“${local}” is not a date and time such as 2026-03-02T08:00:00.`);
  }
  return time / 60_000;
}

export const localFrom = (minutes: number): string =>
  new Date(Math.round(minutes * 60) * 1000).toISOString().slice(0, 19);

export type WorkingHours = { from: string; to: string };
export type Calendar = { fromMin: number; toMin: number; roundTheClock: boolean };

/** @throws RangeError for times that are none, or an end before the start */
export function calendarOf({ from, to }: WorkingHours): Calendar {
  const read = (text: string): number => {
    const m = /^(\d{2}):(\d{2})$/.exec(text);
    const minutes = m ? Number(m[1]) * 60 + Number(m[2]) : Number.NaN;
    if (!m || Number(m[2]) > 59 || minutes > DAY_MIN) {
      throw new RangeError(`The working hours hold “${text}”, which is not a time between 00:00 and 24:00.`);
    }
    return minutes;
  };
  const [fromMin, toMin] = [read(from), read(to)];
  if (toMin <= fromMin) throw new RangeError(`The working hours end at ${to}, before they begin at ${from}.`);
  return { fromMin, toMin, roundTheClock: fromMin === 0 && toMin === DAY_MIN };
}

/** First minute at or after `time` from which `duration` lies in one piece inside working hours. */
export function nextWorkable(
  { fromMin, toMin, roundTheClock }: Calendar,
  time: number,
  duration: number,
): number {
  if (roundTheClock || duration === 0) return time;
  const day = Math.floor(time / DAY_MIN) * DAY_MIN;
  const start = Math.max(time, day + fromMin);
  return start + duration <= day + toMin ? start : day + DAY_MIN + fromMin;
}

/** The moment at which so many working minutes have gone by since `time`. */
export function afterWorking(calendar: Calendar, time: number, minutes: number): number {
  if (minutes <= 0) return time;
  const { fromMin, toMin, roundTheClock } = calendar;
  if (roundTheClock) return time + minutes;
  const perDay = toMin - fromMin;
  const day = Math.floor(time / DAY_MIN) * DAY_MIN;
  const today = Math.max(0, day + toMin - Math.max(time, day + fromMin));
  if (minutes <= today) return Math.max(time, day + fromMin) + minutes;
  const rest = minutes - today;
  const fullDays = Math.ceil(rest / perDay) - 1;
  return day + DAY_MIN * (1 + fullDays) + fromMin + (rest - fullDays * perDay);
}

/** The order of two local times, for sorting; they are digits, which need no language to be compared in. */
export const byTime = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
