import { printerScaleFrom, printerWords, PRINTER_SCALES } from '.';

test('a bar that comes out too long makes the next print smaller; a second measurement goes on from there', () => {
  const first = printerScaleFrom(1, 100.8);
  expect(first).toBeCloseTo(1.008, 12);
  // With the correction in, the bar is true, or a little short: what is measured then multiplies.
  expect(printerScaleFrom(first, 100)).toBe(first);
  expect(printerScaleFrom(first, 99.9)).toBeCloseTo(1.008 * 0.999, 12);
  expect(printerScaleFrom(1.04, 105)).toBe(PRINTER_SCALES.most);
});

test('it is said which way the printer is off', () => {
  expect(printerWords(1)).toBe('Printed as drawn.');
  expect(printerWords(1.008)).toContain('0.8 % too large; sheets are drawn so much smaller');
  expect(printerWords(0.99)).toContain('1.0 % too small; sheets are drawn so much larger');
});
