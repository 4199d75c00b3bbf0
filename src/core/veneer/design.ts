import Joi from 'joi';
import type { Point, Polygon } from '../geometry';
import { attempt, breathe, type JobContext } from '../check';
import { ownPatch, patchOutline, PATCH_DEFAULTS, type Patch, type PatchShape } from './patch';
import { seamCost, type SeamCost } from './seam';

export type DesignInput = {
  damage: Polygon;
  face: Polygon;
  grainDeg: number;
  marginMm: number;
  overhangMm: number;
  underPaint: boolean;
  /** An outline along lines of the figure, and how much of each stretch lies on one: from its photo. */
  traced?: { outline: Polygon; onLine: readonly number[] };
};

export type Design = SeamCost & { shape: PatchShape | 'traced'; slantDeg?: number; patch: Patch };

const outline = Joi.array().items(Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2)).min(3).max(500); // prettier-ignore
/** Input of `veneer.outline`: `{damage, face: [[xMm, yMm]…], grainDeg, marginMm?, overhangMm?, underPaint, traced?: {outline, onLine}}`. */
export const designSchema = Joi.object({
  damage: outline.required(),
  face: outline.required(),
  grainDeg: Joi.number().min(-360).max(360).required(),
  marginMm: Joi.number().min(0).max(20).default(PATCH_DEFAULTS.marginMm.value),
  overhangMm: Joi.number().min(0).max(30).default(PATCH_DEFAULTS.overhangMm.value),
  underPaint: Joi.boolean().required(),
  traced: Joi.object({
    outline: outline.required(),
    onLine: Joi.array().items(Joi.number().min(0).max(1)).max(500).required(),
  }),
});

const SHAPES: readonly PatchShape[] = ['lozenge', 'boat', 'kite', 'trapezoid', 'corner'];
const SLANTS_DEG = [20, 25, 30, 35, 40, 45, 50, 55, 60];
const SHOWN = 3;

/**
 * Registry `veneer.outline`: outlines of a patch, the least seen first, of different shapes; every slant of each shape is tried. Square ends
 * are only among them under paint.
 *
 * @throws RangeError when no patch can be drawn
 */
export async function designPatch(input: DesignInput, job: JobContext = {}): Promise<{ ranked: Design[] }> {
  const { damage, face, grainDeg, marginMm, overhangMm, underPaint, traced } = input;
  const cost = (patch: Patch, onLine?: (from: Point, to: Point) => number): SeamCost =>
    seamCost(patch, damage, face, grainDeg, underPaint, onLine);
  const best = (shape: PatchShape): Design[] => {
    const tried = (shape === 'square' ? [45] : SLANTS_DEG).flatMap((slantDeg): Design[] => {
      const patch = attempt(() =>
        patchOutline({ damage, face, grainDeg, shape, marginMm, overhangMm, slantDeg }),
      );
      return patch.ok ? [{ shape, slantDeg, patch: patch.value, ...cost(patch.value) }] : [];
    });
    return tried.sort((a, b) => a.cost - b.cost).slice(0, 1);
  };
  const along = traced && attempt(() => ownPatch(traced.outline, face, grainDeg));
  const shapes: PatchShape[] = [...SHAPES, ...(underPaint ? (['square'] as const) : [])];
  const shaped: Design[] = [];
  for (const [i, shape] of shapes.entries()) {
    await breathe(job, i / shapes.length);
    shaped.push(...best(shape));
  }
  const designs = [
    ...shaped,
    ...(traced && along?.ok
      ? [{ shape: 'traced' as const, patch: along.value, ...cost(along.value, onTraced(traced)) }]
      : []),
  ].sort((a, b) => a.cost - b.cost);
  if (designs.length === 0) patchOutline({ damage, face, grainDeg, shape: 'lozenge', marginMm, overhangMm, slantDeg: PATCH_DEFAULTS.slantDeg.value }); // prettier-ignore
  return { ranked: distinct(designs).slice(0, SHOWN) };
}

/** A shape that comes out as another one's outline, at an edge or for a small loss, is not shown twice. */
const distinct = (designs: readonly Design[]): Design[] =>
  designs.filter(
    (d, i) => !designs.slice(0, i).some((e) => Math.abs(e.cost - d.cost) < 0.01 && Math.abs(e.patch.areaMm2 - d.patch.areaMm2) < 0.01),
  ); // prettier-ignore

const SAME_MM = 1e-3;
/** How much of a side of the recess lies on a line: that of the stretch it came from. */
const onTraced =
  ({ outline: points, onLine }: NonNullable<DesignInput['traced']>) =>
  (from: Point, to: Point): number => {
    const at = (p: Point): number => points.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < SAME_MM);
    const [i, j] = [at(from), at(to)];
    if (i < 0 || j < 0) return 0;
    // The recess may run the other way round.
    return onLine[(i + 1) % points.length === j ? i : j] ?? 0;
  };
