import fc from 'fast-check';
import { plainNumber } from '.';

test.each([
  ['12', 12],
  [' -0.5 ', -0.5],
  ['2,5', 2.5],
  ['−3', -3],
  ['.5', 0.5],
  ['7.', 7],
])('%p is %p', (text, value) => {
  expect(plainNumber(text)).toBe(value);
});

test.each(['0x10', '0b11', '0o7', '1e3', 'Infinity', 'NaN', '', ' ', '1 2', '1.2.3', '1,2,3', '--1', '٣', '１２'])(
  '%p is no number that a person writes',
  (text) => {
    expect(plainNumber(text)).toBeNaN();
  },
); // prettier-ignore

test('whatever a number is written as with a few places is read back', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.nat(4), (value, places) => {
      const text = value.toFixed(places);
      expect(plainNumber(text)).toBe(parseFloat(text));
      expect(plainNumber(text.replace('.', ','))).toBe(parseFloat(text));
    }),
  );
});
