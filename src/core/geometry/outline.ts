import { polygonArea, polygonCentroid, polygonContains, polygonLength } from 'd3-polygon';
import { boundingBox, rotate, sides, type Point, type Polygon } from './point';

const orient = (a: Point, b: Point, c: Point): number =>
  Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));

/** Do two segments cross or touch, end points included? */
function segmentsMeet([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean {
  const onSegment = (p: Point, q: Point, r: Point): boolean =>
    orient(p, q, r) === 0 &&
    Math.min(p[0], q[0]) <= r[0] &&
    r[0] <= Math.max(p[0], q[0]) &&
    Math.min(p[1], q[1]) <= r[1] &&
    r[1] <= Math.max(p[1], q[1]);
  if (orient(a, b, c) * orient(a, b, d) < 0 && orient(c, d, a) * orient(c, d, b) < 0) return true;
  return onSegment(a, b, c) || onSegment(a, b, d) || onSegment(c, d, a) || onSegment(c, d, b);
}

/** True when a closed outline crosses or touches itself. */
export function crossesItself(outline: Polygon): boolean {
  const edges = sides(outline);
  return edges.some((edge, i) =>
    edges.some((other, j) => {
      const neighbours = j === i + 1 || (i === 0 && j === edges.length - 1);
      return j > i && !neighbours && segmentsMeet(edge, other);
    }),
  );
}

/**
 * Refuses what is not the outline of an area.
 *
 * @throws RangeError that says what is wrong and what to do
 */
export function assertOutline(outline: Polygon): void {
  if (outline.length < 3) {
    throw new RangeError(
      `The outline has ${outline.length === 1 ? 'one point' : `${outline.length} points`}; an area needs at least three. Tap more points round the damage.`,
    );
  }
  if (outline.some((p) => !Number.isFinite(p[0]) || !Number.isFinite(p[1]))) {
    throw new RangeError('The outline holds a point that is not a number.');
  }
  if (crossesItself(outline)) {
    throw new RangeError('The outline crosses itself. Drag a point back, or undo the last one.');
  }
  if (Math.abs(polygonArea(outline.map((p): [number, number] => [p[0], p[1]]))) < 1e-6) {
    throw new RangeError('The outline encloses no area: its points lie on one line.');
  }
}

const mutable = (outline: Polygon): [number, number][] => outline.map((p) => [p[0], p[1]]);

export const areaOf = (outline: Polygon): number => Math.abs(polygonArea(mutable(outline)));
export const perimeterOf = (outline: Polygon): number => polygonLength(mutable(outline));
export const centroidOf = (outline: Polygon): Point => polygonCentroid(mutable(outline));
export const contains = (outline: Polygon, p: Point): boolean =>
  polygonContains(mutable(outline), [p[0], p[1]]);

/** The same asked of many points: the outline is laid out once. */
export function containment(outline: Polygon): (x: number, y: number) => boolean {
  const xs = Float64Array.from(outline, (p) => p[0]);
  const ys = Float64Array.from(outline, (p) => p[1]);
  const n = xs.length;
  return (x, y) => {
    let inside = false;
    for (let i = 0, j = n - 1; i < n; j = i++) {
      const yi = ys[i] ?? 0;
      const yj = ys[j] ?? 0;
      const xi = xs[i] ?? 0;
      if (yi > y !== yj > y && x < xi + ((y - yi) / (yj - yi)) * ((xs[j] ?? 0) - xi)) inside = !inside;
    }
    return inside;
  };
}

export type OutlineMeasures = { areaMm2: number; perimeterMm: number; alongMm: number; acrossMm: number };

/**
 * Area, perimeter, and the lengths along and across the grain.
 *
 * @param outline in mm, at least three points, not crossing itself
 * @param grainDeg direction of the grain, degrees from +x towards +y
 */
export function measureOutline(outline: Polygon, grainDeg: number): OutlineMeasures {
  assertOutline(outline);
  const box = boundingBox(outline.map((p) => rotate(p, -grainDeg)));
  return {
    areaMm2: areaOf(outline),
    perimeterMm: perimeterOf(outline),
    alongMm: box.right - box.left,
    acrossMm: box.bottom - box.top,
  };
}

/** Sutherland–Hodgman against one half-plane: keeps the points with dot(p, n) ≤ limit. */
export function keepBelow(outline: Polygon, n: Point, limit: number): Polygon {
  return sides(outline).flatMap(([a, b]) => {
    const da = a[0] * n[0] + a[1] * n[1] - limit;
    const db = b[0] * n[0] + b[1] * n[1] - limit;
    const kept: Point[] = da <= 0 ? [a] : [];
    if (da * db < 0) {
      const t = da / (da - db);
      kept.push([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]);
    }
    return kept;
  });
}
