import { assertRange } from '../check';
import { memory, published, sourced, type Source } from '../sources';
import { SURFACE } from './wicking';

/** Water in the shop, mPa·s at 20 °C. */
const WATER_MPAS = sourced(
  1.002,
  published(
    'IAPWS, viscosity of ordinary water; CRC Handbook of Chemistry and Physics',
    '1.002 mPa·s at 20 °C',
  ),
);
/** Thin mixes weigh little more than water. kg/m³. */
const DENSITY = sourced(1050, memory('glue and water, between 1000 and 1150 kg/m³'));
const GRAVITY_M_S2 = 9.80665;

export const RUN_IN_SOURCE: Source = published(
  'Plane Poiseuille flow with the pull of the walls and the weight of the liquid (after Washburn 1921)',
  'dL/dt = w² / 12 μ · (2 γ cos θ / w L + ρ g sin α), the gap taken as even',
);
export const THINNED_SOURCE: Source = published(
  'Arrhenius 1887, viscosity of a mixture',
  'ln μ = φ ln μ₁ + (1 − φ) ln μ₂, by shares of volume; for glue a first guess',
);

/**
 * How thick a glue is once it is thinned with water. mPa·s.
 *
 * @param glueMPas of the glue as it comes, 0.5…10⁶ mPa·s
 * @param glueShare of the volume that is glue, 0…1
 */
export function thinnedMPas(glueMPas: number, glueShare: number): number {
  assertRange('The viscosity', glueMPas, 'mPa·s', 0.5, 1e6);
  assertRange('The share of glue', glueShare, '', 0, 1);
  return Math.exp(glueShare * Math.log(glueMPas) + (1 - glueShare) * Math.log(WATER_MPAS.value));
}

type Opening = {
  /** Height of the gap, mm, taken as even. */
  gapMm: number;
  viscosityMPas: number;
  /** How far the piece is tilted, so that the glue runs down into it. */
  tiltDeg: number;
};

/** What pulls at the front, m²/s, and what pushes the whole column, m/s. */
function drives({ gapMm, viscosityMPas, tiltDeg }: Opening): { pull: number; weight: number } {
  const gap = gapMm / 1000;
  const viscosity = viscosityMPas / 1000;
  const wetting = SURFACE.tensionNPerM.value * Math.cos((SURFACE.contactDeg.value * Math.PI) / 180);
  return {
    pull: (wetting * gap) / (6 * viscosity),
    weight:
      (DENSITY.value * GRAVITY_M_S2 * gap ** 2 * Math.sin((tiltDeg * Math.PI) / 180)) / (12 * viscosity),
  };
}

/** Seconds until the glue stands so deep in the opening; depth in metres. */
function secondsTo({ pull, weight }: { pull: number; weight: number }, depth: number): number {
  const u = (weight * depth) / pull;
  // Where the weight is next to nothing the closed form loses its digits: its first terms are taken.
  if (u < 1e-4) return (depth ** 2 / pull) * (1 / 2 - u / 3);
  return depth / weight - (pull / weight ** 2) * Math.log1p(u);
}

/**
 * How deep a glue runs into an opening while it is open: drawn by the walls and by its own weight. mm.
 *
 * @param gapMm height of the opening, 0.02…20 mm
 * @param tiltDeg 0 level … 90 upright
 * @param seconds it stays liquid, up to a day
 * @param mostMm beyond this nobody asks
 */
export function runInMm(opening: Opening, seconds: number, mostMm = 2000): number {
  assertRange('The opening', opening.gapMm, 'mm', 0.02, 20);
  assertRange('The viscosity', opening.viscosityMPas, 'mPa·s', 0.5, 1e6);
  assertRange('The tilt', opening.tiltDeg, '°', 0, 90);
  assertRange('The time', seconds, 's', 0, 86_400);
  const driving = drives(opening);
  if (secondsTo(driving, mostMm / 1000) <= seconds) return mostMm;
  // The time grows with the depth, so halving finds it.
  let low = 0;
  let high = mostMm / 1000;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (secondsTo(driving, middle) <= seconds) low = middle;
    else high = middle;
  }
  return low * 1000;
}

/** Water that wood gives off again through one face. m²/s. */
const DIFFUSION = sourced(
  3e-10,
  memory('moisture across the grain, 1 to 10 · 10⁻¹⁰ m²/s at room temperature'),
);
/** Wood below the glue line that the water reaches. mm. */
const WETTED_MM = sourced(3, memory('glue water goes some millimetres into the core'));
const WOOD_DENSITY_KG_M3 = sourced(600, memory('a middling hardwood'));

export const DRYING_SOURCE: Source = published(
  'Crank, The Mathematics of Diffusion: a plate that dries through one face',
  'first term: what is left falls with exp(−π² D t / 4 s²)',
);

/**
 * What the water of the mixes does: how much wetter the wood round the glue line becomes at first, and how long until nine tenths
 * of that is gone through the face.
 *
 * @param waterMl brought in
 * @param areaMm2 over which it is spread
 */
export function waterBroughtIn(
  waterMl: number,
  areaMm2: number,
  veneerMm: number,
): { risesBy: number; driesInMin: number } {
  assertRange('The water', waterMl, 'ml', 0, 1e5);
  assertRange('The area', areaMm2, 'mm²', 1, 1e8);
  const thickMm = veneerMm + WETTED_MM.value;
  const woodG = areaMm2 * thickMm * 1e-9 * WOOD_DENSITY_KG_M3.value * 1000;
  const thick = thickMm / 1000;
  const left = 0.1;
  // The first term begins at 8 / π² of the whole.
  const seconds = ((4 * thick ** 2) / (Math.PI ** 2 * DIFFUSION.value)) * Math.log(8 / Math.PI ** 2 / left);
  return { risesBy: waterMl / woodG, driesInMin: seconds / 60 };
}
