import { formatBytes, formatMinutes } from '.';

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
