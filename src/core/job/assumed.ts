import { USES, methodById, type MethodId, type Sum } from '../catalogue';
import { boardThickMm, hollowDepthMm } from './glued';
import type { Repair } from './repairs';
import { sumsOf } from './sums';

/** A size that amounts follow from and that nobody has measured, answered or entered. mm */
export type Assumed = { label: string; mm: number };

/** Fields in which a depth may have been entered. */
const DEPTH_FIELDS = ['fill.deep', 'hollow.depth', 'plug.depth', 'dutch.depth'];
/** Sums that reckon with how thick the board is. */
const BY_BOARD: readonly Sum[] = ['close', 'plug', 'dutchman', 'sliver'];

/** What a method's worksheet takes for granted of a repair: the amounts and steps beside it are as sure as this. */
export function assumedOf(repair: Repair, method: MethodId): Assumed[] {
  const { damage, face } = repair;
  const { answers, figures = {} } = damage.body;
  const { needs } = methodById(method);
  const sums = sumsOf(method);
  const isEntered = (key: string): boolean => typeof figures[key] === 'number';
  const byDepth = sums.some((s) => s === 'fill' || s === 'dutchman' || s === 'plug') || needs.some((m) => USES[m].by === 'volume'); // prettier-ignore
  // Where veneer is gone its own thickness is the depth.
  const isVeneer = face !== undefined && face.body.build !== 'solid' && face.body.veneerMm > 0;
  const byBoard = sums.some((s) => BY_BOARD.includes(s)) || needs.includes('dowels');
  return [
    ...(byDepth && !isVeneer && answers.depthMm === undefined && !DEPTH_FIELDS.some(isEntered)
      ? [{ label: 'depth', mm: hollowDepthMm(damage.body, face?.body) }]
      : []),
    ...(byBoard && face?.body.boardMm === undefined && !isEntered('close.thick')
      ? [{ label: 'thickness of the board', mm: boardThickMm(face?.body) }]
      : []),
  ];
}

/** “depth 3 mm, thickness of the board 18 mm”. */
export const assumedWords = (assumed: readonly Assumed[]): string =>
  assumed.map((a) => `${a.label} ${a.mm} mm`).join(', ');
