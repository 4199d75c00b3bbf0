import cv from '@techstark/opencv-js';
import fc from 'fast-check';
import { homographyFrom, project } from './homography';
import type { Point } from './point';
import { rectify } from './rectify';

/** opencv's own homography, from an independent computer-vision library used in tests only. */
function byOpenCv(image: Point[], world: Point[], points: Point[]): Point[] {
  const from = cv.matFromArray(image.length, 1, cv.CV_64FC2, image.flat());
  const to = cv.matFromArray(world.length, 1, cv.CV_64FC2, world.flat());
  const h = cv.findHomography(from, to, 0);
  const m = [...h.data64F];
  for (const mat of [from, to, h]) mat.delete();
  return points.map(([x, y]) => {
    const at = (i: number): number => m[i] ?? 0;
    const w = at(6) * x + at(7) * y + at(8);
    return [(at(0) * x + at(1) * y + at(2)) / w, (at(3) * x + at(4) * y + at(5)) / w];
  });
}

beforeAll(async () => {
  if (!cv.Mat) await new Promise<void>((resolve) => (cv.onRuntimeInitialized = resolve));
});

const IMAGE: Point[] = [
  [212, 304],
  [1388, 251],
  [1499, 1071],
  [98, 1002],
];
const A4: Point[] = [
  [0, 0],
  [297, 0],
  [297, 210],
  [0, 210],
];
const PROBES: Point[] = [
  [800, 600],
  [300, 400],
  [1300, 1000],
];

test('four corners: the same places as opencv to a micrometre', () => {
  const ours = rectify({ image: IMAGE, world: A4, points: PROBES });
  byOpenCv(IMAGE, A4, PROBES).forEach(([x, y], i) => {
    expect(ours.points[i]?.[0]).toBeCloseTo(x, 3);
    expect(ours.points[i]?.[1]).toBeCloseTo(y, 3);
  });
  expect(ours.rmsMm).toBeLessThan(1e-9);
});

test('more than four pairs with errors: the same least squares as opencv', () => {
  const h = homographyFrom(A4, IMAGE);
  const wobble = [0.3, -0.2, 0.25, -0.35, 0.1, 0.2, -0.15, 0.3, -0.1];
  const world = [0, 148, 297].flatMap((x) => [0, 105, 210].map((y): Point => [x, y]));
  const image = world.map((p, i): Point => {
    const [x, y] = project(h, p);
    return [x + (wobble[i] ?? 0) * 8, y - (wobble[8 - i] ?? 0) * 8];
  });
  const ours = rectify({ image, world, points: PROBES });
  // opencv minimises the same misfit (in the target plane) with its own Levenberg–Marquardt; both stop near the optimum.
  byOpenCv(image, world, PROBES).forEach(([x, y], i) => {
    expect(ours.points[i]?.[0]).toBeCloseTo(x, 2);
    expect(ours.points[i]?.[1]).toBeCloseTo(y, 2);
  });
  expect(ours.rmsMm).toBeGreaterThan(0.1);
  expect(ours.rmsMm).toBeLessThan(2);
});

test('any tilted view of a sheet comes back to scale', () => {
  const jitter = fc.double({ min: -150, max: 150, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(jitter, { minLength: 8, maxLength: 8 }),
      fc.double({ min: 1, max: 296, noNaN: true }),
      (d, x) => {
        const image = IMAGE.map(([u, v], i): Point => [u + (d[2 * i] ?? 0), v + (d[2 * i + 1] ?? 0)]);
        const back = homographyFrom(A4, image);
        const [u, v] = project(homographyFrom(image, A4), project(back, [x, 77]));
        expect(u).toBeCloseTo(x, 5);
        expect(v).toBeCloseTo(77, 5);
      },
    ),
  );
});

describe('bad corners', () => {
  const with3 = (p: Point): Point[] => [...IMAGE.slice(0, 3), p];
  test('three on one line', () => {
    expect(() =>
      rectify({
        image: [
          [0, 0],
          [100, 0],
          [200, 0],
          [50, 90],
        ],
        world: A4,
        points: [],
      }),
    ).toThrow('degenerate');
  });
  test('two on one spot', () => {
    expect(() => rectify({ image: with3([212, 304]), world: A4, points: [] })).toThrow('degenerate');
  });
  test('nine on one line', () => {
    const line = Array.from({ length: 9 }, (_, i): Point => [i * 10, i * 20]);
    expect(() => rectify({ image: line, world: line, points: [] })).toThrow('degenerate');
  });
  test('two swapped', () => {
    const [a, b, c, d] = IMAGE;
    if (!a || !b || !c || !d) throw new Error('four corners');
    expect(() => rectify({ image: [a, c, b, d], world: A4, points: [] })).toThrow('cross');
  });
  test('a dented quadrilateral folds the plane over', () => {
    expect(() => rectify({ image: with3([900, 500]), world: A4, points: [] })).toThrow('cross or fold');
  });
  test('counts that differ', () => {
    expect(() => rectify({ image: IMAGE, world: A4.slice(0, 3), points: [] })).toThrow('at least four pairs');
  });
});
