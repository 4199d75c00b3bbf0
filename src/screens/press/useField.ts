import useSWR from 'swr';
import { bedOf, CAUL_MODULUS, COMMON_BOARD_MM, PLATEN_MODULUS, PLATEN_POISSON, type Bed, type FieldInput, type PressField } from '@/core/field'; // prettier-ignore
import { boundingBox, intersectionOf, rotate, type Point, type Polygon } from '@/core/geometry';
import type { Face } from '@/records';
import { computeInWorker } from '@/worker';
import type { PressPlan } from '../shared/derive';

/** Cells across the shorter side of the platen. */
const CELLS = 26;

/** What is worked out, and how its places lie on the face. */
export type FieldFrame = { input: FieldInput; bed: Bed; originMm: Point; directionDeg: number };

/** The platen as it lies on the face, with its cauls and clamps, in a frame of its own: along and across the cauls. */
export function fieldFrame(
  plan: PressPlan,
  face: Face,
  faceOutline: Polygon,
  cambersMm: number,
): FieldFrame | undefined {
  const { layout, clamp, targetKPa, platenMm, caul } = plan;
  const turn = (p: Point): Point => rotate(p, -layout.directionDeg);
  const rests = intersectionOf([layout.platen.map(turn)], [faceOutline.map(turn)]).flat();
  if (rests.length < 3) return undefined;
  const box = boundingBox(rests);
  const [widthMm, heightMm] = [box.right - box.left, box.bottom - box.top];
  if (widthMm < 20 || heightMm < 20) return undefined;
  const inside = (p: Point): Point => {
    const [x, y] = turn(p);
    return [Math.min(widthMm, Math.max(0, x - box.left)), Math.min(heightMm, Math.max(0, y - box.top))];
  };
  const bed = bedOf(face.species, face.boardMm ?? COMMON_BOARD_MM);
  const cauls = layout.cauls.map((c) => ({
    from: inside(c.from),
    to: inside(c.to),
    widthMm: caul.widthMm,
    heightMm: caul.heightMm,
    modulusMPa: CAUL_MODULUS.value,
    camberMm: cambersMm,
  }));
  const clamps = layout.clamps.map((p) => {
    const at = inside(p);
    // A clamp stands on the caul whose line it lies on.
    const on = cauls.findIndex((c) => Math.abs(c.from[1] - at[1]) < caul.widthMm / 2);
    return { at, forceN: clamp.forceN.value, ...(on >= 0 ? { caul: on } : {}) };
  });
  return {
    bed,
    originMm: [box.left, box.top],
    directionDeg: layout.directionDeg,
    input: {
      panel: { widthMm, heightMm },
      platen: { thicknessMm: platenMm, modulusMPa: PLATEN_MODULUS.value, poisson: PLATEN_POISSON },
      foundation: { stiffnessMPaPerMm: bed.stiffnessMPaPerMm },
      cauls,
      clamps,
      gridMm: Math.min(10, Math.max(2, Math.min(widthMm, heightMm) / CELLS)),
      target: { leastKPa: targetKPa, mostKPa: Math.max(targetKPa, bed.crushingKPa) },
      region: plan.outline.map((p): Point => {
        const [x, y] = turn(p);
        return [x - box.left, y - box.top];
      }),
    },
  };
}

/** The pressure under the platen, worked out in the worker whenever the layout changes. */
export function useField(frame: FieldFrame | undefined): { field?: PressField; problem?: string } {
  const { data, error } = useSWR<PressField, Error>(
    frame ? ['press.field', JSON.stringify(frame.input)] : null,
    async () => (await computeInWorker('press.field', frame?.input)) as PressField,
    { keepPreviousData: true, shouldRetryOnError: false },
  );
  return { ...(data ? { field: data } : {}), ...(error ? { problem: error.message } : {}) };
}
