import type { Lab } from '../colour';
import { chanceAbove, SEEN, SPREAD, spreadBefore } from '../pigment';

/** A predicted difference with how sure it is, and the chance that it is seen. */
export type Outlook = {
  /** ΔE00. */
  difference: number;
  /** Half the width of the range that holds two times out of three. ΔE00 */
  spread: number;
  /** 0…1. */
  atArmsLength: number;
  standing: number;
};

const of = (difference: number, sd: number): Outlook => ({
  difference,
  spread: sd,
  atArmsLength: chanceAbove(difference, sd, SEEN.armsLength.value),
  standing: chanceAbove(difference, sd, SEEN.standing.value),
});

/**
 * Before any board: what photo, swatch and the model leave open.
 *
 * @param change ΔE00 by which the colour is changed to get there
 */
export const outlookBefore = (difference: number, change: number): Outlook =>
  of(difference, spreadBefore(change));

/** After what boards have taught: the spread of the prediction with that of the goal's own photo. */
export const outlookLearned = (difference: number, sd: Lab): Outlook =>
  of(difference, Math.hypot(SPREAD.photo.value, Math.sqrt((sd[0] ** 2 + sd[1] ** 2 + sd[2] ** 2) / 3)));

/** The same with something more that is not known. @param sd ΔE00, one standard deviation */
export const moreSpread = (outlook: Outlook | undefined, sd: number): Outlook | undefined =>
  outlook && of(outlook.difference, Math.hypot(outlook.spread, sd));

const inTen = (chance: number): string =>
  chance < 0.05
    ? 'hardly ever'
    : chance > 0.95
      ? 'nearly always'
      : `about ${Math.round(chance * 10)} times in 10`;

/** “Seen at arm’s length about 7 times in 10, standing about 2 times in 10.” */
export const outlookWords = ({ atArmsLength, standing }: Outlook): string =>
  `Seen at arm’s length ${inTen(atArmsLength)}, standing ${inTen(standing)}.`;

/** Whether it is seen from standing height more often than not. */
export const seenStanding = ({ standing }: Outlook): boolean => standing > 0.5;

/** “2.1 ± 1.8”: never bare, since a colour is never known to the last digit. */
export const differenceWords = ({ difference, spread }: Outlook): string =>
  `${difference.toFixed(1)} ± ${spread.toFixed(1)}`;

/** How far off it is expected, what is not known counted in. ΔE00 */
const expectedMiss = ({ difference, spread }: Outlook): number => Math.hypot(difference, spread);

/** What another way is worth beside the one proposed: nearer in the middle can be less sure. */
export const besideWords = (before: Outlook, after: Outlook): string =>
  expectedMiss(after) <= expectedMiss(before)
    ? 'It is the better bet of the two.'
    : 'It aims nearer but is less sure, since more goes on: make a test board of both.';

/** Whether to stop, go on, or make a board first. */
export function stopWords({ difference, spread, standing }: Outlook): string {
  if (difference <= spread && spread > SEEN.standing.value)
    return 'What is left is within what the prediction may be off: make a test board before you trust it.';
  if (standing < 0.3) return 'Stop here: more colour gains nothing that is seen from standing height.';
  return 'Likely to be seen from standing height still: look at the other ways, or put another product on the shelf.';
}
