import fc from 'fast-check';
import { clampById } from './clamps';
import {
  layingMinutes,
  outgrown,
  placedLayout,
  placeOf,
  pressLayout,
  suggestClamp,
  type PressInput,
} from './layout';
import type { Polygon } from '../geometry';

const FACE: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const strip = (length: number, depth: number): Polygon => [[100, 0], [100 + length, 0], [100 + length, depth], [100, depth]]; // prettier-ignore
const input = (over: Partial<PressInput> = {}): PressInput => ({
  loose: strip(180, 40),
  face: FACE,
  clamp: clampById('fStyle'),
  clampsOwned: 8,
  caul: { widthMm: 45, heightMm: 38 },
  platenMm: 18,
  targetKPa: 250,
  ...over,
});

test('45° by hand: pad 30, caul 38 and platen 18 press 142 mm along; 180 mm takes two clamps', () => {
  // Common practice, worked by hand: 30 + 2·(38 + 18) = 142 mm; 180 / 142 = 1.27.
  const layout = pressLayout(input({ targetKPa: 50 }));
  expect(layout.clamps).toHaveLength(2);
  expect(layout.clamps.map((p) => Math.round(p[0]))).toEqual([145, 235]);
  const [first] = layout.footprints;
  expect(first && Math.round((first[1]?.[0] ?? 0) - (first[0]?.[0] ?? 0))).toBe(142);
  expect(layout.coverage).toBeCloseTo(1, 6);
});

test('a thin stack needs more clamps than a thick one', () => {
  const thin = pressLayout(input({ platenMm: 4, caul: { widthMm: 45, heightMm: 12 }, targetKPa: 50 }));
  expect(thin.clamps.length).toBeGreaterThan(pressLayout(input({ targetKPa: 50 })).clamps.length);
});

test('a wanted pressure adds clamps until their force carries it', () => {
  const layout = pressLayout(input({ targetKPa: 700 }));
  expect(layout.forcePerClampN).toBeLessThanOrEqual(2000);
  expect(layout.pressureKPa).toBeGreaterThanOrEqual(700);
  expect(pressLayout(input({ targetKPa: 700, clampsOwned: 3 })).stages).toBeGreaterThan(1);
});

test('common practice: three clamps for a section of 300 mm', () => {
  expect(pressLayout(input({ loose: strip(300, 40) })).practiceClamps).toBe(3);
});

test('what a clamp cannot reach is counted', () => {
  const inner: Polygon = [[250, 200], [350, 200], [350, 260], [250, 260]]; // prettier-ignore
  expect(pressLayout(input({ loose: inner })).outOfReach).toBeGreaterThan(0);
  expect(suggestClamp(inner, FACE, [clampById('fStyle'), clampById('goBar')])?.id).toBe('goBar');
  expect(suggestClamp(strip(180, 40), FACE, [clampById('fStyle'), clampById('goBar')])?.id).toBe('fStyle');
});

test('a caul across the whole face presses where the platen is, not where its clamps stand', () => {
  const inner: Polygon = [[250, 200], [350, 200], [350, 260], [250, 260]]; // prettier-ignore
  const given = input({ loose: inner });
  const { id } = clampById('fStyle');
  const placed = placedLayout(
    pressLayout(given),
    given,
    {
      cauls: [{ from: [0, 230], to: [600, 230], widthMm: 45, heightMm: 60, camberMm: 2 }],
      clamps: [
        { at: [20, 230], clamp: id, forceN: 1500 },
        { at: [580, 230], clamp: id, forceN: 1500 },
      ],
    },
    () => ({ kind: clampById('fStyle'), count: 8 }),
  );
  // By hand: the platen reaches from 235 to 365 mm, and under the caul of 45 mm its 18 mm spread the force over 81 mm.
  expect(placed.pressedMm2).toBeCloseTo(130 * 81, 3);
  expect(placed.coverage).toBeCloseTo(1, 6);
  expect(placed.outOfReach).toBe(0);
  expect(placed.pressureKPa).toBeCloseTo((1000 * 3000) / (130 * 81), 6);
});

test('clamps that were placed are looked at again when the outline has grown or moved, not when it was nudged', () => {
  const placed = { cauls: [], clamps: [], loose: placeOf(strip(180, 40)) };
  expect(outgrown(placed, strip(180, 40))).toBe(false);
  expect(outgrown(placed, strip(183, 40))).toBe(false);
  expect(outgrown(placed, strip(180, 60))).toBe(true);
  expect(
    outgrown(
      placed,
      strip(180, 40).map(([x, y]) => [x + 30, y]),
    ),
  ).toBe(true);
  expect(outgrown({ cauls: [], clamps: [] }, strip(300, 90))).toBe(false);
});

test('every loose strip along an edge is covered whole, clamps lie on the line of the edge', () => {
  fc.assert(
    fc.property(fc.integer({ min: 20, max: 480 }), fc.integer({ min: 10, max: 200 }), (length, depth) => {
      const layout = pressLayout(input({ loose: strip(length, depth), targetKPa: 20 }));
      expect(layout.coverage).toBeGreaterThan(0.999);
      expect(layout.directionDeg % 180).toBeCloseTo(0, 6);
      expect(layout.pressureKPa).toBeGreaterThanOrEqual(20);
    }),
  );
});

test.each<[Partial<PressInput>, string]>([
  [{ platenMm: 0 }, 'The platen thickness is 0 mm'],
  [{ clampsOwned: 0 }, 'The number of clamps owned is 0'],
  [{ targetKPa: -1 }, 'The target pressure is -1 kPa'],
  [{ loose: [[0, 0], [10, 0]] }, 'The outline has 2 points'], // prettier-ignore
  [{ loose: [[0, 0], [10, 10], [10, 0], [0, 10]] }, 'crosses itself'], // prettier-ignore
])('refuses %j', (over, message) => {
  expect(() => pressLayout(input(over))).toThrow(message);
});

test('time from first glue to last clamp', () => {
  expect(layingMinutes(10_000, 4)).toBe(3);
});

test('where a blister lies on the face changes nothing of how it is pressed', () => {
  const wide = { widthMm: 2000, heightMm: 2000 };
  const face: Polygon = [[0, 0], [wide.widthMm, 0], [wide.widthMm, wide.heightMm], [0, wide.heightMm]]; // prettier-ignore
  const box = (x: number, y: number): Polygon => [[x, y], [x + 300, y], [x + 300, y + 220], [x, y + 220]]; // prettier-ignore
  const [near, far] = [box(900, 300), box(900, 900)].map((loose) => pressLayout(input({ loose, face, clampsOwned: 40 }))); // prettier-ignore
  expect(far?.cauls.length).toBe(near?.cauls.length);
  expect(far?.clamps.length).toBe(near?.clamps.length);
});

test('a clamp without a caul presses its pad and what the platen spreads, by hand', () => {
  const base = pressLayout(input({ targetKPa: 50 }));
  const f = { kind: clampById('fStyle'), count: 8 };
  const alone = placedLayout(base, input(), { cauls: [], clamps: [{ at: [190, 20], clamp: 'fStyle', forceN: 500 }] }, () => f); // prettier-ignore
  const [print] = alone.footprints;
  const xs = (print ?? []).map(([x]) => x);
  // Pad 30 mm and 18 mm of platen at 45° on both sides.
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(30 + 2 * 18, 6);
});

test('a caul spreads half its width and what the platen adds to either side of a clamp, by hand', () => {
  const base = pressLayout(input({ targetKPa: 50 }));
  const f = { kind: clampById('fStyle'), count: 8 };
  const caul = { from: [110, 20], to: [270, 20], widthMm: 45, heightMm: 38, camberMm: 0 } as const;
  const one = placedLayout(base, input(), { cauls: [caul], clamps: [{ at: [190, 20], clamp: 'fStyle', forceN: 500 }] }, () => f); // prettier-ignore
  const ys = (one.footprints[0] ?? []).map(([, y]) => y);
  // 45 mm of caul and 18 mm of platen at 45° on both sides.
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(45 + 2 * 18, 6);
});
