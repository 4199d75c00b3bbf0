import type { Lab } from '../colour';
import type { EvenInput, Fit } from '../pigment';
import { coatsOf, type OnShelf } from './plans';

/** More thin coats on one part are a film that is seen. */
const MOST_ON_A_PART = 5;

/** What `colour.even` is asked; nothing with fewer than two parts, or nothing on the shelf to put on. @param within ΔE00 */
export function evenInput(
  parts: readonly { id: string; lab: Lab }[],
  shelf: readonly OnShelf[],
  fit: Fit | undefined,
  within: number,
): EvenInput | undefined {
  const products = coatsOf(shelf, fit).filter((p) => p.kind !== 'clear');
  if (parts.length < 2 || products.length === 0) return undefined;
  return { parts: parts.map(({ id, lab }) => ({ id, lab })), products, mostCoats: MOST_ON_A_PART, within };
}
