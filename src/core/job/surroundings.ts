import { type Result } from '../check';
import type { Polygon } from '../geometry';
import { outlineMm, surveyed, type Board } from './survey';
import type { Damage, Face } from './types';

export type Surroundings = {
  board: Board;
  outline: Polygon;
  /** The other damages of the face, which are no sound wood. */
  others: Polygon[];
};

/** What the colour of the sound wood around a damage is read from: places on its face in mm, whatever their marks. */
export function surroundingsOf(
  damage: Damage,
  face: Face | undefined,
  others: readonly Damage[],
): Result<Surroundings> {
  const survey = surveyed(damage, face);
  if (!survey.ok) return survey;
  const { board, outline } = survey.value;
  const covered = others.map((d) => outlineMm(d, board)).filter((o) => o.length >= 3);
  return { ok: true, value: { board, outline, others: covered } };
}
