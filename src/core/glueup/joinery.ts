import { assertRange } from '../check';
import { memory, practice, published, type Source } from '../sources';

export type DowelLayout = {
  diameterMm: number;
  depthMm: number;
  count: number;
  spacingMm: number;
  endDistanceMm: number;
  /** Places along the edge, from one end. */
  atMm: number[];
  /** Place the depth mark on the bit here: the depth and a little for glue. */
  drillMarkMm: number;
};

/** Diameters that dowels are sold in. mm. */
const DOWELS_MM = [6, 8, 10, 12, 16];
export const DOWEL_SOURCE: Source = practice(
  '25 mm deep on each side; a third of the thickness across, about 150 mm apart',
);

/**
 * Dowels along an edge joint.
 *
 * @throws RangeError for boards that are too thin for a dowel, and sizes out of range
 */
export function dowelLayout(edgeMm: number, boardMm: number): DowelLayout {
  assertRange('The length of the edge', edgeMm, 'mm', 60, 5000);
  assertRange('The thickness of the board', boardMm, 'mm', 12, 120);
  const diameterMm = DOWELS_MM.filter((d) => d <= boardMm / 2).reduce(
    (best, d) => (Math.abs(d - boardMm / 3) < Math.abs(best - boardMm / 3) ? d : best),
    DOWELS_MM[0] ?? 6,
  );
  const endDistanceMm = Math.min(50, edgeMm / 4);
  const span = edgeMm - 2 * endDistanceMm;
  const count = Math.max(2, Math.round(span / 150) + 1);
  const spacingMm = span / (count - 1);
  const depthMm = 25;
  return {
    diameterMm,
    depthMm,
    count,
    spacingMm,
    endDistanceMm,
    atMm: Array.from({ length: count }, (_, i) => endDistanceMm + i * spacingMm),
    drillMarkMm: depthMm + 2,
  };
}

/** How glue gets into a split. */
export type WayIn = { by: 'wicking' | 'needles' | 'blade'; needles: number };

/** A blade reaches into a split this long; needles stand so far apart. mm. */
export const WAY_IN = {
  bladeMm: 150,
  needleEveryMm: 60,
  source: memory('from a needle glue runs some 30 mm each way; a blade works it in over a hand’s length'),
};

/** @param wicks the glue is drawn to the bottom by itself before it tacks */
export function wayIn(lengthMm: number, wicks: boolean): WayIn {
  const needles = Math.max(1, Math.ceil(lengthMm / WAY_IN.needleEveryMm));
  if (wicks) return { by: 'wicking', needles };
  return { by: lengthMm > WAY_IN.bladeMm ? 'needles' : 'blade', needles };
}

/** Ways of getting a strip round a curve. */
export type BendState = 'dry' | 'wetted' | 'steamed' | 'strapped';

/** Strain of the outer (or, with a strap, of the inner) fibres at which wood of each state still holds. */
export const BEND_STRAIN: Record<BendState, { label: string; strain: number; source: Source }> = {
  dry: {
    label: 'Dry',
    strain: 0.008,
    source: memory('air-dry wood breaks in tension at about 1 % strain; four fifths of it is safe'),
  },
  wetted: {
    label: 'Wetted',
    strain: 0.012,
    source: memory('soaked wood stretches about half as much again'),
  },
  steamed: {
    label: 'Steamed, free',
    strain: 0.02,
    source: memory('steamed wood stretches up to 2 % before it tears'),
  },
  strapped: {
    label: 'Steamed, with a strap',
    strain: 0.2,
    source: memory('held from stretching, steamed wood is squeezed by up to a fifth or more'),
  },
};

/** Of strips that are bent near their limit so many break. */
export const BREAKAGE = { share: 0.25, source: memory('about one in four breaks near the limit') };

/**
 * The least radius (inside of the bend) for a strip of this thickness: the strain of the outer fibre is t / (2 R + t).
 *
 * @source geometry of a bent bar whose middle keeps its length; with a strap the outside keeps its length and all of t is squeezed
 */
export function leastRadiusMm(thicknessMm: number, state: BendState): number {
  assertRange('The thickness of the strip', thicknessMm, 'mm', 0.1, 60);
  const { strain } = BEND_STRAIN[state];
  return state === 'strapped'
    ? (thicknessMm * (1 - strain)) / strain
    : (thicknessMm * (1 - strain)) / (2 * strain);
}

/** The thickest strip that goes round this radius, for laminating. */
export const thickestMm = (radiusMm: number, state: BendState): number => radiusMm / leastRadiusMm(1, state);

/** How many to make so that so many are whole. */
export const withSpares = (needed: number): number => Math.ceil(needed / (1 - BREAKAGE.share));

/** What a firm hand turns a wooden handle with. N·m. */
export const HAND_TORQUE_NM = { least: 4, most: 6, source: memory('a firm hand on a wooden handle') };

export const SCREW_SOURCE: Source = published(
  'Any machine-design handbook, power screws',
  'F = T / (K · d), K about 0.2 for a dry steel thread',
);

/**
 * Force of a clamp's screw from the torque on its handle.
 *
 * @param torqueNm 0…200 N·m
 * @param diameterMm of the screw, 4…60 mm
 * @param friction K of the formula, 0.1…0.5
 */
export function screwForceN(torqueNm: number, diameterMm: number, friction = 0.2): number {
  assertRange('The torque', torqueNm, 'N·m', 0, 200);
  assertRange('The diameter of the screw', diameterMm, 'mm', 4, 60);
  assertRange('The friction factor', friction, '', 0.1, 0.5);
  return (1000 * torqueNm) / (friction * diameterMm);
}
