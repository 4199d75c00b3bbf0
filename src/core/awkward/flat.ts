import { assertRange } from '../check';
import { memory, published, sourced } from '../sources';

export const CUP_SOURCE = published(
  'any table of beams',
  'a bar on two supports with a load in the middle, F = 48 E I w / L³',
);
/** Across the grain wood splits at some 0.5 %; half of that is taken as safe. */
export const SAFE_STRAIN = sourced(
  0.0025,
  memory('wood across the grain splits at about 0.5 %; half is taken as safe'),
);
/** Bars lie so close that the board does not bulge between them. */
export const BAR_EVERY_MM = sourced(200, memory('a bar across every hand’s breadth or two'));

export type Cup = {
  bars: number;
  /** Force in the middle of each bar. */
  forceN: number;
  /** How much the outer fibres are stretched when it lies flat. */
  strain: number;
  verdict: 'flatten' | 'dampen' | 'leave';
};

/**
 * Drawing a cupped board flat with bars across before the long clamps go on.
 *
 * @param cupMm height of the hollow over the width
 * @param acrossMPa stiffness across the grain
 */
export function flattenCup({
  lengthMm,
  widthMm,
  thicknessMm,
  cupMm,
  acrossMPa,
}: {
  lengthMm: number;
  widthMm: number;
  thicknessMm: number;
  cupMm: number;
  acrossMPa: number;
}): Cup {
  assertRange('The length of the board', lengthMm, 'mm', 20, 5000);
  assertRange('The width of the board', widthMm, 'mm', 20, 2000);
  assertRange('The thickness of the board', thicknessMm, 'mm', 2, 100);
  assertRange('The hollow', cupMm, 'mm', 0, widthMm / 4);
  assertRange('The stiffness across the grain', acrossMPa, 'MPa', 50, 5000);
  const bars = Math.max(2, Math.ceil(lengthMm / BAR_EVERY_MM.value));
  const inertia = ((lengthMm / bars) * thicknessMm ** 3) / 12;
  // The curve of the cup is near a circle's: curvature 8 c / b², and the outer fibre lies half a thickness out.
  const strain = (4 * thicknessMm * cupMm) / widthMm ** 2;
  return {
    bars,
    forceN: (48 * acrossMPa * inertia * cupMm) / widthMm ** 3,
    strain,
    verdict: strain <= SAFE_STRAIN.value ? 'flatten' : strain <= 2 * SAFE_STRAIN.value ? 'dampen' : 'leave',
  };
}

/** A prop neither buckles nor is crushed under three times its load. */
const PROP_SAFETY = sourced(3, memory('three times the load, as for other things that people stand beside'));
/** Softwood along the grain. MPa. */
const PROP_MPA = sourced(9000, memory('stiffness along the grain of common softwood'));
/** What softwood bears along the grain before it is crushed. MPa. */
const PROP_CRUSHING_MPA = sourced(
  35,
  published(
    'Wood Handbook (Forest Products Laboratory)',
    'compression parallel to the grain, softwoods at 12 % moisture, about 35 MPa; written down from memory',
  ),
);
/** Two slim wedges under each prop take up what is left. mm. */
export const WEDGE_ROOM_MM = sourced(6, memory('two slim wedges of three millimetres each'));
export const PROP_SOURCE = published(
  'Euler, a column with hinged ends, and crushing along the grain (Wood Handbook)',
  'the greater of F = π² E I / L² and A = F / σ, three times the load, softwood at 35 MPa',
);

/**
 * A case side that stays assembled: a platen outside, another inside, and props from it to the opposite side.
 *
 * @param insideMm clear width between the two sides
 * @param forceN that each prop takes: what its clamp gives
 * @returns length and side of a square stick: the greater of what does not buckle and what is not crushed
 */
export function caseProps({
  insideMm,
  platenMm,
  forceN,
}: {
  insideMm: number;
  platenMm: number;
  forceN: number;
}): { propMm: number; sectionMm: number } {
  assertRange('The clear width of the case', insideMm, 'mm', 50, 3000);
  assertRange('The thickness of the platen', platenMm, 'mm', 3, 100);
  assertRange('The force', forceN, 'N', 1, 50_000);
  const propMm = insideMm - 2 * platenMm - WEDGE_ROOM_MM.value;
  if (propMm < 10)
    throw new RangeError(
      `Between two platens of ${platenMm} mm there is no room for a prop in ${insideMm} mm. Take thinner platens, or one block that fills the case.`,
    );
  const load = PROP_SAFETY.value * forceN;
  const inertia = (load * propMm ** 2) / (Math.PI ** 2 * PROP_MPA.value);
  const area = load / PROP_CRUSHING_MPA.value;
  return { propMm, sectionMm: Math.max((12 * inertia) ** 0.25, Math.sqrt(area)) };
}
