import { memory, sourced, type Sourced } from '../sources';

export type ClampId = 'fStyle' | 'cClamp' | 'deepC' | 'pipe' | 'handScrew' | 'spring' | 'goBar' | 'weight' | 'edge' | 'band' | 'vacuum' | 'hammer'; // prettier-ignore

export type ClampKind = {
  id: ClampId;
  label: string;
  /** A point on a platen; a push on an edge; a ring round it; even over all; a tool drawn over the veneer. */
  acts: 'point' | 'edge' | 'ring' | 'bag' | 'stroke';
  /** Force of a firm turn by hand, of a spring, a bent bar or a weight; of a band its pull. N; a bag's is kPa × area. */
  forceN: Sourced;
  /** The most it bears or gives with all one's strength. N. */
  mostForceN: Sourced;
  /** How far in from the edge it reaches. mm. */
  reachMm: Sourced;
  /** How thick a stack it takes between its jaws. mm. */
  openingMm: Sourced;
  /** Side or diameter of the pad. mm. */
  padMm: Sourced;
  /** Diameter of its screw, where it has one. mm. */
  screwMm?: Sourced;
};

const typical = (what: string) => memory(`${what} of a usual shop clamp of this kind; measure yours`);

type Row = [ClampId, string, ClampKind['acts'], number, number, number, number, number, number?];

/** Firm force N, greatest force N, reach mm, opening mm, pad mm, screw mm. */
// prettier-ignore
const TABLE: readonly Row[] = [
  ['fStyle', 'F-style clamp', 'point', 2000, 5000, 100, 300, 30, 12],
  ['cClamp', 'C-clamp', 'point', 3000, 8000, 65, 100, 25, 14],
  ['deepC', 'Deep C-clamp', 'point', 2500, 6000, 200, 150, 30, 14],
  ['pipe', 'Pipe or bar clamp', 'point', 3500, 7000, 45, 1200, 45, 16],
  ['handScrew', 'Hand-screw', 'point', 1800, 4000, 150, 150, 50, 12],
  ['spring', 'Spring clamp', 'point', 150, 150, 50, 50, 25],
  ['goBar', 'Go-bar from above', 'point', 120, 200, 2000, 1500, 20],
  ['weight', 'Weight of 10 kg', 'point', 98, 98, 5000, 5000, 120],
  ['edge', 'Edge clamp', 'edge', 1000, 2000, 20, 60, 30, 10],
  ['band', 'Band clamp', 'ring', 1000, 2500, 20, 4000, 25],
  ['vacuum', 'Vacuum bag', 'bag', 80, 95, 5000, 300, 10],
  ['hammer', 'Veneer hammer', 'stroke', 150, 250, 5000, 5000, 90],
];

export const CLAMPS: readonly ClampKind[] = TABLE.map(
  ([id, label, acts, force, most, reach, opening, pad, screw]) => ({
    id,
    label,
    acts,
    forceN: sourced(force, typical('force by hand')),
    mostForceN: sourced(most, typical('greatest force')),
    reachMm: sourced(reach, typical('reach')),
    openingMm: sourced(opening, typical('opening')),
    padMm: sourced(pad, typical('pad')),
    ...(screw === undefined ? {} : { screwMm: sourced(screw, typical('screw')) }),
  }),
);

/** What stands on a work and presses down on it, and has no second jaw. */
const FROM_ABOVE: readonly ClampId[] = ['goBar', 'weight'];

/** Whether it pulls two boards together across a joint. */
export const drawsTogether = ({ id, acts }: ClampKind): boolean =>
  acts === 'point' && !FROM_ABOVE.includes(id);

/** What may stand on a platen or caul. */
export const POINT_CLAMPS = CLAMPS.filter((c) => c.acts === 'point');

/** @throws RangeError for a clamp that is not in the table */
export function clampById(id: string): ClampKind {
  const found = CLAMPS.find((c) => c.id === id);
  if (!found) throw new RangeError(`There is no clamp “${id}” in the table.`);
  return found;
}
