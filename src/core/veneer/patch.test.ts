import fc from 'fast-check';
import {
  areaOf,
  areaOfAll,
  crossesItself,
  intersectionOf,
  offsetOutline,
  type Point,
  type Polygon,
} from '../geometry';
import { patchOutline, squareSides, suggestShape, type PatchInput } from './patch';
import { thicknessPlan } from './thickness';

const FACE: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const CORNER: Polygon = [[560, 0], [600, 0], [600, 32], [585, 30], [570, 12]]; // prettier-ignore
const INNER: Polygon = [[300, 200], [330, 205], [325, 222], [302, 218]]; // prettier-ignore
const base: PatchInput = {
  damage: INNER,
  face: FACE,
  grainDeg: 0,
  shape: 'lozenge',
  marginMm: 2.5,
  overhangMm: 6,
  slantDeg: 35,
};

const ovalAt = (cx: number, cy: number, rx: number, ry: number): Polygon =>
  Array.from({ length: 14 }, (_, i): Point => [
    cx + rx * Math.cos((i * Math.PI) / 7),
    cy + ry * Math.sin((i * Math.PI) / 7),
  ]);

test('common practice: the patch holds the damage and 2–3 mm of sound wood, whatever the grain and the shape', () => {
  fc.assert(
    fc.property(
      fc.tuple(
        fc.integer({ min: 40, max: 560 }),
        fc.integer({ min: 40, max: 410 }),
        fc.integer({ min: 4, max: 30 }),
        fc.integer({ min: 4, max: 30 }),
      ),
      fc.integer({ min: 0, max: 179 }),
      fc.constantFrom(...(['lozenge', 'boat', 'kite', 'square'] as const)),
      ([cx, cy, rx, ry], grainDeg, shape) => {
        const damage = ovalAt(cx, cy, rx, ry);
        const patch = patchOutline({ ...base, damage, grainDeg, shape });
        const wanted = intersectionOf(offsetOutline(damage, 2.4), [FACE]);
        expect(areaOfAll(intersectionOf(wanted, [patch.outline]))).toBeCloseTo(areaOfAll(wanted), 0);
      },
    ),
  );
});

test('common practice: no side runs square across the grain on a show face', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 179 }),
      fc.constantFrom(...(['lozenge', 'boat', 'kite'] as const)),
      (grainDeg, shape) => {
        expect(squareSides(patchOutline({ ...base, grainDeg, shape }), FACE, grainDeg)).toBe(0);
      },
    ),
  );
  expect(squareSides(patchOutline({ ...base, shape: 'square' }), FACE, 0)).toBe(2);
});

test('common practice: at a corner it hangs over both edges by 6 mm, and nowhere else', () => {
  const patch = patchOutline({ ...base, damage: CORNER });
  expect(patch.overhangSides).toEqual([0, 1]);
  const xs = patch.outline.map((p) => p[0]);
  const ys = patch.outline.map((p) => p[1]);
  expect(Math.max(...xs)).toBeCloseTo(606, 6);
  expect(Math.min(...ys)).toBeCloseTo(-6, 6);
  expect(Math.max(...patch.recess.map((p) => p[0]))).toBeCloseTo(600, 3);
  expect(patchOutline(base).overhangSides).toEqual([]);
});

test('no corner of a patch stands twice in its outline, at a corner of the face either', () => {
  for (const shape of ['lozenge', 'kite', 'boat', 'square'] as const)
    for (const damage of [CORNER, INNER]) {
      const { outline } = patchOutline({ ...base, damage, shape });
      expect(crossesItself(outline)).toBe(false);
    }
});

test('a lozenge leans the way that takes less wood', () => {
  const leaning: Polygon = [[300, 200], [330, 221], [326, 226], [296, 205]]; // prettier-ignore
  const one = areaOf(patchOutline({ ...base, damage: leaning }).outline);
  const mirrored = leaning.map(([x, y]): Point => [x, 450 - y]);
  expect(areaOf(patchOutline({ ...base, damage: mirrored }).outline)).toBeCloseTo(one, 1); // round corners of the margin are polygons
});

test.each<[Partial<PatchInput>, string]>([
  [{ damage: [[0, 0], [5, 5]] }, 'has 2 points'], // prettier-ignore
  [{ marginMm: -1 }, 'The margin into sound wood is -1 mm'],
  [{ slantDeg: 90 }, 'The slant of the ends is 90 °'],
  [{ damage: [[900, 900], [910, 900], [910, 910]] }, 'outside the face'], // prettier-ignore
])('refuses %j', (over, message) => {
  expect(() => patchOutline({ ...base, ...over })).toThrow(message);
});

test('suggested shapes', () => {
  expect(suggestShape(400, true)).toBe('square');
  expect(suggestShape(60, false)).toBe('kite');
  expect(suggestShape(400, false)).toBe('lozenge');
});

describe('thickness', () => {
  test('common practice: about 1/64 in is closed by one or two sheets', () => {
    expect([1, 2]).toContain(thicknessPlan(1.0, 1.0 - 25.4 / 64).sheets);
  });
  test('never left low when three sheets can help, never more proud than a sheet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 1.2, noNaN: true }),
        fc.double({ min: 0, max: 0.55, noNaN: true }),
        (oldMm, gap) => {
          const newMm = Math.max(0.2, oldMm - gap);
          const plan = thicknessPlan(oldMm, newMm);
          expect(plan.proudMm).toBeGreaterThanOrEqual(-0.051);
          expect(plan.proudMm).toBeLessThanOrEqual(0.2);
        },
      ),
    );
  });
  test('a thicker one is levelled, a much thinner one is told', () => {
    expect(thicknessPlan(0.6, 0.9)).toMatchObject({
      sheets: 0,
      advice: 'Level the patch by 0.3 mm after the glue is hard.',
    });
    expect(thicknessPlan(2, 0.6).advice).toContain('low');
    expect(() => thicknessPlan(0, 0.6)).toThrow('thickness of the old veneer is 0 mm');
  });
});

test('the outline is the same wherever on the drawing the face lies', () => {
  const moved = (p: Polygon): Polygon => p.map(([x, y]): Point => [x + 310, y - 170]);
  for (const damage of [INNER, CORNER]) {
    const here = patchOutline({ ...base, damage, shape: 'square' }).outline;
    const there = patchOutline({
      ...base,
      damage: moved(damage),
      face: moved(FACE),
      shape: 'square',
    }).outline;
    expect(there.length).toBe(here.length);
    for (const [i, [x, y]] of moved(here).entries()) {
      expect(there[i]?.[0]).toBeCloseTo(x, 6);
      expect(there[i]?.[1]).toBeCloseTo(y, 6);
    }
  }
});
