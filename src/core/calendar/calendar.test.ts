import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import fc from 'fast-check';
import { afterWorking, calendarOf, DAY_MIN, localFrom, minutesFrom, nextWorkable } from '.';

const MONDAY = minutesFrom('2026-03-02T00:00:00');
/** Hours on the quarter, an end after the start. */
const hours = fc
  .tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 2, max: 96 }))
  .filter(([from, to]) => to - from >= 2)
  .map(([from, to]) => ({ from: 15 * from, to: 15 * to }));
const text = (min: number): string =>
  `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;
const open = (time: number, { from, to }: { from: number; to: number }): boolean =>
  time % DAY_MIN >= from && time % DAY_MIN < to;

test('working time goes by as counting it minute by minute gives', () => {
  fc.assert(
    fc.property(hours, fc.integer({ min: 0, max: 2 * DAY_MIN }), fc.integer({ min: 1, max: 1500 }), (h, at, minutes) => {
      const calendar = calendarOf({ from: text(h.from), to: text(h.to) });
      let time = MONDAY + at;
      for (let left = minutes; left > 0; time++) if (open(time, h)) left--;
      expect(afterWorking(calendar, MONDAY + at, minutes)).toBe(time);
    }),
    { numRuns: 200 },
  ); // prettier-ignore
});

test('work in one piece begins at the first minute from which all of it is inside the hours', () => {
  fc.assert(
    fc.property(hours, fc.integer({ min: 0, max: 2 * DAY_MIN }), fc.integer({ min: 1, max: 30 }), (h, at, minutes) => {
      const calendar = calendarOf({ from: text(h.from), to: text(h.to) });
      const fits = (time: number): boolean => Array.from({ length: minutes }, (_, i) => time + i).every((t) => open(t, h)) && Math.floor(time / DAY_MIN) === Math.floor((time + minutes - 1) / DAY_MIN);
      let time = MONDAY + at;
      while (!fits(time)) time++;
      // Round the clock a day ends nowhere.
      if (!calendar.roundTheClock) expect(nextWorkable(calendar, MONDAY + at, minutes)).toBe(time);
    }),
    { numRuns: 200 },
  ); // prettier-ignore
});

test('minutes and local times are each other’s inverse, and count days as date-fns does, over leap days and years', () => {
  const first = parseISO('2023-12-31');
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3 * 366 }), fc.integer({ min: 0, max: DAY_MIN - 1 }), (days, minute) => {
      const date = addDays(first, days);
      const local = `${format(date, 'yyyy-MM-dd')}T${text(minute)}:00`;
      expect(localFrom(minutesFrom(local))).toBe(local);
      const since = differenceInCalendarDays(date, first) * DAY_MIN + minute;
      expect(minutesFrom(local) - minutesFrom('2023-12-31T00:00:00')).toBe(since);
    }),
  ); // prettier-ignore
});

test('what is no time is refused by name', () => {
  for (const wrong of [
    '2026-02-30T08:00:00',
    '2026-03-02 08:00',
    '2026-03-02T24:10:00',
    'tomorrow',
    '2026-13-01T00:00:00',
  ])
    // prettier-ignore
    expect(() => minutesFrom(wrong)).toThrow(`“${wrong}” is not a date and time`);
  expect(() => calendarOf({ from: '08:00', to: '07:00' })).toThrow('before they begin');
  expect(() => calendarOf({ from: '8:00', to: '17:00' })).toThrow('“8:00”, which is not a time');
  expect(() => calendarOf({ from: '08:00', to: '24:01' })).toThrow('“24:01”');
  expect(calendarOf({ from: '00:00', to: '24:00' }).roundTheClock).toBe(true);
});
