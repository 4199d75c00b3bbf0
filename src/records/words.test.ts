import { fieldWords, valueWords } from './words';

test('a long text is cut where it can still be told from another, a short one is whole', () => {
  expect(valueWords('a'.repeat(158))).toBe(`“${'a'.repeat(158)}”`);
  expect(valueWords('a'.repeat(159))).toBe(`“${'a'.repeat(159)} …`);
  expect(valueWords({ finishNow: 'wax', veneerMm: 0.61234 })).toBe('finish now “wax”; veneer, mm 0.612');
});

test('fields and values as they are read', () => {
  expect(fieldWords('roughAreaMm2')).toBe('rough area, mm²');
  // As the page about a piece calls it.
  expect(fieldWords('client')).toBe('owner');
  expect(fieldWords('constructor')).toBe('constructor');
  expect([undefined, '', null, {}].map(valueWords)).toEqual(['nothing', 'nothing', 'nothing', 'nothing']);
  expect([[1], [1, 2], true].map(valueWords)).toEqual(['one entry', '2 entries', 'yes']);
});
