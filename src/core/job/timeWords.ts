import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { daysUntil, dayText, HOUR_KNOWN_DAYS, partOfDay } from '../front';
import { upperFirst } from '../terms';
import { formatMinutes } from '../units';

/** Half hours as they are said: “1½”, “6”; whole ones from ten on. */
function halfHours(minutes: number): string {
  const half = Math.round(minutes / 30) / 2;
  if (half >= 10) return `${Math.round(minutes / 60)}`;
  return half % 1 === 0 ? `${half}` : `${half >= 1 ? Math.floor(half) : ''}½`;
}

/** Minutes of work, short: “38 min”, and rounded from an hour on, since nobody knows them to the minute: “1½ h”, “6 h”. */
export const roundTime = (minutes: number): string =>
  minutes < 60 ? formatMinutes(minutes) : `${halfHours(minutes)} h`;

/** The same as they are said: “38 min”, “about 1½ hours”, “about 6 hours”. */
export function aboutTime(minutes: number): string {
  if (minutes < 60) return roundTime(minutes);
  const hours = halfHours(minutes);
  return `about ${hours} ${hours === '1' ? 'hour' : 'hours'}`;
}

/** From the least to the most of such minutes: “25 to 40 min”, “4½ to 9 hours”; nothing where both are said alike. */
export function aboutRange(leastMin: number, mostMin: number): string | undefined {
  if (mostMin < 60) {
    const [least, most] = [5 * Math.round(leastMin / 5), 5 * Math.round(mostMin / 5)];
    return least === most ? undefined : `${least} to ${most} min`;
  }
  const [least, most] = [halfHours(leastMin), halfHours(mostMin)];
  const hours = `${most} ${most === '1' ? 'hour' : 'hours'}`;
  if (leastMin < 60) return `${5 * Math.round(leastMin / 5)} min to ${hours}`;
  return least === most ? undefined : `${least} to ${hours}`;
}

/** When something begins on its day: the hour today and tomorrow, “Morning”, “Afternoon” or “Evening” after that. */
export const startWords = (at: string, today: string): string =>
  daysUntil(at, today) <= HOUR_KNOWN_DAYS ? at.slice(11, 16) : upperFirst(partOfDay(at));

/** When all is over: “16:30, Tuesday 1 December”, or “Fri 11 Dec, in the afternoon” where nobody can know the hour. */
export function finishWords(at: string, today: string): { value: string; note: string } {
  if (daysUntil(at, today) <= HOUR_KNOWN_DAYS) return { value: at.slice(11, 16), note: dayText(at) };
  const day = parseISO(at);
  return { value: format(day, 'EEE d MMM'), note: `in the ${partOfDay(at)}` };
}

/** The hands of a whole piece: “about 7 hours in all, 5 to 9 hours; about 4 hours are left”. */
export function wholeHands(table: {
  handsMin: number;
  leftMin: number;
  range: { leastMin: number; mostMin: number };
}): string {
  const range = aboutRange(table.range.leastMin, table.range.mostMin);
  const left = table.leftMin < table.handsMin ? `; ${aboutTime(table.leftMin)} are left` : '';
  return `${aboutTime(table.handsMin)} in all${range ? `, ${range}` : ''}${left}`;
}
