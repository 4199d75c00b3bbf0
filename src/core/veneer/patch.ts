import { assertRange } from '../check';
import {
  areaOf,
  assertOutline,
  boundingBox,
  contains,
  intersectionOf,
  keepBelow,
  offsetOutline,
  rotate,
  sides,
  sidesReached,
  type Point,
  type Polygon,
} from '../geometry';
import { practice, sourced, type Sourced } from '../sources';

/** Outlines that are worked out from a damage. */
export type PatchShape = 'lozenge' | 'boat' | 'kite' | 'trapezoid' | 'corner' | 'square';

export const PATCH_SHAPES: Record<PatchShape, string> = {
  lozenge: 'Lozenge: long sides with the grain, ends slanted one way',
  boat: 'Boat: long sides with the grain, ends pointed',
  kite: 'Kite: slanted sides only, for small losses',
  trapezoid: 'Trapezoid: both ends slanted towards each other, its long side at an edge',
  corner: 'Corner piece: one slanted cut, the rest hangs over two edges',
  square: 'Square ends, under paint only',
};

/** What an outline is called, own ones too. */
export const patchShapeWords = (shape: Patch['shape']): string =>
  shape === 'own' ? 'Own outline: corners dragged, or traced to the figure' : PATCH_SHAPES[shape];

export type PatchInput = {
  damage: Polygon;
  face: Polygon;
  grainDeg: number;
  shape: PatchShape;
  marginMm: number;
  overhangMm: number;
  /** Angle between the slanted ends and the grain, degrees. */
  slantDeg: number;
};

export type Patch = {
  /** Cutting outline on the face, mm, overhang included. */
  outline: Polygon;
  /** The same without what hangs over the edges: the recess to cut. */
  recess: Polygon;
  shape: PatchShape | 'own';
  areaMm2: number;
  /** Size along and across the grain, mm: what the sheet must offer. */
  alongMm: number;
  acrossMm: number;
  /** Numbers of the face's sides over which it hangs. */
  overhangSides: number[];
};

export const PATCH_DEFAULTS = {
  marginMm: sourced(2.5, practice('2–3 mm into sound wood')),
  overhangMm: sourced(6, practice('about 6 mm of overhang at an edge, less on small patches')),
  slantDeg: sourced(35, practice('ends slanted, never square across the grain')),
} satisfies Record<string, Sourced>;

const direction = (deg: number): Point => rotate([1, 0], deg);
const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1];

/** The smallest outline with sides of given directions that holds all points. */
function enclose(points: Polygon, normals: readonly Point[]): Polygon {
  const box = boundingBox(points);
  const far = 10 * Math.max(1, box.right - box.left, box.bottom - box.top);
  let outline: Polygon = [
    [box.left - far, box.top - far],
    [box.right + far, box.top - far],
    [box.right + far, box.bottom + far],
    [box.left - far, box.bottom + far],
  ];
  for (const n of normals) outline = keepBelow(outline, n, Math.max(...points.map((p) => dot(p, n))));
  return outline;
}

const turned = (normals: Point[]): Point[] => normals.map(([x, y]) => [-x, -y]);
const opposite = (normals: Point[]): Point[] => normals.flatMap(([x, y]): Point[] => [[x, y], [-x, -y]]); // prettier-ignore

/** Normals of the sides of each shape, in the grain's frame turned to the face; a lozenge may lean either way. */
function variants(shape: PatchShape, grainDeg: number, slantDeg: number): Point[][] {
  const across = direction(grainDeg + 90);
  const left = direction(grainDeg + 90 + slantDeg);
  const right = direction(grainDeg + 90 - slantDeg);
  switch (shape) {
    case 'lozenge':
      return [opposite([across, left]), opposite([across, right])];
    case 'boat':
      return [opposite([across, left, right])];
    case 'kite':
      return [opposite([left, right])];
    case 'trapezoid':
      return [
        [...opposite([across]), left, right],
        [...opposite([across]), ...turned([left, right])],
      ];
    case 'corner':
      return opposite([left, right]).flatMap((n) => [[n], ...opposite([across]).map((a) => [a, n])]);
    case 'square':
      return [opposite([across, direction(grainDeg)])];
  }
}

/** Outward normal and reach of a side of the face. */
function sideLine(face: Polygon, index: number): { n: Point; limit: number } | undefined {
  const side = sides(face)[index];
  if (!side) return undefined;
  const [a, b] = side;
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const n: Point = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length];
  const middle: Point = [(a[0] + b[0]) / 2 + n[0], (a[1] + b[1]) / 2 + n[1]];
  const outward: Point = contains(face, middle) ? [-n[0], -n[1]] : n;
  return { n: outward, limit: dot(a, outward) };
}

/**
 * The outline of a veneer patch: it runs with the grain, reaches 2–3 mm into sound wood, ends on a slant, and hangs over
 * the sides of the face that the damage reaches.
 *
 * @throws RangeError for an outline that is none, a margin outside 0…20 mm, an overhang outside 0…30 mm, a slant outside 15…75°
 */
export function patchOutline(input: PatchInput): Patch {
  const { damage, face, grainDeg, shape, marginMm, overhangMm, slantDeg } = input;
  assertOutline(damage);
  assertRange('The margin into sound wood', marginMm, 'mm', 0, 20);
  assertRange('The overhang', overhangMm, 'mm', 0, 30);
  assertRange('The slant of the ends', slantDeg, '°', 15, 75);
  const overhangSides = sidesReached(face, damage);
  if (shape === 'corner' && overhangSides.length < 2)
    throw new RangeError(
      'A corner piece is for a damage that reaches two sides of the face. Take a lozenge, or a trapezoid at an edge.',
    );
  const hull = offsetOutline(damage, marginMm).flat();
  const lines = overhangSides.flatMap((i) => {
    const line = sideLine(face, i);
    return line ? [line] : [];
  });
  // Points near a side that is reached are carried over it, so that the slanted ends start beyond the edge.
  const carried = lines.reduce<Polygon>(
    (points, { n, limit }) =>
      points.flatMap((p) => {
        const inside = limit - dot(p, n);
        const over: Point = [p[0] + n[0] * (inside + overhangMm), p[1] + n[1] * (inside + overhangMm)];
        return inside < marginMm + 3 ? [p, over] : [p];
      }),
    hull,
  );
  const limited = (outline: Polygon): Polygon =>
    sides(face).reduce<Polygon>((cut, _, i) => {
      const line = sideLine(face, i);
      return line ? keepBelow(cut, line.n, line.limit + (overhangSides.includes(i) ? overhangMm : 0)) : cut;
    }, outline);
  const best = variants(shape, grainDeg, slantDeg)
    .map((normals) => limited(enclose(carried, normals)))
    .sort((a, b) => areaOf(a) - areaOf(b))[0];
  if (!best || best.length < 3)
    throw new RangeError('The damage lies outside the face, so no patch can be drawn.');
  return { ...measured(best, face, grainDeg), shape, overhangSides };
}

function measured(outline: Polygon, face: Polygon, grainDeg: number): Omit<Patch, 'shape' | 'overhangSides'> {
  const box = boundingBox(outline.map((p) => rotate(p, -grainDeg)));
  const [recess = outline] = intersectionOf([outline], [face]);
  return {
    outline,
    recess,
    areaMm2: areaOf(outline),
    alongMm: box.right - box.left,
    acrossMm: box.bottom - box.top,
  };
}

/**
 * A patch whose corners were dragged or traced.
 *
 * @throws RangeError for corners that are no outline, or lie off the face
 */
export function ownPatch(outline: Polygon, face: Polygon, grainDeg: number): Patch {
  assertOutline(outline);
  if (intersectionOf([outline], [face]).length === 0)
    throw new RangeError('The patch lies outside the face. Drag its corners back onto the damage.');
  const overhangSides = sidesReached(face, outline);
  return { ...measured(outline, face, grainDeg), shape: 'own', overhangSides };
}

/** Sides of the recess that run square across the grain (within 10°) inside the face: they would show as a line. */
export function squareSides(patch: Patch, face: Polygon, grainDeg: number): number {
  return sides(patch.recess).filter(([a, b]) => {
    const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI - grainDeg;
    const across = Math.abs((((angle % 180) + 180) % 180) - 90) < 10;
    const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    const onEdge = sides(face).some(([c, d]) => {
      const line = Math.hypot(d[0] - c[0], d[1] - c[1]);
      return Math.abs((d[0] - c[0]) * (middle[1] - c[1]) - (d[1] - c[1]) * (middle[0] - c[0])) / line < 0.05;
    });
    return across && !onEdge && Math.hypot(b[0] - a[0], b[1] - a[1]) > 2;
  }).length;
}

/** What suits a damage: square under paint, a kite for a small one, a lozenge for the rest. */
export function suggestShape(areaMm2: number, underPaint: boolean): PatchShape {
  if (underPaint) return 'square';
  return areaMm2 < 100 ? 'kite' : 'lozenge';
}
