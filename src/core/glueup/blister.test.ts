import { seededRandom } from '../check';
import { labFromRgb } from '../colour';
import { contains, rotate, type Point } from '../geometry';
import { blisterPlan, quietSlit } from './blister';

const MM_PER_PIXEL = 0.5;
const ring = (rx: number, ry: number): Point[] =>
  Array.from({ length: 40 }, (_, i): Point => [
    100 + rx * Math.cos((i * Math.PI) / 20),
    60 + ry * Math.sin((i * Math.PI) / 20),
  ]);

/** A face of 200 × 120 mm, brown with noise, and dark where `dark` says so. */
function photo(dark: (at: Point) => boolean, noise = 6) {
  const [width, height] = [400, 240];
  const data = new Uint8ClampedArray(width * height * 4);
  const random = seededRandom(9);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const less = (dark([x * MM_PER_PIXEL, y * MM_PER_PIXEL]) ? 70 : 0) + noise * random();
      data.set([170 - less, 120 - less, 80 - less, 255], (y * width + x) * 4);
    }
  }
  const lightness = (r: number, g: number, b: number): number => labFromRgb(r, g, b)[0];
  return { picture: { data, width, height }, mmPerPixel: MM_PER_PIXEL, lightness };
}

test('a blister is slit along the grain on its longest line, and every entry lies on it', () => {
  const loose = ring(110, 30);
  const plan = blisterPlan(loose, 0, 2);
  // The longest line is the axis of 220 mm, less a tenth at either end.
  expect(plan.slitMm).toBeCloseTo(176, -1);
  expect(plan.slit[0][1]).toBeCloseTo(60, 0);
  expect(plan.entries).toHaveLength(3);
  expect(plan.mlPerEntry).toBeCloseTo(2 / 3);
  for (const e of plan.entries) expect(contains(loose, e)).toBe(true);
  // Across the grain there is less to slit.
  expect(blisterPlan(loose, 90, 2).slitMm).toBeLessThan(60);
});

test('plain wood has nothing to avoid: the longest line stays', () => {
  const found = quietSlit(
    photo(() => false),
    ring(80, 30),
    0,
  );
  expect(found.crossed).toBe(0);
  expect(found.crossedOnLongest).toBe(0);
  expect(Math.abs(found.asideMm)).toBeLessThan(1.1);
});

test('a string of 2 mm across the upper half is gone round below', () => {
  const string = ([x, y]: Point): boolean => Math.abs(x - 105) < 1 && y < 64;
  const found = quietSlit(photo(string), ring(80, 30), 0);
  expect(found.crossedOnLongest).toBe(1);
  expect(found.crossed).toBe(0);
  // Not farther than it must: just below the end of the string, the picture being read 1 mm beside the cut.
  expect(found.asideMm).toBeGreaterThan(4);
  expect(found.asideMm).toBeLessThan(8);
  const clear = found.byAside.filter((s) => s.asideMm > 6).map((s) => s.crossed);
  const through = found.byAside.filter((s) => s.asideMm < 2).map((s) => s.crossed);
  expect(Math.min(clear.length, through.length)).toBeGreaterThan(3);
  expect([new Set(clear), new Set(through)]).toEqual([new Set([0]), new Set([1])]);
});

test('what runs from rim to rim cannot be gone round, and is counted once though it has two sides', () => {
  const strings = ([x]: Point): boolean => Math.abs(x - 70) < 1.5 || Math.abs(x - 120) < 1.5;
  const { crossed, crossedOnLongest } = quietSlit(photo(strings), ring(80, 30), 0);
  expect(crossed).toBe(2);
  expect(crossedOnLongest).toBe(2);
});

test('dark lines along the grain are not crossed, and a turned grain finds the same', () => {
  const along = ([, y]: Point): boolean => Math.round(y / 9) % 2 === 0;
  expect(quietSlit(photo(along), ring(80, 30), 0).crossed).toBe(0);
  const degrees = 30;
  const turned = ring(50, 20).map((p) => rotate([p[0] - 100, p[1] - 60], degrees)).map(([x, y]): Point => [x + 100, y + 60]); // prettier-ignore
  const string = (p: Point): boolean => {
    const [u, v] = rotate([p[0] - 100, p[1] - 60], -degrees);
    return Math.abs(u) < 1.5 && v < 3;
  };
  const found = quietSlit(photo(string), turned, degrees);
  expect(found.crossedOnLongest).toBe(1);
  expect(found.crossed).toBe(0);
  expect(found.asideMm).toBeGreaterThan(2);
});

test('a coarse photo is not full of lines', () => {
  const { crossed } = quietSlit(
    photo(() => false, 60),
    ring(80, 30),
    0,
  );
  expect(crossed).toBe(0);
});

test('the photo is read where the cut would run: a mark at one end of the blister is met there, and only there', () => {
  // From 25 to 175 mm along: a line across at 40 mm, over the whole height of the face.
  const found = quietSlit(
    photo(([x]) => Math.abs(x - 40) < 1),
    ring(80, 30),
    0,
  );
  expect(found.crossedOnLongest).toBe(1);
  // Beyond the blister's ends nothing is met.
  expect(quietSlit(photo(([x]) => Math.abs(x - 190) < 1), ring(80, 30), 0).crossedOnLongest).toBe(0); // prettier-ignore
});
