import { assertRange } from '../check';
import { memory, practice, sourced } from '../sources';

/** Each stroke lies over a third of the one before. */
export const OVERLAP = sourced(1 / 3, memory('each path of the hammer overlaps the last by about a third'));
/** How quickly a hammer is worked along, with the zigzag. */
export const HAMMER_PACE = sourced(
  250,
  memory(
    'a hammer works along about 250 mm of its width in a minute, zigzag strokes included; time your own',
  ),
);
/** Warm water on the face, so that the veneer does not curl and the hammer slides. */
export const FACE_WATER = sourced(40, memory('a damp sponge leaves some 40 ml of water on a square metre'));
export const HAMMER_SOURCE = practice(
  'hot hide glue; the face is wetted, glue is pressed out from the middle, and it holds as it gels',
);
const GEL_SHARE = 0.8;

export type HammerPlan = {
  /** Paths along the grain in the order they are worked, from the middle to either side; across the grain from one edge, mm. */
  paths: { centreMm: number; widthMm: number }[];
  /** So long is laid before the glue gels; the veneer is turned back beyond it. */
  sectionMm: number;
  sections: number;
  minutesPerSection: number;
  waterMl: number;
};

/**
 * Hammer veneering: the paths of the hammer, and how much is laid before the glue gels.
 *
 * @param alongMm size along the grain, mm
 * @param gelMin time until the glue gels at the shop's temperature, minutes
 * @throws RangeError for sizes out of range, and when the glue gels before one path is done
 */
export function hammerPlan({
  alongMm,
  acrossMm,
  hammerMm,
  gelMin,
}: {
  alongMm: number;
  acrossMm: number;
  hammerMm: number;
  gelMin: number;
}): HammerPlan {
  assertRange('The length along the grain', alongMm, 'mm', 10, 5000);
  assertRange('The width across the grain', acrossMm, 'mm', 10, 3000);
  assertRange('The edge of the hammer', hammerMm, 'mm', 30, 200);
  assertRange('The time until the glue gels', gelMin, 'min', 0.05, 60);
  const step = hammerMm * (1 - OVERLAP.value);
  const count = acrossMm <= hammerMm ? 1 : Math.ceil((acrossMm - hammerMm) / step) + 1;
  const widthMm = Math.min(hammerMm, acrossMm);
  const spacing = count === 1 ? 0 : (acrossMm - widthMm) / (count - 1);
  const middle = acrossMm / 2;
  const paths = Array.from({ length: count }, (_, i) => ({
    centreMm: widthMm / 2 + i * spacing,
    widthMm,
  })).sort(
    (a, b) => Math.abs(a.centreMm - middle) - Math.abs(b.centreMm - middle) || a.centreMm - b.centreMm,
  );
  const perPathMm = (HAMMER_PACE.value * gelMin * GEL_SHARE) / count;
  if (perPathMm < hammerMm / 2)
    throw new RangeError(
      `The glue gels in ${gelMin.toFixed(1)} min, before ${count} paths are worked over half the hammer’s width. Warm the shop, the ground and the veneer, or add a little urea; or lay narrower leaves.`,
    );
  const sections = Math.max(1, Math.ceil(alongMm / perPathMm));
  const sectionMm = alongMm / sections;
  return {
    paths,
    sectionMm,
    sections,
    minutesPerSection: (count * sectionMm) / HAMMER_PACE.value,
    waterMl: (alongMm * acrossMm * FACE_WATER.value) / 1e6,
  };
}
