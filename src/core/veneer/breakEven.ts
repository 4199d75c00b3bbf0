import { assertRange } from '../check';
import { memory, type Source } from '../sources';

/** One loss on the face: how long the seam round its patch is, and what it covers. */
export type Loss = { seamMm: number; areaMm2: number };

/** Attended work of a careful hand; the user's own figures go first. */
export type PatchRates = {
  /** Choosing, cutting the recess, trimming and blending, whatever the size. Minutes a patch. */
  perPatchMin: number;
  /** Knifing, fitting and levelling along the seam. Minutes per 100 mm. */
  per100SeamMin: number;
  /** Setting up for a whole sheet, whatever the size. Minutes. */
  sheetMin: number;
  /** Taking the old face down, levelling it, spreading, pressing, trimming, sanding. Minutes per m². */
  perM2SheetMin: number;
};

export const PATCH_RATES: PatchRates = {
  perPatchMin: 55,
  per100SeamMin: 14,
  sheetMin: 200,
  perM2SheetMin: 240,
};
export const PATCH_RATES_SOURCE: Source = memory(
  'minutes of a careful hand; your log shows what yours takes',
);

export type BreakEven = {
  patchMin: number;
  sheetMin: number;
  seamMm: number;
  lossMm2: number;
  cheaper: 'patch' | 'sheet';
  /** With so many losses of this face's mean size a sheet takes less time than patches. */
  turnsAt: number;
};

/**
 * Many patches or one new sheet, in attended minutes.
 *
 * @param losses what is to be patched; with none a loss of 30 × 20 mm stands for the mean
 * @param faceMm2 area of the face, mm², 100…10⁷
 */
export function breakEven(
  losses: readonly Loss[],
  faceMm2: number,
  rates: PatchRates = PATCH_RATES,
): BreakEven {
  assertRange('The area of the face', faceMm2, 'mm²', 100, 1e7);
  const minutes = (seamMm: number): number => rates.perPatchMin + (rates.per100SeamMin * seamMm) / 100;
  const seamMm = losses.reduce((s, l) => s + l.seamMm, 0);
  const patchMin = losses.reduce((s, l) => s + minutes(l.seamMm), 0);
  const sheetMin = rates.sheetMin + (rates.perM2SheetMin * faceMm2) / 1e6;
  const mean = losses.length > 0 ? patchMin / losses.length : minutes(100);
  return {
    patchMin,
    sheetMin,
    seamMm,
    lossMm2: losses.reduce((s, l) => s + l.areaMm2, 0),
    cheaper: patchMin <= sheetMin ? 'patch' : 'sheet',
    turnsAt: Math.floor(sheetMin / mean) + 1,
  };
}
