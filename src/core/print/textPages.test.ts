import { PAPERS } from './drawing';
import { setPages, type Block } from './textPages';

test('however long the text, nothing stands below the foot of its page, none of it is lost, and pages are filled', () => {
  const paragraphs = Array.from({ length: 40 }, (_, i): Block => ({ kind: 'paragraph', text: `${i} ${'word '.repeat(10 + 7 * (i % 9))}` })); // prettier-ignore
  const pages = setPages(paragraphs, 'a4', 'foot');
  const { heightMm } = PAPERS.a4;
  const texts = pages.map((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [{ y: m.at[1], text: m.text }] : []))); // prettier-ignore
  const body = texts.map((page) => page.filter((t) => t.text.includes('word')));
  expect(pages.length).toBeGreaterThan(2);
  for (const page of body) for (const t of page) expect(t.y).toBeLessThan(heightMm - 15);
  // A page is turned only when the next line would not fit any more.
  for (const page of body.slice(0, -1))
    expect(Math.max(...page.map((t) => t.y))).toBeGreaterThan(heightMm - 45);
  expect(body.flat().map((t) => t.text).join(' ').match(/word/g)).toHaveLength(
    paragraphs.reduce((n, _, i) => n + 10 + 7 * (i % 9), 0),
  ); // prettier-ignore
});

const marksOf = (blocks: Block[]) => setPages(blocks, 'a4', 'foot').map((p) => p.marks);

test('pages are counted from one, with the foot on each', () => {
  const many = Array.from({ length: 90 }, (_, i): Block => ({ kind: 'paragraph', text: `Line ${i}` }));
  const pages = marksOf(many);
  pages.forEach((marks, i) => {
    const texts = marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(texts).toContain(`${i + 1} of ${pages.length}`);
    expect(texts).toContain('foot');
  });
});

test('a tick stands inside its box, and pictures stand two in a row, none twice', () => {
  const [checked = []] = marksOf([{ kind: 'check', title: 'Glue', detail: 'Wipe at once.', ticked: true }]);
  const box = checked.find((m) => m.kind === 'polygon');
  const strokes = checked.filter((m) => m.kind === 'line');
  expect(strokes).toHaveLength(2);
  if (box?.kind !== 'polygon') throw new Error('no box');
  const xs = box.points.map((p) => p[0]);
  const ys = box.points.map((p) => p[1]);
  for (const s of strokes)
    for (const [x, y] of [s.from, s.to]) {
      expect(x).toBeGreaterThan(Math.min(...xs));
      expect(x).toBeLessThan(Math.max(...xs));
      expect(y).toBeGreaterThan(Math.min(...ys));
      expect(y).toBeLessThan(Math.max(...ys));
    }
  // Down to its foot, then up to the right.
  expect(strokes.every((s) => s.to[0] > s.from[0])).toBe(true);
  expect(strokes[0]?.to).toEqual(strokes[1]?.from);
  const items = ['a', 'b', 'c'].map((caption) => ({ jpeg: new Uint8Array(), aspect: 1.5, caption }));
  const [shown = []] = marksOf([{ kind: 'pictures', items }]);
  const pictures = shown.filter((m) => m.kind === 'picture');
  expect(pictures.map((p) => p.name)).toEqual(['a', 'b', 'c']);
  expect(pictures[0]?.at[1]).toBe(pictures[1]?.at[1]);
  expect(pictures[2]?.at[1]).toBeGreaterThan((pictures[0]?.at[1] ?? 0) + 20);
});

test('no line is longer than its room: a mean letter is half as wide as it is tall', () => {
  const [marks = []] = marksOf([{ kind: 'paragraph', text: 'word '.repeat(80) }]);
  const longest = Math.max(...marks.flatMap((m) => (m.kind === 'text' ? [m.text.length] : [])));
  expect(longest * 3.5 * 0.5).toBeGreaterThan(120);
  expect(longest * 3.5 * 0.5).toBeLessThan(PAPERS.a4.widthMm - 20);
});
