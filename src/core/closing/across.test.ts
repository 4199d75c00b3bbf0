import type { Point } from '../geometry';
import { clampsAcross, dowelsInside, EAR_MM } from './across';

const round = (radius: number, count = 720): Point[] =>
  Array.from({ length: count }, (_, i) => [radius * Math.cos((2 * Math.PI * i) / count), radius * Math.sin((2 * Math.PI * i) / count)]); // prettier-ignore
const board: Point[] = [[0, 0], [900, 0], [900, 400], [0, 400]]; // prettier-ignore

test('a straight board: jaws stand square, the bar opens by its width', () => {
  const clamps = clampsAcross({
    outline: board,
    joint: { from: [0, 150], to: [900, 150] },
    atMm: [100, 450],
  });
  expect(clamps.map((c) => c.openingMm)).toEqual([400, 400]);
  expect(clamps[0]?.ends.map((e) => e.reachMm).sort((a, b) => a - b)).toEqual([150, 250]);
  for (const c of clamps)
    for (const e of c.ends) expect(e).toMatchObject({ slopeDeg: 0, needsBlock: false, riseMm: 0 });
});

test.each([0, 100, 200, 250, 290])('a round top of 300 mm, jointed across its middle: %d mm from the middle the rim slopes as the circle has it', (off) => {
  const [clamp] = clampsAcross({ outline: round(300), joint: { from: [-300, 0], to: [300, 0] }, atMm: [300 + off] });
  const slope = (Math.asin(off / 300) * 180) / Math.PI;
  if (slope > 75.5) return expect(clamp).toBeUndefined();
  for (const end of clamp?.ends ?? []) {
    expect(end.slopeDeg).toBeGreaterThan(slope - 0.6);
    expect(end.slopeDeg).toBeLessThan(slope + 0.6);
    expect(end.reachMm).toBeCloseTo(Math.sqrt(300 ** 2 - off ** 2), 1);
    expect(end.needsBlock).toBe(slope > 35);
    expect(end.riseMm / EAR_MM.value).toBeCloseTo(Math.tan((slope * Math.PI) / 180), 1);
  }
}); // prettier-ignore

test('the joint may lie any way on the face', () => {
  const turn = ([x, y]: Point): Point => [x * Math.cos(0.7) - y * Math.sin(0.7), x * Math.sin(0.7) + y * Math.cos(0.7)]; // prettier-ignore
  const [straight] = clampsAcross({
    outline: round(300),
    joint: { from: [-250, 60], to: [250, 60] },
    atMm: [120],
  });
  const [turned] = clampsAcross({ outline: round(300), joint: { from: turn([-250, 60]), to: turn([250, 60]) }, atMm: [120] }); // prettier-ignore
  expect(turned?.openingMm).toBeCloseTo(straight?.openingMm ?? 0, 1);
  expect(turned?.ends[0].slopeDeg).toBeCloseTo(straight?.ends[0].slopeDeg ?? 0, 0);
});

test('a dowel near the end of a joint in a round top would break out at its rim', () => {
  // 27 mm to each side, 10 mm of cover: the hole's end must lie within 290 mm of the middle.
  const places = dowelsInside(round(300), { from: [-300, 0], to: [300, 0] }, [5, 20, 60, 300, 580, 595], 27);
  const far = (s: number): number => Math.hypot(s - 300, 27);
  expect(places.map((p) => p.inside)).toEqual(places.map((p) => far(p.atMm) <= 290));
  expect(dowelsInside(board, { from: [0, 30], to: [900, 30] }, [100], 27)[0]?.inside).toBe(false);
  expect(dowelsInside(board, { from: [0, 40], to: [900, 40] }, [100], 27)[0]?.inside).toBe(true);
});

test('a joint without length is refused', () => {
  expect(() => clampsAcross({ outline: board, joint: { from: [5, 5], to: [5, 6] }, atMm: [1] })).toThrow('length of the joint'); // prettier-ignore
});
