import { assertRange } from '../check';
import { memory, sourced, type Sourced } from '../sources';
import { formatLength } from '../units';

/** A sheet of paper glued on both sides: about 0.1 mm of paper and two films of glue. */
export const SHIM_SHEET_MM: Sourced = sourced(
  0.2,
  memory(
    '0.1 mm of paper and 0.05 mm of glue on each side; so two sheets close about 0.4 mm, as common practice has it',
  ),
);
/** What veneers of today and of old mostly measure. mm. */
export const COMMON_VENEERS_MM = {
  newLeast: 0.5,
  newMost: 0.6,
  oldMost: 2,
  source: memory('new commercial veneer is often 0.5 to 0.6 mm, old veneer up to about 2 mm'),
};
/** A sheet of office paper. mm. */
export const PAPER_MM = sourced(0.1, memory('office paper of 80 g/m²'));
/** A patch may stand this much proud; that is levelled away. mm. */
const WANTED_PROUD_MM: Sourced = sourced(0.05, memory('a patch may stand a shaving proud'));
/** A step that a fingernail finds. mm. */
const FOUND_MM: Sourced = sourced(0.1, memory('a fingernail finds a step of about a tenth of a millimetre'));
/** More than three sheets make a soft bed. */
export const MOST_SHIMS: Sourced = sourced(
  3,
  memory('one or two sheets are common practice; a third is taken as the most'),
);

export type ThicknessPlan = {
  sheets: number;
  /** How far the patch stands above the old veneer, mm; negative when it lies below. */
  proudMm: number;
  advice: string;
};

/**
 * How to bring a new veneer to the height of the old.
 *
 * @param oldMm, newMm thicknesses, 0.2…6 mm
 */
export function thicknessPlan(oldMm: number, newMm: number): ThicknessPlan {
  assertRange('The thickness of the old veneer', oldMm, 'mm', 0.2, 6);
  assertRange('The thickness of the new veneer', newMm, 'mm', 0.2, 6);
  const missing = oldMm - newMm;
  const wanted = Math.max(0, Math.ceil((missing + WANTED_PROUD_MM.value) / SHIM_SHEET_MM.value - 0.5));
  const sheets = missing <= 0 ? 0 : Math.min(MOST_SHIMS.value, wanted);
  const proudMm = sheets * SHIM_SHEET_MM.value - missing;
  const words = sheets === 1 ? 'one sheet of paper' : `${sheets} sheets of paper`;
  const advice =
    proudMm < -FOUND_MM.value
      ? `Even ${words} leave the patch ${formatLength(-proudMm, 'mm')} low. Glue two veneers on each other first, or take a thicker one.`
      : sheets > 0
        ? `Shim with ${words}, glued on both sides.`
        : proudMm > WANTED_PROUD_MM.value
          ? `Level the patch by ${formatLength(proudMm, 'mm')} after the glue is hard.`
          : 'The two are of one height.';
  return { sheets, proudMm, advice };
}
