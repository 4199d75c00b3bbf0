import { memory, sourced, type Sourced } from '../sources';

export type ClampId = 'fStyle' | 'cClamp' | 'deepC' | 'spring' | 'goBar';

export type ClampKind = {
  id: ClampId;
  label: string;
  /** Force of a firm turn by hand, and of a spring or a bent bar. N. */
  forceN: Sourced;
  /** How far in from the edge it reaches. mm. */
  reachMm: Sourced;
  /** Side or diameter of the pad. mm. */
  padMm: Sourced;
};

const typical = (what: string) => memory(`${what} of a usual shop clamp of this kind; measure yours`);
const kind = (id: ClampId, label: string, forceN: number, reachMm: number, padMm: number): ClampKind => ({
  id,
  label,
  forceN: sourced(forceN, typical('force by hand')),
  reachMm: sourced(reachMm, typical('reach')),
  padMm: sourced(padMm, typical('pad')),
});

export const CLAMPS: readonly ClampKind[] = [
  kind('fStyle', 'F-style clamp', 2000, 100, 30),
  kind('cClamp', 'C-clamp', 3000, 65, 25),
  kind('deepC', 'Deep C-clamp', 2500, 200, 30),
  kind('spring', 'Spring clamp', 150, 50, 25),
  kind('goBar', 'Go-bar from above', 120, 2000, 20),
];

/** @throws RangeError for a clamp that is not in the table */
export function clampById(id: string): ClampKind {
  const found = CLAMPS.find((c) => c.id === id);
  if (!found) throw new RangeError(`There is no clamp “${id}” in the table.`);
  return found;
}
