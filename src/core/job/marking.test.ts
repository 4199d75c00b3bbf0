import { areaOf } from '../geometry';
import { measureMark, type Mark } from '../damage';
import { onLine, remarked, shifted, tapped, withPoint } from './marking';

const FACE = [[0, 0], [600, 0], [600, 400], [0, 400]] as const; // prettier-ignore

test('a tap beside a side goes into that side', () => {
  const square = [[0, 0], [100, 0], [100, 100], [0, 100]] as const; // prettier-ignore
  expect(withPoint(square, [50, -4])[1]).toEqual([50, -4]);
  expect(withPoint(square, [104, 50])[2]).toEqual([104, 50]);
});

test('a tap lengthens a crack at the nearer end, or bends it where it runs past', () => {
  const line = [[0, 0], [100, 0]] as const; // prettier-ignore
  expect(onLine(line, [140, 5])).toEqual([[0, 0], [100, 0], [140, 5]]); // prettier-ignore
  expect(onLine(line, [-20, 0])).toEqual([[-20, 0], [0, 0], [100, 0]]); // prettier-ignore
  expect(onLine(line, [50, 6])).toEqual([[0, 0], [50, 6], [100, 0]]); // prettier-ignore
});

test('every tool is placed by taps alone', () => {
  const made = (tool: Mark['tool'], ...taps: [number, number][]): Mark | undefined =>
    taps.reduce<Mark | undefined>((mark, p) => tapped(tool, mark, p), undefined);
  for (const mark of [
    made('area', [10, 10], [60, 10], [60, 60]),
    made('line', [10, 10], [60, 10]),
    made('circle', [100, 100]),
    made('edge', [100, 1], [180, 2]),
    made('corner', [590, 5]),
  ]) {
    if (!mark) throw new Error('A tool was not placed.');
    expect(areaOf(measureMark(mark, FACE).outline)).toBeGreaterThan(0);
  }
  // A third tap moves the end of the run that is nearer.
  expect(made('edge', [100, 1], [180, 2], [190, 0])).toMatchObject({ from: [100, 1], to: [190, 0] });
});

test('another tool keeps the place, and nearly the size', () => {
  const outline = [[100, 100], [200, 100], [200, 110], [100, 110]] as const; // prettier-ignore
  expect(remarked('line', outline)).toEqual({ tool: 'line', points: [[100, 105], [200, 105]], widthMm: 10 }); // prettier-ignore
  const circle = remarked('circle', outline);
  expect(circle && areaOf(measureMark(circle, FACE).outline)).toBeCloseTo(1000, 0);
  expect(remarked('circle', [])).toBeUndefined();
});

test('a mark is moved as a whole', () => {
  expect(shifted({ tool: 'circle', at: [10, 20], diameterMm: 5 }, [3, -4])).toEqual({ tool: 'circle', at: [13, 16], diameterMm: 5 }); // prettier-ignore
});
