import { assertRange } from '../check';
import { memory, published, sourced, type Sourced } from '../sources';

export type StripMaterial = 'springSteel' | 'aluminium' | 'bendingPly' | 'hardwood' | 'hardboard';

/** What is laid over edge veneer to spread the clamps: how stiff, and how far it may be bent again and again. */
export const STRIPS: Record<StripMaterial, { label: string; modulusMPa: Sourced; strain: Sourced }> = {
  springSteel: {
    label: 'Spring steel',
    modulusMPa: sourced(205_000, memory('stiffness of steel')),
    strain: sourced(0.004, memory('hardened spring steel keeps no bend up to about 0.4 %')),
  },
  aluminium: {
    label: 'Aluminium',
    modulusMPa: sourced(70_000, memory('stiffness of aluminium')),
    strain: sourced(0.0015, memory('half-hard aluminium sheet keeps no bend up to about 0.15 %')),
  },
  bendingPly: {
    label: 'Bending ply',
    modulusMPa: sourced(350, memory('bending ply across its soft way')),
    strain: sourced(0.02, memory('bending ply of 5 mm goes round a radius of about 125 mm')),
  },
  hardwood: {
    label: 'Strip of hard wood',
    modulusMPa: sourced(11_000, memory('beech or ash along the grain')),
    strain: sourced(0.006, memory('dry wood along the grain bends safely by about 0.6 %')),
  },
  hardboard: {
    label: 'Hardboard',
    modulusMPa: sourced(3500, memory('bending stiffness of hardboard')),
    strain: sourced(0.006, memory('hardboard breaks at about 1 %')),
  },
};

export type Pad = 'none' | 'cork' | 'rubber';

/** What lies between strip and veneer and gives way, so that a clamp's push goes farther along. */
export const PADS_SOURCE = memory('pads as they are sold, and their stiffness');
export const PADS: Record<Pad, { label: string; stiffnessMPaPerMm: Sourced }> = {
  none: {
    label: 'Only the release sheet',
    stiffnessMPaPerMm: sourced(Infinity, memory('paper gives way by next to nothing')),
  },
  cork: {
    label: 'Cork, 3 mm',
    stiffnessMPaPerMm: sourced(5, memory('cork sheet, about 15 MPa over its thickness')),
  },
  rubber: {
    label: 'Rubber, 3 mm',
    stiffnessMPaPerMm: sourced(1, memory('soft rubber, about 3 MPa over its thickness')),
  },
};

/** Pad and wood give way one after the other. */
export const padded = (stiffnessMPaPerMm: number, pad: Pad): number =>
  1 / (1 / stiffnessMPaPerMm + 1 / PADS[pad].stiffnessMPaPerMm.value);

/**
 * The thickest strip that goes round an edge: its outer side is stretched by half its thickness over the radius.
 *
 * @param radiusMm of the edge, 10…5000 mm
 */
export function thickestStripMm(material: StripMaterial, radiusMm: number): number {
  assertRange('The radius of the edge', radiusMm, 'mm', 10, 5000);
  const strain = STRIPS[material].strain.value;
  return (2 * strain * radiusMm) / (1 - strain);
}

export const SPACING_SOURCE = published(
  'Hetényi, Beams on Elastic Foundation (1946)',
  'an infinite beam under a row of equal loads, by superposition',
);

export type SpacingInput = {
  /** The caul or strip: thickness, and stiffness along it. */
  thicknessMm: number;
  modulusMPa: number;
  /** What it presses on. */
  stiffnessMPaPerMm: number;
};

const lambdaOf = ({ thicknessMm, modulusMPa, stiffnessMPaPerMm }: SpacingInput): number =>
  ((3 * stiffnessMPaPerMm) / (modulusMPa * thicknessMm ** 3)) ** 0.25;

/** The share for clamps that stand so many characteristic lengths apart. */
function shareAt(apart: number): number {
  let sum = 0;
  for (let u = apart / 2; u < 40; u += apart) sum += 2 * Math.exp(-u) * (Math.cos(u) + Math.sin(u));
  return (apart * sum) / 2;
}

/** Pressure half-way between two clamps of an endless row, as a share of the mean. */
export const midShare = (strip: SpacingInput, spacingMm: number): number =>
  shareAt(lambdaOf(strip) * spacingMm);

/**
 * How far apart clamps may stand so that half-way between them at least such a share of the mean pressure arrives.
 *
 * @param least 0.05…0.95
 * @throws RangeError for sizes out of range
 */
export function clampSpacingMm(input: SpacingInput, least = 0.6): number {
  assertRange('The thickness of the strip', input.thicknessMm, 'mm', 0.1, 150);
  assertRange('The stiffness of the strip', input.modulusMPa, 'MPa', 10, 300_000);
  assertRange('The stiffness of what is pressed', input.stiffnessMPaPerMm, 'MPa/mm', 1e-4, 10_000);
  assertRange('The share between the clamps', least, '', 0.05, 0.95);
  // Half a characteristic length apart the pressure is even; from 3π/2 on there is none half-way.
  let [near, far] = [0.5, 1.5 * Math.PI];
  for (let i = 0; i < 60; i++) {
    const middle = (near + far) / 2;
    if (shareAt(middle) >= least) near = middle;
    else far = middle;
  }
  return near / lambdaOf(input);
}

/**
 * Clamps along an edge: no farther apart than the strip spreads them, nor than their force carries the pressure wanted.
 *
 * @param widthMm of the edge that is pressed
 * @param forceN that each clamp gives
 */
export function edgeClamps(
  strip: SpacingInput,
  {
    lengthMm,
    widthMm,
    targetKPa,
    forceN,
  }: { lengthMm: number; widthMm: number; targetKPa: number; forceN: number },
): { apartMm: number; count: number; setBy: 'strip' | 'force' } {
  assertRange('The width of the edge', widthMm, 'mm', 1, 500);
  assertRange('The pressure', targetKPa, 'kPa', 1, 5000);
  const byStrip = clampSpacingMm(strip);
  const byForce = (1000 * forceN) / (targetKPa * widthMm);
  const apartMm = Math.min(byStrip, byForce);
  return {
    apartMm,
    count: Math.max(2, Math.ceil(lengthMm / apartMm)),
    setBy: byStrip < byForce ? 'strip' : 'force',
  };
}

/**
 * Pull of a band round a rim: pressure × radius × width of the band.
 *
 * @source thin ring under inner pressure, any table of strength of materials
 */
export const bandPullN = (pressureKPa: number, radiusMm: number, widthMm: number): number =>
  (pressureKPa / 1000) * radiusMm * widthMm;
