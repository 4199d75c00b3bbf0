import { aboutRange, aboutTime, formatBytes, formatMinutes, roundTime } from '.';

test.each([
  [0, '0 min'],
  [0.2, '12 s'],
  [40, '40 min'],
  [120, '2 h'],
  [160, '2 h 40 min'],
  [47 * 60, '47 h'],
  [48 * 60, '2 days'],
  [76 * 60, '3 days 4 h'],
])('%d minutes are read as %s', (minutes, words) => {
  expect(formatMinutes(minutes)).toBe(words);
});

test.each([
  [999, '999 bytes'],
  [3400, '3.4 kB'],
  [34_000_000, '34 MB'],
  [9_940_000_000, '9.9 GB'],
])('%d bytes are read as %s', (bytes, words) => {
  expect(formatBytes(bytes)).toBe(words);
});

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
