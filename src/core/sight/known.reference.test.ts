import type { Point } from '../geometry';
import { sceneOf, sceneOnFace, type Scene } from '../../testing/scenes';
import { findKnown, type KnownFound } from './known';

jest.setTimeout(240_000);

/** The worst corner, in shares of the picture's width; whichever corner is the first. */
function offBy({ picture: { width, height }, corners }: Scene, found: readonly Point[]): number {
  if (found.length !== 4) return Infinity;
  return Math.min(
    ...[0, 1, 2, 3].map((turn) =>
      Math.max(
        ...corners.map(([x, y], k) => {
          const [u, v] = found[(k + turn) % 4] ?? [9, 9];
          return Math.hypot(u * width - x, v * height - y) / width;
        }),
      ),
    ),
  );
}

test('of 40 photos made up, in shadow and among other things, nine in ten are right within 1.5 % of the width', async () => {
  const off: number[] = [];
  const proposed: KnownFound[] = [];
  for (let seed = 1; seed <= 40; seed++) {
    const scene = sceneOf(seed);
    const found = await findKnown({ image: scene.picture, object: scene.object });
    off.push(offBy(scene, found.corners));
    proposed.push(found);
  }
  const right = off.filter((o) => o < 0.015).length;
  expect(right).toBeGreaterThanOrEqual(36);
  // Most are far nearer than that.
  expect([...off].sort((a, b) => a - b)[20]).toBeLessThan(0.004);
  // What is proposed lies in the picture, goes round clockwise, and is worth something.
  for (const { corners, worth } of proposed) {
    if (corners.length === 0) continue;
    expect(worth).toBeGreaterThan(0.1);
    const turn = corners.reduce((s, [x, y], i) => {
      const [u = 0, v = 0] = corners[(i + 1) % 4] ?? [];
      return s + x * v - u * y;
    }, 0);
    expect(turn).toBeGreaterThan(0);
  }
});

test('of 20 photos of a card or a sheet lying on a face that looks like one, eight in ten are right', async () => {
  let right = 0;
  for (let seed = 41; seed <= 60; seed++) {
    const scene = sceneOnFace(seed);
    const { corners } = await findKnown({ image: scene.picture, object: scene.object });
    if (offBy(scene, corners) < 0.015) right++;
  }
  expect(right).toBeGreaterThanOrEqual(16);
});

test('an even grey has nothing to find', async () => {
  const data = new Uint8ClampedArray(4 * 300 * 200).fill(128);
  const image = { width: 300, height: 200, data };
  expect(await findKnown({ image, object: 'card' })).toEqual({ corners: [], worth: 0 });
});

test('corners that lie near are moved onto the edges; an A4 sheet has a long side first', async () => {
  const scene = sceneOf(6);
  expect(scene.object).toBe('a4');
  const { width, height } = scene.picture;
  const near = scene.corners.map(([x, y], i): Point => [(x + (i % 2 ? 4 : -4)) / width, (y + 3) / height]);
  const moved = await findKnown({ image: scene.picture, object: 'a4', near });
  expect(offBy(scene, near)).toBeGreaterThan(0.007);
  expect(offBy(scene, moved.corners)).toBeLessThan(0.004);
  // Near corners keep their names.
  const [first = [0, 0]] = moved.corners;
  expect(
    Math.hypot((first[0] - (near[0]?.[0] ?? 0)) * width, (first[1] - (near[0]?.[1] ?? 0)) * height),
  ).toBeLessThan(8);
  const found = await findKnown({ image: scene.picture, object: 'a4' });
  const side = (a: number): number => {
    const [p = [0, 0], q = [0, 0]] = [found.corners[a], found.corners[a + 1]];
    return Math.hypot((p[0] - q[0]) * width, (p[1] - q[1]) * height);
  };
  expect(side(0)).toBeGreaterThan(side(1));
});
