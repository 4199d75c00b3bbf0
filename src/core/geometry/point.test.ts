import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { areaOf, contains, crossingsAt, distanceToBoundary, nearestOnSegment, crossesItself, shapeOutline, sides, sweptOver, type Point, type Polygon } from '.'; // prettier-ignore

const ROUND = shapeOutline({ kind: 'round' }, 200, 120);
const HOOK: Polygon = [[0, 0], [90, 0], [90, 60], [60, 60], [60, 25], [30, 25], [30, 60], [0, 60]]; // prettier-ignore
const place = fc.tuple(
  fc.double({ min: -20, max: 220, noNaN: true }),
  fc.double({ min: -20, max: 140, noNaN: true }),
);

test('a level line crosses an outline where its sides lie, in and out by turns', () => {
  // By hand: sides of the hook at a height of 40 stand at 0, 30, 60 and 90.
  expect(crossingsAt(HOOK, 40)).toEqual([0, 30, 60, 90]);
  expect(crossingsAt(HOOK, 10)).toEqual([0, 90]);
  expect(crossingsAt(HOOK, 70)).toEqual([]);
  // A leaning side: half-way up it stands half-way across.
  expect(crossingsAt([[0, 0], [80, 0], [40, 100]], 25)).toEqual([10, 70]); // prettier-ignore
  fc.assert(
    fc.property(place, (p) => {
      const before = crossingsAt(HOOK, p[1]).filter((x) => x < p[0]).length;
      const beside = distanceToBoundary(p, HOOK) > 1e-6;
      if (beside) expect(before % 2 === 1).toBe(contains(HOOK, p));
    }),
  );
});

test('the nearest place on a segment is no further than any that is tried along it', () => {
  fc.assert(
    fc.property(place, place, place, (p, a, b) => {
      const near = nearestOnSegment(p, a, b);
      const off = (q: Point): number => Math.hypot(q[0] - p[0], q[1] - p[1]);
      for (let k = 0; k <= 20; k++) {
        const t = k / 20;
        expect(off(near)).toBeLessThanOrEqual(off([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]) + 1e-9);
      }
    }),
  ); // prettier-ignore
});

test('what an outline covers while it is led over another: each on each, by a second library', () => {
  const SQUARE: Polygon = [[0, 0], [10, 0], [10, 10], [0, 10]]; // prettier-ignore
  const LEAF: Polygon = [[0, 0], [30, 5], [40, 20], [10, 25]]; // prettier-ignore
  for (const [ground, outline] of [[ROUND, LEAF], [SQUARE, LEAF], [HOOK, SQUARE]] as const) {
    // The outline set down at many places of the ground, laid together.
    const spots = Array.from({ length: 31 * 31 }, (_, i): Point => [(i % 31) * 7 - 5.3, Math.floor(i / 31) * 5 - 5.7]).filter((p) => contains(ground, p)); // prettier-ignore
    const rim = sides(ground).flatMap(([a, b]) => Array.from({ length: 12 }, (_, k): Point => [a[0] + (k / 12) * (b[0] - a[0]), a[1] + (k / 12) * (b[1] - a[1])])); // prettier-ignore
    const [first, ...rest] = [...spots, ...rim].map(([x, y]) => [[...outline, ...outline.slice(0, 1)].map(([a, b]): [number, number] => [a + x, b + y])]); // prettier-ignore
    const laid = polygonClipping.union(first ?? [], ...rest);
    const area = laid.reduce((s, [outer = [], ...holes]) => s + Math.abs(areaOf(outer)) - holes.reduce((h, hole) => h + Math.abs(areaOf(hole)), 0), 0); // prettier-ignore
    const swept = sweptOver(ground, outline).reduce((s, p) => s + areaOf(p), 0);
    // What is set down at places is a little less than what is led over all of them.
    expect(swept / area).toBeGreaterThan(0.9999);
    expect(swept / area).toBeLessThan(1.05);
  }
}); // prettier-ignore

test.each<[string, Polygon, boolean]>([
  ['a square', [[0, 0], [10, 0], [10, 10], [0, 10]], false],
  ['a hook', HOOK, false],
  ['a bow tie', [[0, 0], [10, 10], [10, 0], [0, 10]], true],
  ['a bow tie that lies small', [[0, 0], [0.4, 0.4], [0.4, 0], [0, 0.4]], true],
])('%s', (_, outline, crosses) => {
  expect(crossesItself(outline)).toBe(crosses);
}); // prettier-ignore
