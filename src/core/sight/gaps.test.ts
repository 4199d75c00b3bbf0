import { seededRandom } from '../check';
import { REAL_WOOD, woodPhoto } from '../../testing/wood';
import type { Point } from '../geometry';
import type { Raster } from '../picture';
import { gapsWords, readGaps } from './gaps';

const MM_PER_PIXEL = 0.3;
const DARK = [28, 22, 18];

/** A photo with a gap drawn into it: each pixel is dark by the share of it that the gap covers, found by nine points. */
function gaping(
  wood: Raster,
  line: readonly [Point, Point],
  widthPx: (share: number) => number,
  blurPx: number,
): Raster {
  const data = Uint8ClampedArray.from(wood.data);
  const [a, b] = line;
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
  const light = (x: number): number => 1 / (1 + Math.exp(-x));
  const inside = (x: number, y: number): number => {
    const t = (x - a[0]) * ux + (y - a[1]) * uy;
    const off = Math.abs(-(x - a[0]) * uy + (y - a[1]) * ux);
    if (t < -3 || t > long + 3) return 0;
    // A lens that is out of focus lets a dark edge run out over some pixels.
    const half = widthPx(Math.min(1, Math.max(0, t / long))) / 2;
    return blurPx === 0 ? Number(off < half) : light((off + half) / blurPx) - light((off - half) / blurPx);
  };
  const [top, bottom] = [Math.min(a[1], b[1]) - 20, Math.max(a[1], b[1]) + 20].map(Math.round);
  for (let y = top ?? 0; y < (bottom ?? 0); y++)
    for (let x = 0; x < wood.width; x++) {
      let share = 0;
      for (let k = 0; k < 9; k++) share += inside(x + ((k % 3) + 0.5) / 3, y + (Math.floor(k / 3) + 0.5) / 3) / 9; // prettier-ignore
      if (share < 0.002) continue;
      for (let c = 0; c < 3; c++) {
        const o = 4 * (y * wood.width + x) + c;
        data[o] = (data[o] ?? 0) * (1 - share) + (DARK[c] ?? 0) * share;
      }
    }
  return { ...wood, data };
}

const plain = (grey: number): Raster => ({ width: 400, height: 300, data: new Uint8ClampedArray(4 * 400 * 300).fill(grey) }); // prettier-ignore

test('a gap that opens from nothing to 3 mm on an even board, sharp and out of focus', () => {
  const line: [Point, Point] = [[20, 140.3], [380, 151.6]]; // prettier-ignore
  const widthMm = (share: number): number => 3 * share;
  for (const blurPx of [0, 0.8]) {
    const image = gaping(plain(170), line, (s) => widthMm(s) / MM_PER_PIXEL, blurPx);
    const { gapsMm, seen } = readGaps({ image, line, mmPerPixel: MM_PER_PIXEL, stations: 5, reachMm: 8 });
    expect(seen).toBe(true);
    // Half, at the two and ninety-eight hundredths, and in between.
    [0.02, 0.25, 0.5, 0.75, 0.98].forEach((share, i) =>
      expect(Math.abs((gapsMm[i] ?? NaN) - widthMm(share))).toBeLessThan(0.18),
    );
  }
});

test('on photos of real wood, gaps of half a millimetre and more are read within a fifth of a millimetre in nine of ten', () => {
  const random = seededRandom(5);
  let [close, all] = [0, 0];
  for (let n = 0; n < 12; n++) {
    const wood = woodPhoto(REAL_WOOD[n % REAL_WOOD.length] ?? 'worn-floor.png');
    const y = 120 + 260 * random();
    const line: [Point, Point] = [[30, y], [480, y + 40 * (random() - 0.5)]]; // prettier-ignore
    const [middle, ends] = [1 + 2.5 * random(), 0.5 + 0.4 * random()];
    const widthMm = (share: number): number => ends + (middle - ends) * Math.sin(Math.PI * share);
    const image = gaping(wood, line, (s) => widthMm(s) / MM_PER_PIXEL, 0.5);
    // A finger does not tap the middle of the gap.
    const tapped = line.map(([x, v]): Point => [x, v + 4 * (random() - 0.5)]);
    const { gapsMm } = readGaps({
      image,
      line: [tapped[0] ?? [0, 0], tapped[1] ?? [0, 0]],
      mmPerPixel: MM_PER_PIXEL,
      stations: 5,
      reachMm: 6,
    });
    [0.02, 0.25, 0.5, 0.75, 0.98].forEach((share, i) => {
      all++;
      if (Math.abs((gapsMm[i] ?? NaN) - widthMm(share)) < 0.2) close++;
    });
  }
  expect(close / all).toBeGreaterThanOrEqual(0.9);
});

test('a crack that bends is followed over its bends', () => {
  const bend: Point[] = [[20, 100], [200, 124], [380, 104]]; // prettier-ignore
  const [a, b, c] = bend as [Point, Point, Point];
  const half = gaping(plain(170), [a, b], () => 6, 0.5);
  const image = gaping(half, [b, c], () => 6, 0.5);
  const input = { image, mmPerPixel: MM_PER_PIXEL, stations: 7, reachMm: 5 };
  for (const mm of readGaps({ ...input, line: bend }).gapsMm) expect(Math.abs(mm - 1.8)).toBeLessThan(0.2);
  // Straight from end to end its middle is missed.
  expect(readGaps({ ...input, line: [a, c] }).gapsMm[3]).toBe(0);
});

test('an even board has no gap, and that is said; a line outside the photo is refused', () => {
  const input = { image: plain(150), mmPerPixel: 0.3, stations: 5, reachMm: 6 };
  const found = readGaps({ ...input, line: [[20, 100], [380, 100]] }); // prettier-ignore
  expect(found).toMatchObject({ seen: false, gapsMm: [0, 0, 0, 0, 0] });
  expect(gapsWords(found, (mm) => `${mm} mm`)).toContain('Nothing was changed');
  expect(() => readGaps({ ...input, line: [[20, 100], [480, 100]] })).toThrow('outside the photo'); // prettier-ignore
  expect(() => readGaps({ ...input, line: [[20, 100], [21, 100]] })).toThrow('length of the line'); // prettier-ignore
});
