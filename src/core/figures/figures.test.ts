import { practice, sourced } from '../sources';
import { figureOf, LAYING, learnedFrom } from '.';

const book = sourced(30, practice());
const own = { value: 40, by: 'your own product' };

test('the book counts until something better is known', () => {
  expect(figureOf(book, {})).toEqual(book);
  expect(figureOf(book, { own: { value: undefined, by: 'nobody' }, shares: [2, 2] })).toEqual(book);
});

test('the owner’s own goes before the book, and says whose it is', () => {
  const figure = figureOf(book, { own });
  expect(figure.value).toBe(40);
  expect(figure.source).toEqual({ kind: 'measured', by: 'your own product' });
});

test('what the log has shown three times goes before both, with its spread', () => {
  // Five times: 15, 24, 30, 45 and 90 min of 30. By hand: the middle is 30, the quartiles 24 and 45.
  const figure = figureOf(book, { own, shares: [0.5, 3, 1.5, 0.8, 1] });
  expect(figure.value).toBe(30);
  expect(figure.least).toBeCloseTo(24);
  expect(figure.most).toBeCloseTo(45);
  expect(figure.source).toMatchObject({ kind: 'measured', by: expect.stringContaining('5 times') });
});

test('only entries that know the book’s minutes teach anything, and slips of the finger do not', () => {
  const day = (n: number): string => `2026-03-${String(n).padStart(2, '0')}T10:00:00`;
  expect(
    learnedFrom([
      { step: 'burnIn.fill', bookMin: 20, actualMin: 30, doneAt: day(2) },
      { step: 'burnIn.fill', bookMin: 20, actualMin: 10, doneAt: day(1) },
      { step: 'burnIn.fill', bookMin: 20, actualMin: 900, doneAt: day(3) },
      { step: 'burnIn.fill', bookMin: 20, actualMin: 0, doneAt: day(4) },
      { step: LAYING, bookMin: 4, actualMin: 5, doneAt: day(5) },
      { actualMin: 5, doneAt: day(6) },
      { step: 'burnIn.fill', actualMin: 5, doneAt: day(7) },
    ]),
  ).toEqual({ 'burnIn.fill': [0.5, 1.5], laying: [1.25] });
});

test('a hand gets quicker: the last twenty times count', () => {
  const entries = Array.from({ length: 25 }, (_, i) => ({
    step: LAYING,
    bookMin: 10,
    actualMin: i + 1,
    doneAt: `2026-03-01T10:${String(i).padStart(2, '0')}:00`,
  }));
  const { laying = [] } = learnedFrom(entries);
  expect(laying).toHaveLength(20);
  expect(laying[0]).toBeCloseTo(0.6);
});
