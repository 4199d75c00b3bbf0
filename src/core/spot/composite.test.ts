import type { Point } from '../geometry';
import type { Raster } from '../picture';
import { patcherOf, type PatchAt } from './composite';

const flat = (width: number, height: number, colour: (x: number, y: number) => readonly number[]): Raster => {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set(colour(x, y), 4 * (y * width + x));
  return { data, width, height };
};
const patched = (face: Raster, mm: number, patch: Point[], within: Point[], ringMm: number, sheet: Raster, sheetMm: number, place: PatchAt) => {
  const patcher = patcherOf(face, mm, patch, within, ringMm, sheet, sheetMm);
  return { before: patcher.before, asCut: patcher.with(place, false), toned: patcher.with(place, true) };
}; // prettier-ignore
const at = ({ data, width }: Raster, x: number, y: number): number[] => [...data.subarray(4 * (y * width + x), 4 * (y * width + x) + 3)]; // prettier-ignore
const PATCH: Point[] = [[20, 20], [40, 20], [40, 40], [20, 40]]; // prettier-ignore
const FACE: Point[] = [[0, 0], [60, 0], [60, 34], [0, 34]]; // prettier-ignore

test('each place of the patch shows its place on the sheet, flipped and turned; what hangs over is not drawn', () => {
  const face = flat(60, 60, () => [100, 80, 60, 255]);
  // Across the sheet red rises, down it green.
  const sheet = flat(120, 120, (x, y) => [x, y, 7, 255]);
  const { asCut, before } = patched(face, 1, PATCH, FACE, 8, sheet, 1, { xMm: 60, yMm: 50, degrees: 90, flipped: true }); // prettier-ignore
  // 25.5, 22.5 is −4.5, −7.5 from the middle; flipped 4.5, −7.5; a quarter turn clockwise 7.5, 4.5.
  const [red = 0, green = 0] = at(asCut, 25, 22);
  expect([Math.abs(red - 67), Math.abs(green - 54)].every((d) => d <= 1)).toBe(true);
  expect(at(before, 25, 22)).toEqual([100, 80, 60]);
  expect(at(asCut, 25, 37)).toEqual([100, 80, 60]);
  expect(at(asCut, 5, 5)).toEqual([100, 80, 60]);
});

test('brought near, the patch has the mean colour of the wood round it', () => {
  const face = flat(60, 60, () => [120, 90, 60, 255]);
  const sheet = flat(120, 120, (x) => (x % 2 ? [150, 100, 80, 255] : [170, 120, 100, 255]));
  const { toned } = patched(face, 1, PATCH, [[0, 0], [60, 0], [60, 60], [0, 60]], 8, sheet, 1, { xMm: 60, yMm: 50, degrees: 0, flipped: false }); // prettier-ignore
  const sum = [0, 0, 0];
  for (let y = 20; y < 40; y++)
    for (let x = 20; x < 40; x++) at(toned, x, y).forEach((v, c) => (sum[c] = (sum[c] ?? 0) + v / 400));
  expect(sum.map(Math.round)).toEqual([120, 90, 60]);
});

test('what lies beyond a face that was redrawn is left as paper', () => {
  const face = flat(60, 60, (x) => (x > 50 ? [0, 0, 0, 0] : [120, 90, 60, 255]));
  const sheet = flat(90, 90, () => [150, 100, 80, 255]);
  const { before, asCut } = patched(face, 1, PATCH, FACE, 8, sheet, 1, { xMm: 45, yMm: 45, degrees: 0, flipped: false }); // prettier-ignore
  expect(at(before, 55, 10)).toEqual([246, 241, 230]);
  expect(at(asCut, 30, 30)).toEqual([150, 100, 80]);
});

test('between pixels of the sheet its four neighbours are weighed by their distances (bilinear, written apart)', () => {
  const face = flat(60, 60, () => [100, 80, 60, 255]);
  const noise = (x: number, y: number, c: number): number =>
    (((x * 73 + y * 151 + c * 37) * 2654435761) % 251) | 0;
  const sheet = flat(90, 90, (x, y) => [noise(x, y, 0), noise(x, y, 1), noise(x, y, 2), 255]);
  const { asCut } = patched(face, 1, PATCH, FACE, 8, sheet, 1, { xMm: 45.3, yMm: 44.8, degrees: 0, flipped: false }); // prettier-ignore
  for (const [x, y] of [
    [22, 21],
    [31, 30],
    [38, 25],
  ] as const) {
    // Its middle lies this far from the patch's, and so far from the first pixel's middle on the sheet.
    const [px, py] = [x + 0.5 - 30 + 45.3 - 0.5, y + 0.5 - 30 + 44.8 - 0.5];
    const [i, j] = [Math.floor(px), Math.floor(py)];
    const of = (c: number): number =>
      [[0, 0], [1, 0], [0, 1], [1, 1]].reduce((sum, [a = 0, b = 0]) => sum + (1 - Math.abs(px - i - a)) * (1 - Math.abs(py - j - b)) * noise(i + a, j + b, c), 0); // prettier-ignore
    at(asCut, x, y).forEach((v, c) => expect(Math.abs(v - of(c))).toBeLessThanOrEqual(0.51));
  }
});

test('the wood round it counts only where the face was photographed', () => {
  // Right of the patch nothing is known: what lies there is black and see-through.
  const face = flat(60, 60, (x) => (x >= 41 ? [0, 0, 0, 0] : [120, 90, 60, 255]));
  const sheet = flat(90, 90, () => [200, 150, 100, 255]);
  const { toned } = patched(face, 1, PATCH, [[0, 0], [60, 0], [60, 60], [0, 60]], 8, sheet, 1, { xMm: 45, yMm: 45, degrees: 0, flipped: false }); // prettier-ignore
  expect(at(toned, 30, 30)).toEqual([120, 90, 60]);
});
