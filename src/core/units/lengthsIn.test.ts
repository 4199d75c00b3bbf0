import { formatLength, lengthsIn } from '.';

test('lists of lengths, with spaces inside them', () => {
  expect(lengthsIn('400, 300; 400,300', 'mm')).toEqual([400, 300, 400, 300]);
  expect(lengthsIn('9 5/8, 12', 'in')).toEqual([expect.closeTo(244.475, 6), expect.closeTo(304.8, 6)]);
  expect(lengthsIn(' , ', 'mm')).toEqual([]);
  expect(() => lengthsIn('400, long', 'mm')).toThrow(RangeError);
});

test.each(['mm', 'in'] as const)('what the app writes in %s is read back', (unit) => {
  for (const mm of [12, 245, 1016])
    expect(Math.abs((lengthsIn(formatLength(mm, unit), unit)[0] ?? 0) - mm)).toBeLessThan(0.5);
});
