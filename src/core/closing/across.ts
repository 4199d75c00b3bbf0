import Joi from 'joi';
import { GRIP_DEG } from '../awkward';
import { assertRange } from '../check';
import { assertOutline, contains, distanceToBoundary, type Point, type Polygon } from '../geometry';
import { memory, sourced } from '../sources';

/** A joint on its face, from one end to the other, mm. */
export type JointLine = { from: Point; to: Point };

export type ClampEnd = {
  /** From the joint to the edge that the jaw stands on, mm. */
  reachMm: number;
  /** How much the edge slopes there against the joint: the jaw slides off a steep one. */
  slopeDeg: number;
  /** More than sandpaper under the jaw holds: a block, or an ear. */
  needsBlock: boolean;
  /** How much higher one end of the block is than the other, over the length of a block, mm. */
  riseMm: number;
};

export type ClampAcross = {
  /** From the joint's first end. */
  atMm: number;
  at: Point;
  /** Left and right of the joint as it is walked. */
  ends: [ClampEnd, ClampEnd];
  /** What the bar must open, its blocks apart, mm. */
  openingMm: number;
};

/** Length of a block along the edge, mm. */
export const EAR_MM = sourced(60, memory('a block as long as a jaw and its pad'));
/** A steeper edge takes no block: its jaw would stand beside the board. */
const STEEPEST_DEG = 75;

const point = Joi.array().items(Joi.number().min(-20_000).max(20_000)).length(2);
/** Input of `joint.across`: `{outline: [[xMm, yMm]…], joint: {from, to}, atMm: [mm from the joint's first end …]}`. */
export const acrossSchema = Joi.object({
  outline: Joi.array().items(point).min(3).max(2000).required(),
  joint: Joi.object({ from: point.required(), to: point.required() }).required(),
  atMm: Joi.array().items(Joi.number().min(0).max(20_000)).min(1).max(60).required(),
});

const along = ({ from, to }: JointLine): { long: number; u: Point; n: Point } => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy);
  assertRange('The length of the joint', long, 'mm', 5, 20_000);
  return { long, u: [dx / long, dy / long], n: [dy / long, -dx / long] };
};

/** The farthest edge from a point in a direction: how far, and its slope against another. */
function edgeFrom(outline: Polygon, p: Point, d: Point, u: Point): ClampEnd | undefined {
  let found: ClampEnd | undefined;
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a;
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const det = d[0] * ey - d[1] * ex;
    if (Math.abs(det) < 1e-12) return;
    const t = ((a[0] - p[0]) * ey - (a[1] - p[1]) * ex) / det;
    const s = ((a[0] - p[0]) * d[1] - (a[1] - p[1]) * d[0]) / det;
    if (t < 0 || s < 0 || s > 1 || t <= (found?.reachMm ?? -1)) return;
    const turn = Math.abs(Math.atan2(ex * u[1] - ey * u[0], ex * u[0] + ey * u[1])) * (180 / Math.PI);
    const slopeDeg = Math.min(turn, 180 - turn);
    found = {
      reachMm: t,
      slopeDeg,
      needsBlock: slopeDeg > GRIP_DEG.value,
      riseMm: EAR_MM.value * Math.tan((Math.min(slopeDeg, STEEPEST_DEG) * Math.PI) / 180),
    };
  });
  return found;
}

/**
 * Registry `joint.across`: where clamps that pull square across a joint stand on the edges of their face, how much those edges slope, and
 * the block that gives each jaw a face square to its pull. A place whose clamp meets no edge, or one too steep for any block, is left out.
 */
export function clampsAcross({
  outline,
  joint,
  atMm,
}: {
  outline: Polygon;
  joint: JointLine;
  atMm: readonly number[];
}): ClampAcross[] {
  assertOutline(outline);
  const { u, n } = along(joint);
  return atMm.flatMap((s): ClampAcross[] => {
    const at: Point = [joint.from[0] + s * u[0], joint.from[1] + s * u[1]];
    const left = edgeFrom(outline, at, n, u);
    const right = edgeFrom(outline, at, [-n[0], -n[1]], u);
    if (!left || !right || Math.max(left.slopeDeg, right.slopeDeg) > STEEPEST_DEG) return [];
    return [{ atMm: s, at, ends: [left, right], openingMm: left.reachMm + right.reachMm }];
  });
}

/** Wood that stays between the end of a dowel's hole and the edge, so that it does not break out, mm. */
export const DOWEL_COVER_MM = sourced(10, memory('less wood over the end of a hole bulges or breaks out'));

/**
 * Of dowels along a joint, those whose holes stay in the wood on both sides.
 *
 * @param holeMm depth of the hole on each side
 */
export function dowelsInside(
  outline: Polygon,
  joint: JointLine,
  atMm: readonly number[],
  holeMm: number,
): { atMm: number; inside: boolean }[] {
  assertOutline(outline);
  assertRange('The depth of the hole', holeMm, 'mm', 1, 300);
  const { u, n } = along(joint);
  return atMm.map((s) => ({
    atMm: s,
    inside: [1, -1].every((side) => {
      const end: Point = [joint.from[0] + s * u[0] + side * holeMm * n[0], joint.from[1] + s * u[1] + side * holeMm * n[1]]; // prettier-ignore
      return contains(outline, end) && distanceToBoundary(end, outline) >= DOWEL_COVER_MM.value;
    }),
  }));
}
