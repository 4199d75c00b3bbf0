import type { MaterialId } from './materials';
import { methodById, type MethodId } from './methods';

const SEEN_WOOD: readonly MaterialId[] = ['veneer', 'solidWood'];

/** Whether a method leaves new wood to be seen in the face, which is then coloured to its neighbours. */
export function bringsWood(method: MethodId): boolean {
  const { family, needs } = methodById(method);
  if (family === 'patch') return true;
  // What is let into a core lies under the veneer; a dowel in a joint is not seen, one in a hole is.
  const seen: readonly MaterialId[] = family === 'letIn' ? [...SEEN_WOOD, 'dowels'] : SEEN_WOOD;
  return family !== 'core' && needs.some((m) => seen.includes(m));
}

/** Whether a method colours what is there, without new wood. */
export const tonesIn = (method: MethodId): boolean => methodById(method).needs.includes('toner');

/** Fills that are matched in colour as they go in. */
const COLOURED_FILLS: readonly MaterialId[] = [
  'burnInSticks',
  'hardWax',
  'softWax',
  'colourPutty',
  'bareFiller',
  'pigments',
];

/** Whether a method puts in something whose colour is mixed first. */
export const fillsInColour = (method: MethodId): boolean =>
  methodById(method).needs.some((m) => COLOURED_FILLS.includes(m));

/** Whether a repair has something to colour. */
export const takesColour = (method: MethodId): boolean => bringsWood(method) || tonesIn(method);
