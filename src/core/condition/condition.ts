import { kindInfo, type DamageKind, type Gravity } from '../damage';
import { memory, practice, type Source } from '../sources';

/** One damage as the summary sees it. */
export type Counted = { id: string; kind: DamageKind; areaMm2: number; show: boolean };

/** Points a damage costs by its gravity on a show face; half of it on a hidden one. */
export const GRAVITY_POINTS: Record<Gravity, number> = { 1: 2, 2: 4, 3: 8 };
export const GRAVITY_POINTS_SOURCE: Source = memory('our own measure, not a standard');
export const AREA_POINTS_SOURCE: Source = GRAVITY_POINTS_SOURCE;
/** Points that a wholly damaged face costs beyond its count. */
export const AREA_POINTS = 40;
export const CONDITION_SOURCE: Source = practice(
  'what gets worse by itself weighs more than what is only seen; the points are our own measure, not a standard',
);
export const CONDITION_FORMULA = `Score = 100 less the sum of points, less ${AREA_POINTS} × damaged share. Points: ${GRAVITY_POINTS[1]} for a damage that is only seen, ${GRAVITY_POINTS[2]} for one that is felt or weakens, ${GRAVITY_POINTS[3]} for one that gets worse by itself; half of that on a hidden face. Never below 0.`;

export type Condition = {
  /** 0…100; 100 is without damage. */
  score: number;
  count: number;
  byKind: { kind: DamageKind; count: number }[];
  damagedMm2: number;
  /** Share of the area that is damaged, 0…1. */
  share: number;
  /** Numbers of damages by gravity, the gravest first. */
  byGravity: Record<Gravity, number>;
  /** The gravest first; of equals the larger. */
  worst: (Counted & { points: number })[];
};

export const pointsOf = ({ kind, show }: Counted): number =>
  GRAVITY_POINTS[kindInfo(kind).gravity] * (show ? 1 : 0.5);

/**
 * Condition of a face or of a whole piece.
 *
 * @param faceMm2 area of all faces looked at, mm²; 0 when none is to scale, and the area then does not count
 */
export function conditionOf(damages: readonly Counted[], faceMm2: number): Condition {
  const worst = damages
    .map((d) => ({ ...d, points: pointsOf(d) }))
    .sort((a, b) => b.points - a.points || b.areaMm2 - a.areaMm2);
  const damagedMm2 = damages.reduce((s, d) => s + d.areaMm2, 0);
  const share = faceMm2 > 0 ? Math.min(1, damagedMm2 / faceMm2) : 0;
  const counts = new Map<DamageKind, number>();
  for (const d of damages) counts.set(d.kind, (counts.get(d.kind) ?? 0) + 1);
  const byGravity: Record<Gravity, number> = { 1: 0, 2: 0, 3: 0 };
  for (const d of damages) byGravity[kindInfo(d.kind).gravity]++;
  const cost = worst.reduce((s, d) => s + d.points, 0) + AREA_POINTS * share;
  return {
    score: Math.max(0, Math.round(100 - cost)),
    count: damages.length,
    byKind: [...counts].map(([kind, count]) => ({ kind, count })).sort((a, b) => b.count - a.count),
    damagedMm2,
    share,
    byGravity,
    worst,
  };
}
