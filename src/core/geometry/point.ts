/** A place in a plane: pixels in a picture, millimetres on a face, or fractions of a picture's sides (0…1). */
export type Point = readonly [number, number];
export type Polygon = readonly Point[];

export const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Turns a point about the origin. Angles run from +x towards +y, in degrees. */
export function rotate([x, y]: Point, degrees: number): Point {
  const a = (degrees * Math.PI) / 180;
  return [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)];
}

export type Box = { left: number; top: number; right: number; bottom: number };

export function boundingBox(points: Polygon): Box {
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

/** The direction of a line without its sense, 0…180°. */
export function lineAngle(from: Point, to: Point): number {
  const degrees = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  return ((degrees % 180) + 180) % 180;
}

/** The point of segment a–b that lies nearest to p. */
export function nearestOnSegment(p: Point, a: Point, b: Point): Point {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length2;
  const k = Math.min(1, Math.max(0, t));
  return [a[0] + k * dx, a[1] + k * dy];
}

/** The sides of a closed outline. */
export const sides = (outline: Polygon): [Point, Point][] =>
  outline.flatMap((a, i): [Point, Point][] => {
    const b = outline[(i + 1) % outline.length];
    return b ? [[a, b]] : [];
  });

/** Where a level line crosses the sides of an outline, from left to right: in and out by turns. */
export const crossingsAt = (outline: Polygon, y: number): number[] =>
  sides(outline)
    .filter(([a, b]) => a[1] <= y !== b[1] <= y)
    .map(([a, b]) => a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]))
    .sort((a, b) => a - b);

/** Distance from a point to the boundary of an outline, whichever side it lies on. */
export const distanceToBoundary = (p: Point, outline: Polygon): number =>
  Math.min(...sides(outline).map(([a, b]) => distance(p, nearestOnSegment(p, a, b))));
