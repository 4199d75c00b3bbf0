import { deltaE00, type Lab } from '../colour';
import {
  coatedOnce,
  readyCoat,
  seenOf,
  type Coat,
  type CoatsResult,
  type CoatStep,
  type Ground,
} from './coats';
import { labOf, spectrumOf } from './spectrum';

/** A product with the number of thin coats of it that a hand wants. */
export type WantedCoats = { coat: Coat; coats: number };

/** A place before anything is put on it. */
export const bareGround = (start: Lab): Ground => ({ spectrum: spectrumOf(start), wetting: 0 });

/** What coats laid by hand give, in the order given, with no rule that forbids any; a row of 0 coats leaves the place as it is. */
export function laidByHand(start: Lab, goal: Lab, wanted: readonly WantedCoats[]): CoatsResult {
  let now = bareGround(start);
  const steps = wanted.flatMap(({ coat, coats }): CoatStep[] => {
    const ready = readyCoat(coat);
    const each = Array.from({ length: coats }, () => {
      now = coatedOnce(now, ready);
      const lab = seenOf(now);
      return { lab, deltaE00: deltaE00(lab, goal) };
    });
    const last = each[each.length - 1];
    return last ? [{ id: coat.id, coats, ...last, each }] : [];
  });
  const final = seenOf(now);
  return { steps, final, deltaE00: deltaE00(final, goal), notes: [] };
}

/** How far off the goal coats laid by hand are expected under a lamp, as far as smooth spectra tell. ΔE00 */
export function offUnderLamp(start: Lab, goal: Lab, wanted: readonly WantedCoats[]): number {
  const laid = wanted
    .flatMap(({ coat, coats }) => Array.from({ length: coats }, () => readyCoat(coat)))
    .reduce(coatedOnce, bareGround(start));
  return deltaE00(seenOf(laid, 'lamp'), labOf(spectrumOf(goal), 'lamp'));
}

/** What the place looks like in the end with 0, 1, 2 … coats of one product, the others as they are. @param most coats of it */
export function sweepOf(
  start: Lab,
  goal: Lab,
  wanted: readonly WantedCoats[],
  id: string,
  most: number,
): { coats: number; lab: Lab; deltaE00: number }[] {
  return Array.from({ length: most + 1 }, (_, coats) => {
    const { final, deltaE00: left } = laidByHand(
      start,
      goal,
      wanted.map((w) => (w.coat.id === id ? { ...w, coats } : w)),
    );
    return { coats, lab: final, deltaE00: left };
  });
}
