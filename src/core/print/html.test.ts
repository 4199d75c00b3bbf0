import { setPages } from './textPages';
import { toHtml } from './html';

const pages = setPages(
  [
    { kind: 'heading', level: 1, text: 'Lectern <script>alert(1)</script>' },
    { kind: 'drawing', widthMm: 600, heightMm: 450, caption: 'Slope', marks: [
      { kind: 'polygon', points: [[0, 0], [600, 0], [600, 450], [0, 450]], widthMm: 0.3 },
      { kind: 'text', at: [300, 225], text: '1', sizeMm: 3 },
    ] },
    { kind: 'paragraph', text: 'word '.repeat(4000) },
  ],
  'a4',
  'Condition of Lectern',
); // prettier-ignore

test('one sheet a page, at true size, with nothing fetched and nothing run', () => {
  const html = toHtml('Condition of <Lectern>', pages);
  expect(html).toContain('@page { size: 210mm 297mm');
  expect(html.match(/<svg /g)).toHaveLength(pages.length);
  expect(html).toContain('<title>Condition of &lt;Lectern&gt;</title>');
  expect(html).not.toContain('<script');
  expect(html).not.toMatch(/(src|href)="http/);
});

test('a drawing is made to fit the page, its places with it, its letters not', () => {
  const marks = pages[0]?.marks ?? [];
  const face = marks.find((m) => m.kind === 'polygon');
  const xs = face?.kind === 'polygon' ? face.points.map((p) => p[0]) : [];
  // A4 less two margins of 18 mm.
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(174, 6);
  const number = marks.find((m) => m.kind === 'text' && m.text === '1');
  expect(number).toMatchObject({ sizeMm: 3, at: [18 + 87, expect.any(Number)] });
});
