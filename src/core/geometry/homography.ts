import { Matrix, SingularValueDecomposition, solve } from 'ml-matrix';
import { crossesItself } from './outline';
import type { Point } from './point';

/** Row-major 3×3 projective map, scaled so that its last element is 1 where that is possible. */
export type Homography = readonly [
  number, number, number,
  number, number, number,
  number, number, number,
]; // prettier-ignore

/** @throws RangeError when the point lies on the horizon of the map */
export function project(h: Homography, [x, y]: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  if (Math.abs(w) < 1e-12)
    throw new RangeError('The point lies on the horizon of the picture and has no place.');
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}

const asHomography = (m: Matrix): Homography => {
  const v = m.to1DArray();
  const last = v[8] ?? 0;
  const k = Math.abs(last) > 1e-14 ? last : 1;
  const at = (i: number): number => (v[i] ?? 0) / k;
  return [at(0), at(1), at(2), at(3), at(4), at(5), at(6), at(7), at(8)];
};

const asMatrix = (h: Homography): Matrix =>
  new Matrix([
    [h[0], h[1], h[2]],
    [h[3], h[4], h[5]],
    [h[6], h[7], h[8]],
  ]);

export const compose = (second: Homography, first: Homography): Homography =>
  asHomography(asMatrix(second).mmul(asMatrix(first)));

/** The map backwards: adjugate over determinant. */
export function invertHomography(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  const determinant = a * (e * j - f * i) - b * (d * j - f * g) + c * (d * i - e * g);
  if (Math.abs(determinant) < 1e-18)
    throw new RangeError('The map from picture to face cannot be turned round.');
  return asHomography(
    new Matrix([
      [e * j - f * i, c * i - b * j, b * f - c * e],
      [f * g - d * j, a * j - c * g, c * d - a * f],
      [d * i - e * g, b * g - a * i, a * e - b * d],
    ]).div(determinant),
  );
}

/** Moves the points to their centre and scales them to a mean distance of √2, which conditions the equations. */
function normaliser(points: readonly Point[]): Homography {
  const n = points.length;
  const cx = points.reduce((s, p) => s + p[0], 0) / n;
  const cy = points.reduce((s, p) => s + p[1], 0) / n;
  const mean = points.reduce((s, p) => s + Math.hypot(p[0] - cx, p[1] - cy), 0) / n;
  const k = mean > 0 ? Math.SQRT2 / mean : 1;
  return [k, 0, -k * cx, 0, k, -k * cy, 0, 0, 1];
}

const DEGENERATE =
  'The corners are degenerate: too many of them lie on one line or on one spot. Drag them to the four corners of the object.';

/** With any one point left out the rest must still span the plane; otherwise a line holds all but one of them. */
function assertSpread(points: readonly Point[]): void {
  const normal = points.map((p) => project(normaliser(points), p));
  const spans = (some: Point[]): boolean => {
    const svd = new SingularValueDecomposition(new Matrix(some.map(([x, y]) => [x, y, 1])), {
      autoTranspose: true,
    });
    const [most = 1, , least = 0] = svd.diagonal;
    return least > 1e-6 * most;
  };
  if (!normal.every((_, i) => spans(normal.filter((__, j) => j !== i)))) throw new RangeError(DEGENERATE);
}

/** Least squares on the distances in the target plane, from a start that is already close (Gauss–Newton). */
function refine(start: Homography, from: readonly Point[], to: readonly Point[]): Homography {
  let h = start;
  for (let round = 0; round < 10; round++) {
    const rows: number[][] = [];
    const rest: number[][] = [];
    from.forEach((p, i) => {
      const q = to[i] ?? p;
      const w = h[6] * p[0] + h[7] * p[1] + h[8];
      const [u, v] = project(h, p);
      const [x, y] = [p[0] / w, p[1] / w];
      rows.push([x, y, 1 / w, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1 / w, -v * x, -v * y]);
      rest.push([q[0] - u], [q[1] - v]);
    });
    const step = solve(new Matrix(rows), new Matrix(rest), true).to1DArray();
    const at = (i: number): number => (h[i] ?? 0) + (step[i] ?? 0);
    h = [at(0), at(1), at(2), at(3), at(4), at(5), at(6), at(7), h[8]];
    if (Math.hypot(...step) < 1e-12) break;
  }
  return h;
}

/**
 * The projective map that takes picture points to places on a plane: exact for four pairs, least squares of the
 * distances in the plane for more (normalised direct linear transform, then Gauss–Newton).
 *
 * @param image at least four points, no three of the first four on one line
 * @param world their places, same count
 * @throws RangeError for too few, unequal, degenerate or crossing corners
 */
export function homographyFrom(image: readonly Point[], world: readonly Point[]): Homography {
  if (image.length < 4 || image.length !== world.length) {
    throw new RangeError(
      `Rectifying takes at least four pairs of points; given were ${image.length} in the picture and ${world.length} on the face.`,
    );
  }
  assertSpread(image);
  assertSpread(world);
  if (image.length === 4 && crossesItself(image) !== crossesItself(world)) {
    throw new RangeError('The corners cross: two of them are swapped. Go round the object in one direction.');
  }
  const n1 = normaliser(image);
  const n2 = normaliser(world);
  const from = image.map((p) => project(n1, p));
  const to = world.map((p) => project(n2, p));
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i] ?? [0, 0];
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, -u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, -v],
    ];
  });
  // The null vector of the equations is the eigenvector of AᵀA with the least eigenvalue; a padded square SVD gives it.
  while (rows.length < 9) rows.push(Array<number>(9).fill(0));
  const svd = new SingularValueDecomposition(new Matrix(rows));
  const v = svd.rightSingularVectors.getColumn(8);
  const raw = asHomography(new Matrix([v.slice(0, 3), v.slice(3, 6), v.slice(6, 9)]));
  const normalised = image.length > 4 ? refine(raw, from, to) : raw;
  const sides = new Set(
    from.map((p) => Math.sign(normalised[6] * p[0] + normalised[7] * p[1] + normalised[8])),
  );
  if (sides.size > 1 || sides.has(0)) {
    throw new RangeError(
      'The corners cross or fold over. Drag them so that they go round the object in one direction.',
    );
  }
  return compose(invertHomography(n2), compose(normalised, n1));
}

/** Root mean square of the distances between projected picture points and their places. */
export function rmsOf(h: Homography, image: readonly Point[], world: readonly Point[]): number {
  const squares = image.map((p, i) => {
    const [x, y] = project(h, p);
    const [u, v] = world[i] ?? [x, y];
    return (x - u) ** 2 + (y - v) ** 2;
  });
  return Math.sqrt(squares.reduce((a, b) => a + b, 0) / squares.length);
}
