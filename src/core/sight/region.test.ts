import { sceneOfDamage } from '../../testing/damages';
import { areaOf, areaOfAll, intersectionOf, type Point } from '../geometry';
import { findRegion } from './region';

/** Shared area over joined area. */
function overlap(a: readonly Point[], b: readonly Point[]): number {
  if (a.length < 3 || b.length < 3) return 0;
  const shared = areaOfAll(intersectionOf([a], [b]));
  return shared / (Math.abs(areaOf(a)) + Math.abs(areaOf(b)) - shared);
}

test('of 40 damages made up on real and generated wood, one tap outlines four in five', () => {
  const found: number[] = [];
  for (let seed = 1; seed <= 40; seed++) {
    const { picture, outline, tap } = sceneOfDamage(seed);
    const { width, height } = picture;
    const region = findRegion({ image: picture, at: [tap[0] / width, tap[1] / height] });
    found.push(
      overlap(
        outline,
        region.outline.map(([x, y]): Point => [x * width, y * height]),
      ),
    );
    expect(region.outline.length).toBeLessThanOrEqual(28);
  }
  expect(found.filter((o) => o >= 0.85).length).toBeGreaterThanOrEqual(32);
});

test('an even grey has no outline', () => {
  const data = new Uint8ClampedArray(4 * 120 * 90).fill(140);
  expect(findRegion({ image: { width: 120, height: 90, data }, at: [0.5, 0.5] })).toEqual({
    outline: [],
    edge: 0,
  });
});

test('a square of another colour is found to about a pixel all round', () => {
  const [width, height] = [200, 150];
  const data = new Uint8ClampedArray(4 * width * height).fill(200);
  for (let y = 40; y < 100; y++)
    for (let x = 60; x < 140; x++) data.fill(90, 4 * (y * width + x), 4 * (y * width + x) + 3);
  const { outline } = findRegion({ image: { width, height, data }, at: [0.5, 0.45] });
  const square: Point[] = [[60, 40], [140, 40], [140, 100], [60, 100]]; // prettier-ignore
  expect(
    overlap(
      square,
      outline.map(([x, y]): Point => [x * width, y * height]),
    ),
  ).toBeGreaterThan(0.92);
});

test('what a tap encloses does not depend on which hand the damage lies: a picture turned left to right gives its mirror', () => {
  const { picture, tap } = sceneOfDamage(3);
  const { width, height, data } = picture;
  const turned = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      turned.set(
        data.subarray(4 * (y * width + x), 4 * (y * width + x) + 4),
        4 * (y * width + width - 1 - x),
      );
  const at = (x: number): [number, number] => [x / width, tap[1] / height];
  const one = findRegion({ image: picture, at: at(tap[0]) }).outline;
  const other = findRegion({ image: { width, height, data: turned }, at: at(width - tap[0]) }).outline;
  expect(
    overlap(
      one,
      other.map(([x, y]): Point => [1 - x, y]),
    ),
  ).toBeGreaterThan(0.93);
});
