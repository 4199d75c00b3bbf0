import type { Point, Polygon } from './point';

/** The outline of a face inside the box that its photo or its size gives. */
export type FaceShape =
  | { kind: 'rectangle' }
  /** A circle or an oval touches all four sides of its box. */
  | { kind: 'round' }
  /** Half of an oval; its straight side lies along this side of the box. */
  | { kind: 'halfRound'; straight: 'top' | 'bottom' }
  /** Corners as fractions of the box, 0…1, in order. */
  | { kind: 'polygon'; corners: readonly Point[] }
  /** The narrow edge of a top, unrolled to a strip; round means that its ends meet. */
  | { kind: 'band'; round: boolean };

const ARC_SIDES = 96;

/** An arc in the box; its corners lie so far out that the many-sided outline has the true area. */
function arc(fromTurn: number, toTurn: number, sides: number): Point[] {
  const step = (2 * Math.PI * (toTurn - fromTurn)) / sides;
  const out = Math.sqrt(step / Math.sin(step));
  return Array.from({ length: sides + 1 }, (_, i): Point => {
    const a = 2 * Math.PI * fromTurn + step * i;
    return [out * Math.cos(a), out * Math.sin(a)];
  });
}

/** A face's outline in mm, its box from 0, 0 to width, height. Clockwise on the screen, starting at the left. */
export function shapeOutline(shape: FaceShape, widthMm: number, heightMm: number): Polygon {
  switch (shape.kind) {
    case 'rectangle':
    case 'band':
      return [[0, 0], [widthMm, 0], [widthMm, heightMm], [0, heightMm]]; // prettier-ignore
    case 'round':
      return arc(0.5, 1.5, ARC_SIDES)
        .slice(0, -1)
        .map(([x, y]) => [(widthMm / 2) * (1 + x), (heightMm / 2) * (1 + y)]);
    case 'halfRound': {
      const bow = arc(0.5, 1, ARC_SIDES / 2).map(([x, y]): Point => [
        (widthMm / 2) * (1 + x),
        heightMm * (1 + y),
      ]);
      return shape.straight === 'bottom' ? bow : bow.map(([x, y]): Point => [x, heightMm - y]).reverse();
    }
    case 'polygon':
      return shape.corners.map(([x, y]) => [x * widthMm, y * heightMm]);
  }
}

/** The length of the narrow edge round a top of this box, unrolled: Ramanujan's formula for an oval's perimeter. */
export function bandLengthMm(widthMm: number, heightMm: number, round: boolean): number {
  if (!round) return widthMm;
  const [a, b] = [widthMm / 2, heightMm / 2];
  return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}
