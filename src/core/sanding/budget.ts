import { assertRange } from '../check';
import { memory, practice, published, sourced, type Source, type Sourced } from '../sources';

const P_GRADES = published('ISO 6344 (P grades)', 'median grain size, written down from memory');
/** Median grain of a paper, µm, by its number in the P scale. */
export const GRITS: readonly { p: number; medianUm: Sourced; source: Source }[] = (
  [
    [80, 201],
    [100, 162],
    [120, 125],
    [150, 100],
    [180, 82],
    [220, 68],
    [240, 58.5],
    [280, 52.2],
    [320, 46.2],
    [400, 35],
  ] as const
).map(([p, um]) => ({
  p,
  medianUm: sourced(um, P_GRADES),
  source: P_GRADES,
}));

/** How deep a scratch is, as a share of the median grain. */
export const SCRATCH_SHARE: Sourced = sourced(
  0.3,
  memory('a hand-held paper scratches to about a third of its grain'),
);
/** Edges and corners lose this many times as much. */
export const EDGE_FACTOR: Sourced = sourced(
  2.5,
  practice('edges and corners lose two to three times as much'),
);
/** Wood fibres and dirt that the first grit takes before the scratches of the next are reckoned. mm. */
const FIRST_PASS_MM: Sourced = sourced(
  0.03,
  memory('cleaning up a stripped surface takes a few hundredths of a millimetre'),
);
/** What must stay so that light and the next refinisher do not go through. mm. */
export const LEAST_LEFT_MM: Sourced = sourced(
  0.25,
  memory('under a quarter of a millimetre glue and core begin to show'),
);
/** The same numbers in the other scale, CAMI: the finer the number, the further the two part. */
const CAMI = memory('median grain size of the CAMI scale; less sure than the P grades');
export const CAMI_GRITS: readonly { number: number; medianUm: Sourced; source: Source }[] = (
  [
    [80, 190],
    [100, 140],
    [120, 115],
    [150, 92],
    [180, 82],
    [220, 68],
    [240, 53],
    [320, 36],
    [400, 23],
  ] as const
).map(([number, um]) => ({
  number,
  medianUm: sourced(um, CAMI),
  source: CAMI,
}));

/** Veneer thinner than this is knife-cut, and is stripped or scraped rather than sanded. mm. */
export const THIN_VENEER_MM: Sourced = sourced(
  1.2,
  memory('knife-cut veneer is under about 1.2 mm; sawn veneer is thicker'),
);

export type SandingBudget = {
  grits: number[];
  startGrit: number;
  endGrit: number;
  removedMm: number;
  leftMm: number;
  leftAtEdgeMm: number;
  /** Set when the edge or the field would be sanded through. */
  warning?: string;
  steps: { grit: number; removedMm: number; leftMm: number }[];
};

/** Where sanding begins and ends, as the budget takes it. */
export const START_GRIT_SOURCE = practice('no coarser than P150 on thin veneer');
export const END_GRIT_SOURCE = practice('P180 to P220 before colour');

const grain = (p: number): number => {
  const found = GRITS.find((g) => g.p === p);
  if (!found) throw new RangeError(`There is no grit ${p} in the table.`);
  return found.medianUm.value / 1000;
};

/**
 * Start and end grit and what is left of the veneer. Each grit takes the scratches of the one before; the first takes the
 * fibres a stripper left and whatever stands proud.
 *
 * @param veneerMm thickness now, 0.2…6 mm
 * @param proudMm how far a patch stands above its surround (0 for a plain face)
 * @param underPaint paint hides more: P180 is fine enough
 * @param coarsest where thick, sawn veneer begins; thin veneer never begins below P150
 */
export function sandingBudget(
  veneerMm: number,
  proudMm = 0,
  underPaint = false,
  coarsest: 'p100' | 'p150' = 'p150',
): SandingBudget {
  assertRange('The veneer thickness', veneerMm, 'mm', 0.2, 6);
  assertRange('The height that stands proud', proudMm, 'mm', 0, 5);
  const from = veneerMm >= THIN_VENEER_MM.value && coarsest === 'p100' ? 100 : 150;
  const grits = [100, 120, 150, 180, 220].filter((p) => p >= from && (underPaint ? p <= 180 : true));
  let left = veneerMm;
  const steps = grits.map((p, i) => {
    const before = grits[i - 1];
    const removedMm =
      i === 0 || before === undefined ? FIRST_PASS_MM.value + proudMm : grain(before) * SCRATCH_SHARE.value;
    left -= removedMm;
    return { grit: p, removedMm, leftMm: left };
  });
  const removedMm = veneerMm - left;
  const worn = removedMm - proudMm;
  const leftAtEdgeMm = veneerMm - proudMm - worn * EDGE_FACTOR.value;
  const warning =
    left < LEAST_LEFT_MM.value
      ? 'This veneer is too thin to sand through the grits. Strip chemically and scrape; use P220 by hand only.'
      : leftAtEdgeMm < LEAST_LEFT_MM.value
        ? 'Edges and corners would be sanded through. Do them by hand with P220 only, or leave them.'
        : undefined;
  return {
    grits,
    startGrit: grits[0] ?? 150,
    endGrit: grits[grits.length - 1] ?? 220,
    removedMm,
    leftMm: left,
    leftAtEdgeMm,
    steps,
    ...(warning ? { warning } : {}),
  };
}
