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
