import type { Point } from '../geometry';
import { spotSheet, type SpotSheetInput } from './spotSheet';

const OUTLINE: Point[] = [[30, 20], [80, 20], [70, 50], [20, 50]]; // prettier-ignore
const input: SpotSheetInput = { title: 'Patch', jpeg: new Uint8Array(), name: 'walnut', wideMm: 160, tallMm: 100, outline: OUTLINE, notes: ['From the show face.'], paper: 'a4' }; // prettier-ignore
const texts = (given: SpotSheetInput): string[] => spotSheet(given).marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])); // prettier-ignore

test('a sheet that fits is printed as large as it is, the outline where it lies on it', () => {
  const { marks } = spotSheet(input);
  const picture = marks.find((m) => m.kind === 'picture');
  expect(picture).toMatchObject({ widthMm: 160, heightMm: 100 });
  const [x, y] = picture?.kind === 'picture' ? picture.at : [0, 0];
  const drawn = marks.filter((m) => m.kind === 'polygon').at(-1);
  expect(drawn?.kind === 'polygon' ? drawn.points : []).toEqual(OUTLINE.map(([px, py]) => [px + x, py + y]));
  expect(texts(input)).toContain('Its outline stands 20.0 mm off the left edge of the photo and 20.0 mm off its upper edge.'); // prettier-ignore
  expect(texts(input).some((t) => t.startsWith('As large as it is'))).toBe(true);
});

test('a larger sheet is drawn at a round scale within the paper, and nothing leaves it', () => {
  const large = { ...input, wideMm: 900, tallMm: 300 };
  expect(texts(large).some((t) => t.startsWith('1 mm on paper is 5 mm of the sheet'))).toBe(true);
  for (const mark of spotSheet(large).marks) {
    const points = mark.kind === 'polygon' ? mark.points : mark.kind === 'line' ? [mark.from, mark.to] : [mark.at]; // prettier-ignore
    for (const [x, y] of points) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(210);
      expect(y).toBeLessThanOrEqual(297);
    }
  }
});

test('both distances are drawn and measured; an outline at the very edge has none to measure', () => {
  const measures = (outline: Point[]): number =>
    spotSheet({ ...input, outline }).marks.filter((m) => m.kind === 'line' && m.widthMm < 0.5).length;
  const off = measures(OUTLINE);
  const atTop = measures(OUTLINE.map(([x, y]): Point => [x, y - 20]));
  const atBoth = measures(OUTLINE.map(([x, y]): Point => [x - 20, y - 20]));
  expect(off).toBeGreaterThan(atTop);
  expect(atTop).toBeGreaterThan(atBoth);
});
