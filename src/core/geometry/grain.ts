import { contains } from './outline';
import { distance, lineAngle, nearestOnSegment, sides, type Point, type Polygon } from './point';

/** How the grain runs over a face. Directions are degrees from +x towards +y, without a sense. */
export type GrainPlan =
  | { kind: 'uniform'; degrees: number }
  /** A sunburst: every leaf runs towards the middle. */
  | { kind: 'radial'; at: Point }
  /** A crossbanded border: within this distance of the edge the grain runs square to it. */
  | { kind: 'border'; widthMm: number; degrees: number }
  /** Leaves with directions of their own; elsewhere the face's. The later of two that overlap counts. */
  | { kind: 'zones'; zones: readonly { outline: Polygon; degrees: number }[]; degrees: number };

/** The direction of the grain at a place on the face, 0…180°. */
export function grainAt(plan: GrainPlan, face: Polygon, p: Point): number {
  switch (plan.kind) {
    case 'uniform':
      return plan.degrees;
    case 'radial':
      return distance(plan.at, p) < 1e-6 ? 0 : lineAngle(plan.at, p);
    case 'border': {
      const near = sides(face)
        .map(([a, b]) => ({ off: distance(p, nearestOnSegment(p, a, b)), along: lineAngle(a, b) }))
        .reduce((best, s) => (s.off < best.off ? s : best), { off: Infinity, along: 0 });
      return near.off <= plan.widthMm ? (near.along + 90) % 180 : plan.degrees;
    }
    case 'zones':
      return plan.zones.findLast((z) => contains(z.outline, p))?.degrees ?? plan.degrees;
  }
}
