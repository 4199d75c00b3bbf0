import { seededRandom } from '../check';
import type { Point } from '../geometry';
import { REAL_WOOD, woodPhoto } from '@/testing/wood';
import { crackWords, snapToCrack } from './crack';

const MM = 0.4;

/** A crack that wanders across a photo of real wood, drawn a pixel and a half wide. */
function cracked(
  name: (typeof REAL_WOOD)[number],
  seed: number,
): { image: ReturnType<typeof woodPhoto>; truth: Point[] } {
  const image = woodPhoto(name);
  const random = seededRandom(seed);
  const truth: Point[] = [];
  let y = 120 + 200 * random();
  let slope = 0;
  for (let x = 60; x <= 420; x++) {
    slope = Math.max(-0.5, Math.min(0.5, slope + 0.15 * (random() - 0.5)));
    y += slope;
    truth.push([x, y]);
    for (let d = -2; d <= 2; d++) {
      const row = Math.round(y) + d;
      const share = Math.max(0, 1 - Math.abs(row + 0.5 - (y + 0.5)) / 1.6);
      const o = 4 * (row * image.width + x);
      for (let c = 0; c < 3; c++) image.data[o + c] = (image.data[o + c] ?? 0) * (1 - share) + 18 * share;
    }
  }
  return { image, truth };
}

/** How far a place lies from a run of places. */
const off = (p: Point, line: readonly Point[]): number => Math.min(...line.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1]))); // prettier-ignore

test('a stroke drawn a few millimetres beside a crack in photos of real wood lies on it: 9 of 10 places within a millimetre', () => {
  let [near, all] = [0, 0];
  for (const name of REAL_WOOD)
    for (const seed of [1, 2, 3, 4]) {
      const { image, truth } = cracked(name, seed);
      const random = seededRandom(100 + seed);
      const stroke = truth
        .filter((_, i) => i % 60 === 0)
        .map(([x, y]): Point => [x, y + 14 * (random() - 0.5)]);
      const { line, seen } = snapToCrack({ image, line: stroke, mmPerPixel: MM });
      expect(seen).toBe(true);
      for (const p of truth.filter((_, i) => i % 20 === 0)) {
        all++;
        const between = line.slice(1).flatMap((b, i) => {
          const a = line[i] ?? b;
          return Array.from({ length: 40 }, (_, k): Point => [a[0] + ((b[0] - a[0]) * k) / 40, a[1] + ((b[1] - a[1]) * k) / 40]); // prettier-ignore
        });
        if (off(p, between) * MM <= 1) near++;
      }
    }
  expect(near / all).toBeGreaterThanOrEqual(0.9);
});

test('on plain wood nothing is moved, and a stroke without length is refused', () => {
  const data = new Uint8ClampedArray(4 * 200 * 200);
  for (let i = 0; i < 40_000; i++) data.set([170 + (i % 7), 130 + (i % 5), 90, 255], 4 * i);
  const image = { data, width: 200, height: 200 };
  const stroke: Point[] = [[20, 100], [180, 104]]; // prettier-ignore
  expect(snapToCrack({ image, line: stroke, mmPerPixel: MM })).toEqual({ line: stroke, seen: false });
  expect(() => snapToCrack({ image, line: [[5, 5], [5, 5]], mmPerPixel: MM })).toThrow('no length'); // prettier-ignore
  expect(crackWords(false)).toContain('as it was');
});
