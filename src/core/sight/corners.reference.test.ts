import type { Point } from '../geometry';
import { seededRandom } from '../check';
import { sceneOf } from '../../testing/scenes';
import { caught, findCorners } from './corners';

jest.setTimeout(120_000);

test('on 16 photos made up a handle let go within 2 % of a corner mostly lies on it after', async () => {
  const random = seededRandom(5);
  let [before, after, worse, all] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 16; seed++) {
    const { picture, corners } = sceneOf(seed);
    const { corners: found } = await findCorners({ image: picture });
    const pixels = found.map(({ at: [x, y] }): Point => [x * picture.width, y * picture.height]);
    for (const [x, y] of corners) {
      const [turn, far] = [random() * 2 * Math.PI, random() * 0.02];
      const dropped: Point = [
        x + far * picture.width * Math.cos(turn),
        y + far * picture.width * Math.sin(turn),
      ];
      const [u, v] = caught(dropped, pixels, 0.025 * picture.width);
      const off = Math.hypot(u - x, v - y) / picture.width;
      all++;
      if (far < 0.004) before++;
      if (off < 0.004) after++;
      if (off > far + 0.004) worse++;
    }
  }
  expect(after).toBeGreaterThanOrEqual(0.7 * all);
  expect(after).toBeGreaterThan(3 * before);
  expect(worse).toBeLessThan(0.1 * all);
});

test('an even grey has no corner, and a place far from all corners stays', async () => {
  const data = new Uint8ClampedArray(4 * 300 * 200).fill(128);
  expect(await findCorners({ image: { width: 300, height: 200, data } })).toEqual({ corners: [] });
  expect(caught([5, 5], [[50, 50], [9, 5]], 3)).toEqual([5, 5]); // prettier-ignore
  expect(caught([5, 5], [[8, 5], [5, 6]], 3)).toEqual([5, 6]); // prettier-ignore
});
