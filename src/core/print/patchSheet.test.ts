import fc from 'fast-check';
import type { Point, Polygon } from '../geometry';
import type { Patch } from '../veneer';
import { patchSheet, PAPERS, toSvg, type Mark, type Page, type Paper } from '.';

const box = (w: number, h: number): Polygon => [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore

const patch = (alongMm: number, acrossMm: number): Patch => ({
  shape: 'square',
  outline: box(alongMm, acrossMm),
  recess: box(alongMm, acrossMm),
  alongMm,
  acrossMm,
  areaMm2: alongMm * acrossMm,
  overhangSides: [],
});

const sheet = (alongMm: number, acrossMm: number, paper: Paper = 'a4', grainDeg = 0): Page[] =>
  patchSheet({
    title: 'Slope & <patch>',
    patch: patch(alongMm, acrossMm),
    damage: box(10, 10),
    grainDeg,
    paper,
    notes: ['Cut from: old burr.'],
  });

type Line = Extract<Mark, { kind: 'line' }>;
/** Full lines of 0.3 mm beside the bar's own are the cutting line. */
const cutting = (page: Page): Line[] =>
  page.marks.filter(
    (m): m is Line => m.kind === 'line' && m.widthMm === 0.3 && m.from[1] < page.heightMm - 30 && !m.dashed,
  );
const length = ({ from, to }: Line): number => Math.hypot(from[0] - to[0], from[1] - to[1]);

test('a patch that fits is on one sheet at its true size, along the grain up the page', () => {
  const [page, ...more] = sheet(120, 40);
  expect(more).toEqual([]);
  const lines = page ? cutting(page) : [];
  expect(lines.map(length).sort((a, b) => a - b)).toEqual(
    [40, 40, 120, 120].map((v) => expect.closeTo(v, 6)),
  );
  for (const l of lines.filter((line) => length(line) > 100)) expect(l.from[0]).toBeCloseTo(l.to[0], 6);
});

const hatch = (page: Page): Line[] =>
  page.marks.filter((m): m is Line => m.kind === 'line' && m.widthMm === 0.1);

test('the grain is hatched inside the outline: along it, evenly, together as long as its area over their distance', () => {
  const kite: Polygon = [[0, 0], [60, 20], [0, 40], [-60, 20]]; // prettier-ignore
  for (const grainDeg of [0, 30]) {
    const [page] = patchSheet({ title: 't', patch: { outline: kite, recess: kite }, damage: [], grainDeg, paper: 'a4', notes: [] }); // prettier-ignore
    const lines = page ? hatch(page) : [];
    for (const l of lines) expect(l.from[0]).toBeCloseTo(l.to[0], 9);
    const xs = lines.map((l) => l.from[0]).sort((a, b) => a - b);
    const apart = (xs[1] ?? 0) - (xs[0] ?? 0);
    // Midpoint sums of a kite's chords: 120 × 40 / 2 = 2400 mm².
    expect((lines.reduce((sum, l) => sum + length(l), 0) * apart) / 2400).toBeCloseTo(1, 1);
  }
});

test('for the back it is mirrored, and says so', () => {
  const hook: Polygon = [[0, 0], [80, 0], [80, 10], [20, 10], [20, 50], [0, 50]]; // prettier-ignore
  const of = (side: 'show' | 'back') =>
    patchSheet({ title: 't', patch: { outline: hook, recess: hook }, damage: [], grainDeg: 90, paper: 'a4', notes: [], side })[0]; // prettier-ignore
  const [front, back] = [of('show'), of('back')];
  const xs = (page: Page | undefined) => (page ? cutting(page) : []).flatMap((l) => [l.from[0], l.to[0]]);
  const [f, b] = [xs(front), xs(back)];
  const middle = (list: number[]): number => (Math.min(...list) + Math.max(...list)) / 2;
  expect(b.map((x) => Math.round(1e6 * (middle(b) - x)))).toEqual(f.map((x) => Math.round(1e6 * (x - middle(f))))); // prettier-ignore
  const texts = (page: Page | undefined) => page?.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
  expect(texts(front)).toContain('Show side up');
  expect(texts(back)).toContain('Back up, mirrored');
});

test('the bar on every sheet measures 100 mm', () => {
  for (const page of sheet(600, 300)) {
    const bars = page.marks.filter((m): m is Line => m.kind === 'line' && Math.abs(length(m) - 100) < 1e-9);
    expect(bars).toHaveLength(1);
  }
});

test('what is larger than the paper runs over sheets that together carry all of it, and none leaves its sheet', () => {
  let single = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 900 }),
      fc.integer({ min: 20, max: 700 }),
      fc.constantFrom<Paper>('a4', 'letter'),
      (alongMm, acrossMm, paper) => {
        const pages = sheet(alongMm, acrossMm, paper);
        const { widthMm, heightMm } = PAPERS[paper];
        const drawn = pages.flatMap(cutting);
        for (const l of drawn) {
          for (const [x, y] of [l.from, l.to]) {
            expect(x).toBeGreaterThanOrEqual(15 - 1e-6);
            expect(x).toBeLessThanOrEqual(widthMm - 15 + 1e-6);
            expect(y).toBeLessThanOrEqual(heightMm - 15 + 1e-6);
          }
        }
        // Overlaps are drawn twice, so the sheets carry at least the whole outline.
        const whole = 2 * (alongMm + acrossMm);
        expect(drawn.reduce((s, l) => s + length(l), 0)).toBeGreaterThanOrEqual(whole - 1e-6);
        if (pages.length > 1) return;
        single++;
        expect(drawn.reduce((s, l) => s + length(l), 0)).toBeCloseTo(whole, 6);
      },
    ),
    { numRuns: 60 },
  );
  expect(single).toBeGreaterThan(2);
});

test('several sheets say which they are and carry marks to lay them together by', () => {
  const pages = sheet(500, 100);
  expect(pages.length).toBeGreaterThan(1);
  pages.forEach((page, i) => {
    const texts = page.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(texts).toContain(`Row ${i + 1} of ${pages.length}, column 1 of 1`);
  });
});

test('as SVG it is in millimetres, and what was typed cannot become markup', () => {
  const [page] = sheet(80, 30);
  const svg = page ? toSvg(page) : '';
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
  expect(svg).toContain('Slope &amp; &lt;patch&gt;');
  expect(svg).not.toContain('<patch>');
});

test('a grain that runs aslant is turned upright with everything on it', () => {
  const [page] = sheet(100, 30, 'a4', 30);
  const dirs = (page ? cutting(page) : []).map(({ from, to }): Point => [to[0] - from[0], to[1] - from[1]]);
  // The box's long sides lie along 0°, so with the grain at 30° they end 60° from the level.
  const long = dirs.filter((d) => Math.hypot(d[0], d[1]) > 50);
  for (const [dx, dy] of long)
    expect(Math.abs(Math.atan2(dy, dx) * (180 / Math.PI)) % 180).toBeCloseTo(dy >= 0 ? 60 : 120, 4);
});

test('title and notes stand one under the other, and the grain arrow has its name', () => {
  const [page] = patchSheet({ title: 'Slope', patch: patch(120, 40), damage: box(10, 10), grainDeg: 0, paper: 'a4', notes: ['First', 'Second'] }); // prettier-ignore
  const at = (text: string): readonly [number, number] => {
    const found = page?.marks.find((m) => m.kind === 'text' && m.text === text);
    if (found?.kind !== 'text') throw new Error(`“${text}” is not printed.`);
    return found.at;
  };
  expect(at('First')[1]).toBeGreaterThan(at('Slope')[1] + 4);
  expect(at('Second')[1]).toBeGreaterThan(at('First')[1] + 3);
  const arrow = page?.marks.find((m) => m.kind === 'line' && m.widthMm === 0.4);
  if (arrow?.kind !== 'line') throw new Error('no arrow');
  // Under the arrow, no farther from it than its own length.
  expect(at('Grain')[1]).toBeGreaterThan(Math.max(arrow.from[1], arrow.to[1]));
  expect(at('Grain')[1]).toBeLessThan(Math.max(arrow.from[1], arrow.to[1]) + 30);
});
