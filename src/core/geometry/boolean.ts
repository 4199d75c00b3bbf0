import {
  areaPathsD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  unionD,
  type PathD,
  type PathsD,
} from 'clipper2-ts';
import type { Polygon } from './point';

/** Decimal places kept of a millimetre in boolean operations: a tenth of a micrometre. */
const DECIMALS = 4;
const toPath = (outline: Polygon): PathD => outline.map(([x, y]) => ({ x, y }));
const fromPaths = (paths: PathsD): Polygon[] => paths.map((path) => path.map((p) => [p.x, p.y] as const));

/** Grows (or with a negative distance shrinks) an outline with round corners. May give no piece, or several. */
export function offsetOutline(outline: Polygon, distanceMm: number): Polygon[] {
  const path = toPath(outline);
  const ccw = areaPathsD([path]) >= 0 ? path : [...path].reverse();
  return fromPaths(inflatePathsD([ccw], distanceMm, JoinType.Round, EndType.Polygon, 2, DECIMALS));
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
