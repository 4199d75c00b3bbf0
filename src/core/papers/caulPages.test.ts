import { caulPages } from './caulPages';

const bow = { lengthMm: 620, midCamberMm: 1, endForceN: 500, height: (x: number) => 4 * (x / 620) * (1 - x / 620), offsets: [{ xMm: 155, mm: 0.75 }, { xMm: 310, mm: 1 }] }; // prettier-ignore

test('a caul of 620 mm takes three sheets of 250 mm, each numbered, its line as long as its part', () => {
  const pages = caulPages(bow, 'a4', 'Caul', { length: 'mm', temperature: 'C' });
  const texts = pages.map(({ marks }) =>
    marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])).join(' | '),
  );
  expect(texts.map((t) => /Sheet \d of \d: .*? from the left end/.exec(t)?.[0])).toEqual([
    'Sheet 1 of 3: 0 mm to 250 mm from the left end',
    'Sheet 2 of 3: 250 mm to 500 mm from the left end',
    'Sheet 3 of 3: 500 mm to 620 mm from the left end',
  ]);
  const lengths = pages.map(({ marks }) =>
    marks.flatMap((m) => (m.kind === 'line' && m.dashed ? [m.to[0] - m.from[0]] : [])),
  );
  expect(lengths).toEqual([[250], [250], [120]]);
  // The bow is drawn at full size above the line.
  const heights = pages.map(({ marks }) => {
    const base = marks.find((m) => m.kind === 'line' && m.dashed);
    if (base?.kind !== 'line') throw new Error('no line to plane to');
    return Math.max(
      ...marks.flatMap((m) => (m.kind === 'line' && m.widthMm === 0.35 ? [base.from[1] - m.to[1]] : [])),
    );
  });
  expect(heights[1]).toBeCloseTo(1, 2);
});
