import fc from 'fast-check';
import {
  areaOf,
  areaOfAll,
  contains,
  intersectionOf,
  offsetOutline,
  type Point,
  type Polygon,
} from '../geometry';
import type { Raster } from '../picture';
import { designPatch } from './design';
import { ownPatch, patchOutline } from './patch';
import { patchFaults, seamCost, seenShare } from './seam';
import { traceToFigure } from './trace';

const FACE: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const oval = (cx: number, cy: number, rx: number, ry: number): Polygon =>
  Array.from({ length: 16 }, (_, i): Point => [
    cx + rx * Math.cos((i * Math.PI) / 8),
    cy + ry * Math.sin((i * Math.PI) / 8),
  ]);
const mm = (value: number): string => `${value.toFixed(1)} mm`;
const base = { face: FACE, grainDeg: 0, marginMm: 2.5, overhangMm: 6, underPaint: false };

/** Walks round a recess in steps of a tenth of a millimetre and weighs each by its own angle: written apart from the sum over sides. */
function walkedSeam(recess: Polygon, grainDeg: number): number {
  let seen = 0;
  recess.forEach((a, i) => {
    const b = recess[(i + 1) % recess.length] ?? a;
    const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) * 10));
    const [dx, dy] = [(b[0] - a[0]) / steps, (b[1] - a[1]) / steps];
    for (let s = 0; s < steps; s++) {
      const [x, y] = [a[0] + (s + 0.5) * dx, a[1] + (s + 0.5) * dy];
      if (Math.min(x, y, 600 - x, 450 - y) < 1e-3) continue;
      const g = (grainDeg * Math.PI) / 180;
      const across = Math.abs(-Math.sin(g) * dx + Math.cos(g) * dy) / Math.hypot(dx, dy);
      const share = 0.2 + 0.8 * across * across;
      seen += Math.hypot(dx, dy) * (across >= Math.sin((75 * Math.PI) / 180) ? 3 * share : share);
    }
  });
  return seen;
}

describe('the seam that is seen', () => {
  test('common practice: with the grain cheap, slanted fair, square across dear', () => {
    expect(seenShare(0)).toBeCloseTo(0.2, 9);
    expect(seenShare(35)).toBeLessThan(0.5);
    expect(seenShare(90)).toBeCloseTo(3, 9);
    expect(seenShare(90, true)).toBe(seenShare(0, true));
  });

  test('is the same when it is walked round in small steps, at any grain, in the middle and at an edge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 179 }),
        fc.constantFrom<[number, number]>([300, 200], [590, 200], [300, 5]),
        fc.constantFrom(...(['lozenge', 'boat', 'kite', 'trapezoid', 'square'] as const)),
        (grainDeg, [cx, cy], shape) => {
          const damage = intersectionOf([oval(cx, cy, 20, 9)], [FACE])[0] ?? [];
          const patch = patchOutline({ ...base, damage, grainDeg, shape, slantDeg: 35 });
          const { seenMm } = seamCost(patch, damage, FACE, grainDeg, false);
          expect(seenMm).toBeCloseTo(walkedSeam(patch.recess, grainDeg), 0);
        },
      ),
    );
  });

  test('faults of an outline by hand: uncovered, too near, a point like a needle', () => {
    const damage = oval(300, 200, 10, 10);
    const box = (by: number): Polygon => [[290 - by, 190 - by], [310 + by, 190 - by], [310 + by, 210 + by], [290 - by, 210 + by]]; // prettier-ignore
    const faults = (outline: Polygon): string[] =>
      patchFaults(ownPatch(outline, FACE, 0), damage, FACE, 2.5, mm);
    expect(faults(box(3))).toEqual([]);
    expect(faults(box(-2))).toEqual(['It leaves some of the damage uncovered.']);
    expect(faults(box(1))[0]).toMatch(/stands 1\.0 mm off the damage; 2\.5 mm/);
    expect(faults([...box(3).slice(0, 2), [360, 200], ...box(3).slice(2)])).toEqual([]);
    expect(faults([[280, 180], [320, 180], [320, 220], [280, 220], [200, 216], [280, 214]])).toEqual([
      expect.stringMatching(/sharp/),
    ]); // prettier-ignore
    expect(() => ownPatch([[700, 0], [710, 0], [710, 10]], FACE, 0)).toThrow('outside the face'); // prettier-ignore
    expect(() => ownPatch([[0, 0], [10, 10], [10, 0], [0, 10]], FACE, 0)).toThrow(RangeError); // prettier-ignore
  });
});

describe('the outline designer', () => {
  test('the best of all shapes and slants comes first, holds the damage and its margin, and the others are other shapes', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 179 }),
        fc.integer({ min: 3, max: 40 }),
        fc.integer({ min: 3, max: 40 }),
        async (grainDeg, rx, ry) => {
          const damage = oval(300, 220, rx, ry);
          const { ranked } = await designPatch({ ...base, damage, grainDeg });
          const costs = (['lozenge', 'boat', 'kite', 'trapezoid'] as const).flatMap((shape) =>
            [20, 25, 30, 35, 40, 45, 50, 55, 60].map((slantDeg) => {
              const patch = patchOutline({ ...base, damage, grainDeg, shape, slantDeg });
              return walkedSeam(patch.recess, grainDeg) + (areaOf(patch.recess) - areaOf(damage)) / 80;
            }),
          );
          expect(ranked[0]?.cost).toBeCloseTo(Math.min(...costs), 0);
          expect(new Set(ranked.map((d) => d.shape)).size).toBe(ranked.length);
          for (const { patch } of ranked) {
            const wanted = offsetOutline(damage, 2.4);
            expect(areaOfAll(intersectionOf(wanted, [patch.outline]))).toBeCloseTo(areaOfAll(wanted), 0);
          }
        },
      ),
      { numRuns: 30 },
    );
  });

  test('common practice: a broken corner gets a corner piece or less, an edge no line square across; under paint the square may win', async () => {
    const corner: Polygon = [[570, 0], [600, 0], [600, 25], [590, 22], [575, 10]]; // prettier-ignore
    const designs = (await designPatch({ ...base, damage: corner })).ranked;
    const piece = patchOutline({ ...base, damage: corner, shape: 'corner', slantDeg: 40 });
    expect(piece.overhangSides).toHaveLength(2);
    expect(offsetOutline(corner, 2).flat().every((p) => contains(piece.outline, p) || p[0] > 600 || p[1] < 0)).toBe(true); // prettier-ignore
    expect(designs[0]?.patch.overhangSides).toHaveLength(2);
    expect(() => patchOutline({ ...base, damage: oval(300, 200, 9, 9), shape: 'corner', slantDeg: 35 })).toThrow('two sides'); // prettier-ignore
    const square: Polygon = [[300, 200], [330, 200], [330, 230], [300, 230]]; // prettier-ignore
    expect((await designPatch({ ...base, damage: square, underPaint: true })).ranked[0]?.shape).toBe(
      'square',
    );
    expect((await designPatch({ ...base, damage: square })).ranked.map((d) => d.shape)).not.toContain(
      'square',
    );
  });
});

describe('tracing to the figure', () => {
  /** 120 × 80 mm of light wood at 0.25 mm a pixel, dark lines a millimetre wide at these heights. */
  const striped = (linesMm: readonly number[]): Raster => {
    const [width, height] = [480, 320];
    const data = new Uint8ClampedArray(4 * width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const dark = linesMm.some((l) => Math.abs((y + 0.5) * 0.25 - l) < 0.5);
        const noise = ((x * 7919 + y * 104729) % 23) - 11;
        data.set(dark ? [110 + noise, 70 + noise, 40 + noise, 255] : [190 + noise, 150 + noise, 110 + noise, 255], 4 * (y * width + x)); // prettier-ignore
      }
    return { data, width, height };
  };
  const damage = oval(60, 40, 10, 5);

  test('its long sides lie on the dark lines beyond the margin, and it holds the damage', () => {
    const traced = traceToFigure(striped([10, 28, 50.5, 70]), 0.25, damage, 2.5, 35);
    if (!traced) throw new Error('nothing was traced');
    expect(damage.every((p) => contains(traced.outline, p))).toBe(true);
    const long = traced.outline.flatMap((p, i) => {
      const next = traced.outline[(i + 1) % traced.outline.length] ?? p;
      return Math.abs(next[0] - p[0]) > 15 && Math.abs(next[1] - p[1]) < 2
        ? [{ y: (p[1] + next[1]) / 2, on: traced.onLine[i] ?? 0 }]
        : [];
    });
    expect(long.length).toBeGreaterThanOrEqual(2);
    for (const { y, on } of long) {
      expect(Math.min(Math.abs(y - 28), Math.abs(y - 50.5))).toBeLessThan(0.6);
      expect(on).toBeGreaterThan(0.6);
    }
  });

  test('lines close to a long damage make the traced outline the least seen; the seam on them counts a fifth', async () => {
    const long: Polygon = [[44, 36], [76, 35.5], [76, 44], [44, 44.5]]; // prettier-ignore
    const traced = traceToFigure(striped([31.5, 48.5]), 0.25, long, 2.5, 35);
    if (!traced) throw new Error('nothing was traced');
    const input = { ...base, face: [[0, 0], [120, 0], [120, 80], [0, 80]] as Polygon, damage: long }; // prettier-ignore
    const [best] = (await designPatch({ ...input, traced })).ranked;
    expect(best?.shape).toBe('traced');
    const without = await designPatch({
      ...input,
      traced: { ...traced, onLine: traced.onLine.map(() => 0) },
    });
    const same = without.ranked.find((d) => d.shape === 'traced');
    expect(same === undefined || same.seenMm > (best?.seenMm ?? 0)).toBe(true);
  });

  test('where the picture ends too soon there is nothing to trace', () => {
    expect(traceToFigure(striped([28]), 0.25, oval(8, 40, 7, 5), 2.5, 35)).toBeUndefined();
  });

  test('tells how far it is, and can be stopped between two shapes', async () => {
    const seen: number[] = [];
    const stop = new AbortController();
    const job = { signal: stop.signal, progress: (f: number) => { seen.push(f); if (seen.length === 3) stop.abort(); } }; // prettier-ignore
    await expect(designPatch({ ...base, damage: oval(300, 220, 12, 9) }, job)).rejects.toMatchObject({ name: 'AbortError' }); // prettier-ignore
    expect(seen).toEqual([0, 0.2, 0.4]);
  });
});
