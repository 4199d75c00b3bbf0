import { aboutRange, aboutTime, finishWords, roundTime, startWords, wholeHands } from './timeWords';

test.each([
  [4, '4 min'],
  [37, '37 min'],
  [60, 'about 1 hour'],
  [82, 'about 1½ hours'],
  [368, 'about 6 hours'],
  [600, 'about 10 hours'],
  [1110, 'about 19 hours'],
])('%d minutes of work are said as %s', (minutes, words) => {
  expect(aboutTime(minutes)).toBe(words);
  expect(roundTime(minutes)).toBe(words.replace('about ', '').replace(/ hours?$/, ' h'));
});

test('a range is said in the same words; one that is none is not said', () => {
  expect(aboutRange(23, 41)).toBe('25 to 40 min');
  expect(aboutRange(258, 549)).toBe('4½ to 9 hours');
  expect(aboutRange(40, 70)).toBe('40 min to 1 hour');
  expect(aboutRange(600, 610)).toBeUndefined();
});

test('the end is said to the hour today and tomorrow, and to the part of the day after that', () => {
  const today = '2026-12-01T09:00:00';
  expect(finishWords('2026-12-01T16:30:00', today)).toEqual({ value: '16:30', note: 'Tuesday 1 December' });
  expect(finishWords('2026-12-11T10:47:00', today)).toEqual({ value: 'Fri 11 Dec', note: 'in the morning' });
});

test('the hands of a piece are told whole, with their range and what is left', () => {
  const table = { handsMin: 425, leftMin: 425, range: { leastMin: 300, mostMin: 560 } };
  expect(wholeHands(table)).toBe('about 7 hours in all, 5 to 9½ hours');
  expect(wholeHands({ ...table, leftMin: 95 })).toBe('about 7 hours in all, 5 to 9½ hours; about 1½ hours are left'); // prettier-ignore
  expect(wholeHands({ ...table, leftMin: 20 })).toMatch(/; 20 min are left$/);
});

test('the hour is said for today and tomorrow; for a day further off the part of the day', () => {
  const today = '2026-12-01T09:00:00';
  expect(startWords('2026-12-01T14:45:00', today)).toBe('14:45');
  expect(startWords('2026-12-02T08:00:00', today)).toBe('08:00');
  expect(['08:00', '11:59', '12:00', '16:59', '17:00'].map((t) => startWords(`2026-12-03T${t}:00`, today))).toEqual(['Morning', 'Morning', 'Afternoon', 'Afternoon', 'Evening']); // prettier-ignore
});
