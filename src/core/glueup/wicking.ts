import { assertRange } from '../check';
import { derived, memory, published, sourced, type Source } from '../sources';

/** Liquid glue against air, and how it stands on wood. */
export const SURFACE = {
  tensionNPerM: sourced(0.035, memory('organic glues and glue in water lie between 0.03 and 0.05 N/m')),
  contactDeg: sourced(40, memory('glue wets clean wood at 20° to 60°')),
};

export const WICKING_SOURCE: Source = published(
  'Lucas and Washburn, flow into a capillary; between parallel walls',
  'L² = γ cos θ · w · t / 3 μ, with the walls w apart; weight and soaking in left out',
);

/**
 * How deep glue is drawn into a gap by itself. mm.
 *
 * @param gapMm between the walls, 0.005…5 mm
 * @param viscosityMPas of the glue, 0.5…10⁶ mPa·s
 */
export function wickDepthMm(gapMm: number, viscosityMPas: number, seconds: number): number {
  assertRange('The gap', gapMm, 'mm', 0.005, 5);
  assertRange('The viscosity', viscosityMPas, 'mPa·s', 0.5, 1e6);
  assertRange('The time', seconds, 's', 0, 1e6);
  return 1000 * Math.sqrt((drive(gapMm, viscosityMPas) * seconds) / 3);
}

/** Seconds until glue has been drawn so deep into a gap; the other way round than {@link wickDepthMm}. */
export function wickSeconds(gapMm: number, viscosityMPas: number, depthMm: number): number {
  assertRange('The gap', gapMm, 'mm', 0.005, 5);
  assertRange('The depth', depthMm, 'mm', 0, 1000);
  return (3 * (depthMm / 1000) ** 2) / drive(gapMm, viscosityMPas);
}

/** γ cos θ · w / μ in m²/s. */
const drive = (gapMm: number, viscosityMPas: number): number =>
  (SURFACE.tensionNPerM.value * Math.cos((SURFACE.contactDeg.value * Math.PI) / 180) * (gapMm / 1000)) /
  (viscosityMPas / 1000);

/**
 * How deep glue is drawn into a split before it tacks; nought where the split is too wide to draw, or the glue does not flow. mm.
 *
 * @param openMin open time at the shop's temperature
 */
export function drawnInMm(gapMm: number, viscosityMPas: number | undefined, openMin: number): number {
  if (gapMm > WICKS_UP_TO_MM || viscosityMPas === undefined) return 0;
  return wickDepthMm(Math.max(LEAST_GAP_MM, gapMm), viscosityMPas, 60 * openMin);
}

/** No split is closer than this. mm. */
export const LEAST_GAP_MM = 0.02;
export const LEAST_GAP_MM_SOURCE = memory('two fibres’ breadth; no split is closer');
/** Wider than this the pull is weaker than the glue's own weight over a finger's breadth. mm. */
export const WICKS_UP_TO_MM = 0.3;
export const WICKS_UP_TO_MM_SOURCE = derived(
  'capillary pull against the glue’s own weight over a finger’s breadth',
);
