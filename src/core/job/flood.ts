import { runInMm, thinnedMPas, waterBroughtIn } from '../glueup';
import { memory, sourced } from '../sources';
import type { PressPlan } from './press';

/** A piece is tilted about so far on its bench before anything is said. */
export const HAND_TILT_DEG = sourced(30, memory('a block under one side of a piece'));
/** Beyond this nobody asks. mm. */
const FAR_MM = 1000;

/** How far one mix runs while the glue is open. */
type MixRun = { name: string; runsMm: number; reaches: boolean; /** It would run on. */ beyond: boolean };

/**
 * How far the flooded mixes run into an opening in their open time, and what their water does; the opening is taken at half its
 * height at the mouth, for it is a wedge.
 *
 * @param openingMm at the mouth
 * @param depthMm from the mouth to where the veneer holds
 * @throws RangeError for a glue whose flow is not known, and sizes out of range
 */
export function floodRuns(
  { mixes = [], adhesive, times, areaMm2 }: Pick<PressPlan, 'mixes' | 'adhesive' | 'times' | 'areaMm2'>,
  openingMm: number,
  depthMm: number,
  tiltDeg: number,
  veneerMm: number,
): { mixes: MixRun[]; water?: { ml: number; risesBy: number; driesInMin: number } } {
  const thick = adhesive.viscosityMPas?.value;
  if (thick === undefined)
    throw new RangeError(`How thick ${adhesive.label} is, is not known; enter it with your own glue.`);
  if (!times.ok) throw new RangeError(times.problem);
  const seconds = 60 * times.value.openMin;
  const ml = mixes.reduce((sum, m) => sum + m.waterMl, 0);
  return {
    mixes: mixes.map(({ name, waterParts, glueParts }): MixRun => {
      const viscosityMPas = thinnedMPas(thick, glueParts / (glueParts + waterParts));
      const runsMm = runInMm({ gapMm: openingMm / 2, viscosityMPas, tiltDeg }, seconds, FAR_MM);
      return { name, runsMm, reaches: runsMm >= depthMm, beyond: runsMm >= FAR_MM };
    }),
    ...(ml > 0 ? { water: { ml, ...waterBroughtIn(ml, areaMm2, veneerMm) } } : {}),
  };
}
