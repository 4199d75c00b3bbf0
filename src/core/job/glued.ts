import { memory, sourced } from '../sources';
import { COMMON_BOARD_MM } from '../stack';
import type { Surveyed } from './survey';
import type { Damage, Face } from './types';

/** Taken for a hollow in solid wood whose depth nobody has measured. mm. */
export const COMMON_HOLLOW_MM = sourced(3, memory('gouges are mostly some millimetres deep; measure yours'));

export const boardThickMm = (face: Face | undefined): number => face?.boardMm ?? COMMON_BOARD_MM.value;

/** How deep a hollow is: as measured, else the veneer that is gone, else a common depth. */
export const hollowDepthMm = (damage: Damage, face: Face | undefined): number =>
  damage.answers.depthMm ??
  (face && face.build !== 'solid' && face.veneerMm > 0 ? face.veneerMm : COMMON_HOLLOW_MM.value);

/** Both sides of what is glued without a press: a crack through its depth, or floor and underside of what is let in. mm². */
export function gluedAreaMm2(survey: Surveyed, damage: Damage, face: Face | undefined): number {
  const { lengthMm, gapMm, measures } = survey;
  const boardMm = boardThickMm(face);
  const side =
    lengthMm !== undefined && gapMm !== undefined
      ? lengthMm * Math.min(boardMm, damage.answers.depthMm ?? boardMm)
      : measures.areaMm2;
  return 2 * side;
}
