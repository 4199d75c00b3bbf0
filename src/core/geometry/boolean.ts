import {
  areaPathsD,
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  minkowskiSumD,
  unionD,
  type PathD,
  type PathsD,
} from 'clipper2-ts';
import { polygonHull } from 'd3-polygon';
import type { Point, Polygon } from './point';

/** Decimal places kept of a millimetre in boolean operations: a tenth of a micrometre. */
const DECIMALS = 4;
const toPath = (outline: Polygon): PathD => outline.map(([x, y]) => ({ x, y }));
const fromPaths = (paths: PathsD): Polygon[] => paths.map((path) => path.map((p) => [p.x, p.y] as const));

/**
 * Grows (or with a negative distance shrinks) an outline, its corners round or pointed. May give no piece, or several.
 */
export function offsetOutline(
  outline: Polygon,
  distanceMm: number,
  corners: 'round' | 'pointed' = 'round',
): Polygon[] {
  const path = toPath(outline);
  const ccw = areaPathsD([path]) >= 0 ? path : [...path].reverse();
  return fromPaths(
    inflatePathsD(
      [ccw],
      distanceMm,
      corners === 'round' ? JoinType.Round : JoinType.Miter,
      EndType.Polygon,
      2,
      DECIMALS,
    ),
  );
}

export const unionOf = (outlines: readonly Polygon[]): Polygon[] =>
  fromPaths(unionD(outlines.map(toPath), [], FillRule.NonZero, DECIMALS));

export const intersectionOf = (a: readonly Polygon[], b: readonly Polygon[]): Polygon[] =>
  fromPaths(intersectD(a.map(toPath), b.map(toPath), FillRule.NonZero, DECIMALS));

/** Area of a set of pieces; holes come with the opposite turn and are taken off. */
export const areaOfAll = (pieces: readonly Polygon[]): number => Math.abs(areaPathsD(pieces.map(toPath)));

/**
 * The band that a line of this width covers, cut off at the face when one is given.
 *
 * @param points two or more, mm; the band's ends are square
 * @returns its largest piece
 */
export function bufferLine(points: Polygon, widthMm: number, within?: Polygon): Polygon {
  const grown = fromPaths(
    inflatePathsD([toPath(points)], widthMm / 2, JoinType.Miter, EndType.Butt, 2, DECIMALS),
  );
  const pieces = within ? intersectionOf(grown, [within]) : grown;
  return pieces.reduce((best, p) => (areaOfAll([p]) > areaOfAll([best]) ? p : best), pieces[0] ?? points);
}

export const differenceOf = (a: readonly Polygon[], b: readonly Polygon[]): Polygon[] =>
  b.length === 0
    ? a.map((o) => [...o])
    : fromPaths(differenceD(a.map(toPath), b.map(toPath), FillRule.NonZero, DECIMALS));

/** The library rounds Minkowski sums to hundredths; as much finer are they asked for. */
const FINER = 100;

/** No corner turns the other way than the rest. */
export function isConvex(outline: Polygon): boolean {
  let way = 0;
  return outline.every((a, i) => {
    const [b, c] = [outline[(i + 1) % outline.length], outline[(i + 2) % outline.length]];
    if (!b || !c) return false;
    const turn = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    if (Math.abs(turn) < STRAIGHT) return true;
    way ||= Math.sign(turn);
    return Math.sign(turn) === way;
  });
}
const STRAIGHT = 1e-9;

/** Everything that an outline covers, filled, while its origin is led over another, filled too (the Minkowski sum). */
export function sweptOver(ground: Polygon, outline: Polygon): Polygon[] {
  if (isConvex(ground) && isConvex(outline)) {
    const sums = ground.flatMap(([px, py]) => outline.map(([x, y]): [number, number] => [x + px, y + py]));
    const hull = polygonHull(sums);
    return hull ? [hull] : [];
  }
  return unionOf([...sweptRound(ground, outline), ...outline.slice(0, 1).map(([x, y]) => positive(ground.map(([px, py]): Point => [px + x, py + y])))]); // prettier-ignore
}

/** Everything that an outline covers, filled, while its origin is led round another. */
export function sweptRound(path: Polygon, outline: Polygon): Polygon[] {
  const scaled = (list: Polygon): PathD => list.map(([x, y]) => ({ x: FINER * x, y: FINER * y }));
  const rims = fromPaths(minkowskiSumD(scaled(outline), scaled(path), true)).map((ring) =>
    ring.map(([x, y]): Point => [x / FINER, y / FINER]),
  );
  // The rims alone leave the middle open where the outline is larger than what it is led round.
  const whole = path.map(([px, py]) => positive(outline.map(([x, y]): Point => [x + px, y + py])));
  return unionOf([...unionOf(rims), ...whole]);
}

const positive = (outline: Polygon): Polygon =>
  areaPathsD([toPath(outline)]) >= 0 ? outline : [...outline].reverse();
