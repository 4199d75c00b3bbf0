import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { PDFDocument, PrintScaling } from 'pdf-lib';
import { patchOutline } from '../veneer';
import type { Polygon } from '../geometry';
import { patchSheet, setPages, toSvg } from '../print';
import { toPdf } from './pdf';

const face: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const sheetFor = (damage: Polygon) =>
  patchSheet({
    title: 'Lectern, slope, damage 2 <corner>',
    patch: patchOutline({
      damage,
      face,
      grainDeg: 12,
      shape: 'lozenge',
      marginMm: 2.5,
      overhangMm: 6,
      slantDeg: 35,
    }),
    damage,
    grainDeg: 12,
    paper: 'a4',
    notes: ['Cherry no. 3, 0.6 mm', 'Two sheets of paper under it'],
  });
const SMALL: Polygon = [[560, 0], [600, 0], [600, 32], [570, 20]]; // prettier-ignore
const LARGE: Polygon = [[20, 100], [560, 100], [560, 260], [20, 260]]; // prettier-ignore
const font = (name: string): Uint8Array =>
  readFileSync(require.resolve(`@expo-google-fonts/atkinson-hyperlegible-next/${name}.ttf`));
const fonts = () => ({
  regular: font('400Regular/AtkinsonHyperlegibleNext_400Regular'),
  bold: font('700Bold/AtkinsonHyperlegibleNext_700Bold'),
});

/** Renders a page with poppler (an independent PDF reader) at 10 dots per millimetre. */
function rendered(
  pdf: Uint8Array,
  page: number,
): { width: number; height: number; dark: (x: number, y: number) => boolean } {
  const folder = mkdtempSync(path.join(tmpdir(), 'sheet-'));
  const file = path.join(folder, 'sheet.pdf');
  writeFileSync(file, pdf);
  execFileSync('pdftoppm', [
    '-r',
    '254',
    '-gray',
    '-f',
    String(page),
    '-l',
    String(page),
    '-singlefile',
    file,
    path.join(folder, 'p'),
  ]);
  const pgm = readFileSync(path.join(folder, 'p.pgm'));
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(pgm.subarray(0, 60).toString('latin1'));
  if (!head) throw new Error('not a PGM');
  const [width, height, start] = [Number(head[1]), Number(head[2]), head[0].length];
  return { width, height, dark: (x, y) => (pgm[start + y * width + x] ?? 255) < 128 };
}

function longestRun(page: ReturnType<typeof rendered>, fromY: number, toY: number): number {
  let longest = 0;
  for (let y = fromY; y < toY; y++) {
    let run = 0;
    for (let x = 0; x < page.width; x++) {
      run = page.dark(x, y) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
  }
  return longest;
}

test('a photo that cannot be opened stands as a frame with its name, and the others are printed', async () => {
  const broken = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);
  const pages = setPages(
    [
      { kind: 'pictures', items: [{ caption: 'Before, raking light', jpeg: broken, aspect: 1.5 }] },
      { kind: 'paragraph', text: 'Woodworm, Жук, and Sto\u0308hr\u0007' },
    ],
    'a4',
    'foot',
  );
  const { bytes, missing } = await toPdf('Record', pages, fonts());
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'sheet-')), 'sheet.pdf');
  writeFileSync(file, bytes);
  const text = execFileSync('pdftotext', [file, '-']).toString();
  expect(text).toContain('This photo cannot be opened.');
  expect(text).toContain('Before, raking light');
  expect(text).toContain('Stöhr');
  expect(missing).toEqual(['Ж', 'у', 'к']);
  const svg = toSvg(pages[0] ?? { widthMm: 0, heightMm: 0, marks: [] });
  // A picture that a browser cannot decode is not handed to it as a broken one.
  expect(svg).not.toContain('\u0007');
});

test('the check bar of the PDF measures 100 mm when poppler draws it', async () => {
  const page = rendered((await toPdf('Patch', sheetFor(SMALL), fonts())).bytes, 1);
  expect(page.width / 10).toBeCloseTo(210, 0);
  // At 10 dots per mm a line of 100 mm is 1000 dots and the width of its end ticks.
  const run = longestRun(page, 2650, 2850);
  expect(run).toBeGreaterThanOrEqual(998);
  expect(run).toBeLessThanOrEqual(1005);
});

test('for a printer that prints a hundredth too large the bar is drawn a hundredth shorter, about the middle of the page', async () => {
  const page = rendered((await toPdf('Patch', sheetFor(SMALL), fonts(), 1.01)).bytes, 1);
  const run = longestRun(page, 2600, 2850);
  expect(run * 1.01).toBeGreaterThanOrEqual(997);
  expect(run * 1.01).toBeLessThanOrEqual(1006);
  expect(run).toBeLessThan(997);
  await expect(toPdf('Patch', sheetFor(SMALL), fonts(), 1.5)).rejects.toThrow('The scale of the printer');
});

test('it asks the reader not to scale, and its text can be read out', async () => {
  const bytes = (await toPdf('Patch', sheetFor(SMALL), fonts())).bytes;
  const document = await PDFDocument.load(bytes);
  expect(document.catalog.getViewerPreferences()?.getPrintScaling()).toBe(PrintScaling.None);
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'sheet-')), 'sheet.pdf');
  writeFileSync(file, bytes);
  const text = execFileSync('pdftotext', [file, '-']).toString();
  expect(text).toContain('Lectern, slope, damage 2 <corner>');
  expect(text).toContain('it must be 100 mm');
});

test('a patch larger than the paper runs over pages, each with its bar and its place', async () => {
  const pages = sheetFor(LARGE);
  expect(pages.length).toBeGreaterThan(1);
  const pdf = (await toPdf('Patch', pages, fonts())).bytes;
  const last = rendered(pdf, pages.length);
  expect(longestRun(last, 2650, 2850)).toBeGreaterThanOrEqual(998);
  const words = pages.map((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])).join(' '));
  words.forEach((w, i) =>
    expect(w).toContain(`Row ${Math.floor(i / 2) + 1} of 3, column ${(i % 2) + 1} of 2`),
  );
  const rightmost = pages.flatMap((p) =>
    p.marks.flatMap((m) => (m.kind === 'line' ? [m.from[0], m.to[0]] : [])),
  );
  expect(rightmost.length).toBeGreaterThan(20);
  expect(Math.max(...rightmost)).toBeLessThanOrEqual(210);
});

test('the SVG is in millimetres, and text cannot break out of it', () => {
  const svg = toSvg(sheetFor(SMALL)[0] ?? { widthMm: 0, heightMm: 0, marks: [] });
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
  expect(svg).toContain('&lt;corner&gt;');
  const bar = /<line x1="([\d.]+)" y1="([\d.]+)" x2="([\d.]+)" y2="\2"/.exec(svg.slice(svg.indexOf('Grain')));
  expect(Number(bar?.[3]) - Number(bar?.[1])).toBe(100);
});

test('a long record runs over pages and loses no word', () => {
  const words = Array.from({ length: 900 }, (_, i) => `word${i}`);
  const pages = setPages(
    [
      { kind: 'heading', text: 'Record', level: 1 },
      { kind: 'paragraph', text: words.join(' ') },
    ],
    'letter',
    'foot',
  );
  expect(pages.length).toBeGreaterThan(1);
  const text = pages.flatMap((p) => p.marks.map((m) => (m.kind === 'text' ? m.text : ''))).join(' ');
  for (const w of words) expect(text).toContain(w);
});
