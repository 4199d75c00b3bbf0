import type { FieldInput, PressField } from '@/core/field';
import { bedOf, CAUL_MODULUS, COMMON_BOARD_MM, PLATEN_MODULUS, PLATEN_POISSON, type Bed } from '@/core/stack';
import { boundingBox, intersectionOf, rotate, type Point, type Polygon } from '@/core/geometry';
import { caulUnder } from '@/core/press';
import type { Face } from '@/records';
import { type PressPlan } from '@/core/job';
import { useComputed } from '../shared/useComputed';

/** Cells across the shorter side of the platen. */
const CELLS = 26;
const LIVE_CELLS = 9;

/** What is worked out, and how its places lie on the face. */
export type FieldFrame = {
  input: FieldInput;
  bed: Bed;
  originMm: Point;
  directionDeg: number;
  /** The whole face in the same frame. */
  face: Polygon;
};

/**
 * The platen as it lies on the face, with its cauls and clamps, in a frame of its own: along and across the cauls.
 *
 * @param live something is being dragged: a coarse grid, so that the map follows the finger
 */
export function fieldFrame(
  plan: PressPlan,
  face: Face,
  faceOutline: Polygon,
  live = false,
): FieldFrame | undefined {
  const { layout, targetKPa, platenMm, placed } = plan;
  const turn = (p: Point): Point => rotate(p, -layout.directionDeg);
  const rests = intersectionOf([layout.platen.map(turn)], [faceOutline.map(turn)]).flat();
  if (rests.length < 3) return undefined;
  const box = boundingBox(rests);
  const [widthMm, heightMm] = [box.right - box.left, box.bottom - box.top];
  if (widthMm < 20 || heightMm < 20) return undefined;
  const inFrame = (p: Point): Point => {
    const [x, y] = turn(p);
    return [x - box.left, y - box.top];
  };
  const inside = (p: Point): Point => {
    const [x, y] = inFrame(p);
    return [Math.min(widthMm, Math.max(0, x)), Math.min(heightMm, Math.max(0, y))];
  };
  const bed = bedOf(face.species, face.boardMm ?? COMMON_BOARD_MM.value);
  const cauls = placed.cauls.map((c) => ({
    from: inFrame(c.from),
    to: inFrame(c.to),
    widthMm: c.widthMm,
    heightMm: c.heightMm,
    modulusMPa: CAUL_MODULUS.value,
    camberMm: c.camberMm,
  }));
  const clamps = placed.clamps.map(({ at, forceN }) => {
    const on = caulUnder(placed.cauls, at);
    return on >= 0 ? { at: inFrame(at), forceN, caul: on } : { at: inside(at), forceN };
  });
  const side = Math.min(widthMm, heightMm);
  return {
    bed,
    originMm: [box.left, box.top],
    directionDeg: layout.directionDeg,
    face: faceOutline.map(inFrame),
    input: {
      panel: { widthMm, heightMm },
      platen: { thicknessMm: platenMm, modulusMPa: PLATEN_MODULUS.value, poisson: PLATEN_POISSON.value },
      foundation: { stiffnessMPaPerMm: bed.stiffnessMPaPerMm },
      cauls,
      clamps,
      overhang: true,
      gridMm: live ? Math.min(40, side / LIVE_CELLS) : Math.min(10, Math.max(2, side / CELLS)),
      target: { leastKPa: targetKPa, mostKPa: Math.max(targetKPa, bed.crushingKPa) },
      region: plan.outline.map(inFrame),
    },
  };
}

/** A place of the platen's frame on the face. */
export const onFace = ({ originMm, directionDeg }: FieldFrame, [x, y]: Point): Point =>
  rotate([x + originMm[0], y + originMm[1]], directionDeg);

/** The pressure under the platen, worked out in the worker whenever the layout changes. */
export function useField(frame: FieldFrame | undefined): { field?: PressField; problem?: string } {
  const { data, error } = useComputed('press.field', frame?.input);
  return { ...(data ? { field: data } : {}), ...(error ? { problem: error.message } : {}) };
}
