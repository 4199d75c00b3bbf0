import { areaOf, boundingBox, shapeOutline, type Point } from '../geometry';
import { depthDoubt } from './questions';
import {
  alongBoundary,
  mapMark,
  markPoints,
  measureMark,
  mirrorMark,
  addMarkPoint,
  moveMarkPoint,
  removeMarkPoint,
  type Mark,
} from './marks';

const FACE = shapeOutline({ kind: 'rectangle' }, 600, 400);

test('a crack is a band of its own width along its line', () => {
  const points: Point[] = [[100, 100], [300, 100], [300, 200]]; // prettier-ignore
  const m = measureMark({ tool: 'line', points, widthMm: 2 }, FACE);
  expect(m.lengthMm).toBeCloseTo(300);
  expect(m.gapMm).toBe(2);
  // Two legs of 200 and 100 mm with one mitred corner: their middle line times the width.
  expect(areaOf(m.outline)).toBeCloseTo(600, 0);
});

test('a hole has the area of its circle', () => {
  const m = measureMark({ tool: 'circle', at: [200, 200], diameterMm: 10 }, FACE);
  expect(areaOf(m.outline)).toBeCloseTo((Math.PI / 4) * 100, 3);
  expect(m.diameterMm).toBe(10);
});

test('a run along the edge follows it round the corner, the shorter way', () => {
  const run = alongBoundary(FACE, [550, 2], [598, 60]);
  expect(run).toEqual([[550, 0], [600, 0], [600, 60]]); // prettier-ignore
  expect(alongBoundary(FACE, [598, 60], [550, 2])).toEqual([...run].reverse());
  const m = measureMark({ tool: 'edge', from: [550, 2], to: [598, 60], reachMm: 10 }, FACE);
  expect(m.lengthMm).toBeCloseTo(110);
  // 60 × 10 and 50 × 10, less the square they share, by hand.
  expect(areaOf(m.outline)).toBeCloseTo(60 * 10 + 50 * 10 - 100, 0);
});

test('a lost corner is the triangle of its two lengths at the nearest corner', () => {
  const m = measureMark({ tool: 'corner', at: [590, 390], legsMm: [30, 20] }, FACE);
  expect(areaOf(m.outline)).toBeCloseTo(300);
  expect(boundingBox(m.outline)).toEqual({ left: 580, top: 370, right: 600, bottom: 400 });
});

test.each<[string, Mark, string]>([
  ['one point', { tool: 'line', points: [[1, 1]], widthMm: 1 }, 'A line needs two points'],
  ['two points on one spot', { tool: 'line', points: [[1, 1], [1, 1]], widthMm: 1 }, 'lie on one spot'], // prettier-ignore
  ['no width', { tool: 'line', points: [[1, 1], [9, 1]], widthMm: 0 }, 'The width of the line is 0 mm'], // prettier-ignore
  ['no diameter', { tool: 'circle', at: [5, 5], diameterMm: -3 }, 'The diameter is -3 mm'],
  ['an edge run of nothing', { tool: 'edge', from: [9, 0], to: [9, 0], reachMm: 5 }, 'lie on one spot'],
])('%s is refused in words', (_, mark, words) => {
  expect(() => measureMark(mark, FACE)).toThrow(words);
});

test('points are moved one at a time, and everything mirrors to the other side', () => {
  const crack: Mark = { tool: 'line', points: [[10, 20], [30, 40]], widthMm: 1 }; // prettier-ignore
  expect(moveMarkPoint(crack, 1, [50, 60])).toEqual({ ...crack, points: [[10, 20], [50, 60]] }); // prettier-ignore
  expect(markPoints(crack).map((p) => p.label)).toEqual(['Point 1 of 2', 'Point 2 of 2']);
  const corner: Mark = { tool: 'corner', at: [590, 10], legsMm: [30, 20] };
  const there = measureMark(corner, FACE).outline;
  const mirrored = mirrorMark(corner, 600);
  expect(mirrored).toMatchObject({ at: [10, 10] });
  const [box, other] = [boundingBox(there), boundingBox(measureMark(mirrored, FACE).outline)];
  expect(other).toEqual({ left: 600 - box.right, right: 600 - box.left, top: box.top, bottom: box.bottom });
  expect(mapMark(mirrorMark(mirrorMark(crack, 600), 600), (p) => p)).toEqual(crack);
});

test('places are put to an outline or a line and taken from it; a hole and a corner have none to give', () => {
  const area: Mark = { tool: 'area', outline: [[0, 0], [40, 0], [40, 30]] }; // prettier-ignore
  const more = addMarkPoint(area, [0, 30]);
  expect(more).toEqual({ tool: 'area', outline: [[0, 0], [40, 0], [40, 30], [0, 30]] }); // prettier-ignore
  expect(removeMarkPoint(more, 3)).toEqual(area);
  const line: Mark = { tool: 'line', points: [[10, 10]], widthMm: 1 }; // prettier-ignore
  expect(removeMarkPoint(addMarkPoint(line, [20, 20]), 0)).toEqual({ ...line, points: [[20, 20]] }); // prettier-ignore
  for (const mark of [
    { tool: 'circle', at: [5, 5], diameterMm: 6 },
    { tool: 'corner', at: [0, 0], legsMm: [9, 9] },
  ] as Mark[]) {
    // prettier-ignore
    expect(addMarkPoint(mark, [1, 1])).toBe(mark);
    expect(removeMarkPoint(mark, 0)).toBe(mark);
  }
});

test('a depth below zero or beyond any board is refused; one deeper than the board is asked about', () => {
  expect(() => depthDoubt(-1, 20)).toThrow('A depth of -1 mm cannot be');
  expect(() => depthDoubt(900, 20)).toThrow('A depth of 900 mm cannot be');
  expect(depthDoubt(25, 20)).toContain('Does it go right through?');
  expect(depthDoubt(5, 20)).toBeUndefined();
  expect(depthDoubt(25, undefined)).toBeUndefined();
});

test('a line of two millimetres is a line, one of half a millimetre is a tap', () => {
  const line = (to: number) => measureMark({ tool: 'line', points: [[100, 100], [100 + to, 100]], widthMm: 0.5 }, FACE); // prettier-ignore
  expect(line(2).lengthMm).toBeCloseTo(2, 9);
  expect(() => line(0.5)).toThrow('lie on one spot');
});
