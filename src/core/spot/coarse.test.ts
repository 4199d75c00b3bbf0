import type { Plane } from '../picture';
import { coarse, laidOn, type Turn } from './coarse';
import type { Ring } from './ring';

test('an outline is flipped left for right first, then turned clockwise as seen, and keeps its size', () => {
  const near = ([x, y]: readonly [number, number], to: readonly [number, number]): void => {
    expect(x).toBeCloseTo(to[0], 9);
    expect(y).toBeCloseTo(to[1], 9);
  };
  // On a picture y runs down: a quarter turn clockwise takes right to down.
  near(laidOn([10, 0], { degrees: 90, flipped: false }), [0, 10]);
  near(laidOn([10, 0], { degrees: 90, flipped: true }), [0, -10]);
  near(laidOn([3, 4], { degrees: 180, flipped: false }), [-3, -4]);
  const [x, y] = laidOn([3, 4], { degrees: 37, flipped: true });
  expect(Math.hypot(x, y)).toBeCloseTo(5, 9);
});

/** Noise without order, the same every time. */
function noise(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}
const planeOf = (width: number, height: number, at: (x: number, y: number) => number): Plane => ({
  width,
  height,
  data: Float32Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width))),
});

describe('the likest places, against every place and turn looked at one by one', () => {
  const random = noise(7);
  const donor = planeOf(40, 34, () => 200 * random());
  const value = (x: number, y: number): number =>
    donor.data[Math.min(33, Math.max(0, y)) * 40 + Math.min(39, Math.max(0, x))] ?? 0;
  // The surround of a hole, 17 px wide, cut from the sheet at 22, 15 and turned over.
  const SIDE = 17;
  const target = planeOf(SIDE, SIDE, (x, y) => 0.8 * value(22 - (x - 8), 15 + (y - 8)) + 20);
  const weights = planeOf(SIDE, SIDE, (x, y) => {
    const r = Math.hypot(x - 8, y - 8);
    return r > 4 && r < 8 ? 1 / r : 0;
  });
  const ring: Ring = { weights, grainDeg: 0, coherence: 1, reachPx: 8, middle: [8.5, 8.5] };
  const turns = [0, 90, 180, 270].flatMap((degrees) =>
    [true, false].map((flipped) => ({ degrees, flipped })),
  );

  /** Weighted correlation of two lists of values, term by term. */
  function likeness(turn: Turn, px: number, py: number): number {
    const terms: [w: number, t: number, d: number][] = [];
    for (let y = 0; y < SIDE; y++)
      for (let x = 0; x < SIDE; x++) {
        const w = weights.data[y * SIDE + x] ?? 0;
        if (w === 0) continue;
        const [dx, dy] = laidOn([x - 8, y - 8], turn);
        terms.push([w, target.data[y * SIDE + x] ?? 0, value(px + Math.round(dx), py + Math.round(dy))]);
      }
    const all = terms.reduce((s, [w]) => s + w, 0);
    const mt = terms.reduce((s, [w, t]) => s + w * t, 0) / all;
    const md = terms.reduce((s, [w, , d]) => s + w * d, 0) / all;
    const sum = (f: (t: number, d: number) => number): number => terms.reduce((s, [w, t, d]) => s + w * f(t - mt, d - md), 0); // prettier-ignore
    return sum((t, d) => t * d) / Math.sqrt(sum((t) => t * t) * sum((_, d) => d * d));
  }
  const search = (keep: number, allowed: (turn: Turn, at: readonly [number, number]) => boolean) =>
    coarse({ target, ring, donor, turns, allowed, keep, apartPx: 5 });

  test('the place it was cut from comes first, and every likeness is what it is', async () => {
    const found = await search(8, () => true);
    expect(found).toHaveLength(8);
    expect(found[0]).toMatchObject({ degrees: 0, flipped: true, x: 22.5, y: 15.5 });
    expect(found[0]?.score).toBeCloseTo(1, 4);
    for (const f of found) expect(f.score).toBeCloseTo(likeness(f, f.x - 0.5, f.y - 0.5), 3);
    expect(found.map((f) => f.score)).toEqual([...found.map((f) => f.score)].sort((a, b) => b - a));
  });

  test('where a part of the sheet is shut the best of the rest is found, down to the last row', async () => {
    const open = (y: number): boolean => y > 28;
    const found = await search(4, (_, [, y]) => open(y));
    let best = -1;
    for (const turn of turns)
      for (let y = 0; y < 34; y++) for (let x = 0; x < 40; x++) if (open(y + 0.5)) best = Math.max(best, likeness(turn, x, y)); // prettier-ignore
    // A place beside the best may be likest of all and shut; a peak is a place that nothing beside it beats.
    expect(found[0]?.score ?? 0).toBeGreaterThan(0.75 * best);
    for (const f of found) expect(open(f.y)).toBe(true);
  });
});
