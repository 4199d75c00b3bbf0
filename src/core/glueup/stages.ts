import { assertRange } from '../check';
import { memory, practice, type Source } from '../sources';

export type StagesInput = {
  areaMm2: number;
  clamps: number;
  /** The user's own speed of spreading, minutes for 100 cm². */
  spreadMinPer100Cm2: number;
  /** Seconds to set one clamp. */
  secondsPerClamp: number;
  /** Time the glue stays open at the shop's temperature, minutes. */
  openMin: number;
  /** Clamps of this kind that the shop has. */
  clampsOwned: number;
};

export type Stage = { share: number; areaMm2: number; clamps: number; layingMin: number };
export type Stages = {
  stages: Stage[];
  /** What limits a stage: the glue's open time, or the clamps there are. */
  limit: 'openTime' | 'clamps' | 'none';
};

/** So much of the open time is planned for; the rest is for what goes wrong. */
export const OPEN_TIME_SHARE = 0.8;
export const OPEN_TIME_SHARE_SOURCE: Source = memory('a fifth of the open time is kept for what goes wrong');
export const STAGES_SOURCE: Source = practice('more area than the open time allows is done in stages');

const laying = (areaMm2: number, clamps: number, s: StagesInput): number =>
  (areaMm2 / 10_000) * s.spreadMinPer100Cm2 + (clamps * s.secondsPerClamp) / 60;

/**
 * Splits a glue-up into stages that are each spread and clamped while the glue is open, and that no stage needs more clamps
 * than there are. All stages are alike, so that none is a scramble.
 *
 * @throws RangeError for sizes out of range, and when not even one clamp can be set in time
 */
export function gluingStages(input: StagesInput): Stages {
  assertRange('The area', input.areaMm2, 'mm²', 1, 5e6);
  assertRange('The number of clamps', input.clamps, '', 0, 200);
  assertRange('The speed of spreading', input.spreadMinPer100Cm2, 'min', 0.05, 30);
  assertRange('The time for a clamp', input.secondsPerClamp, 's', 1, 600);
  assertRange('The open time', input.openMin, 'min', 0.05, 1440);
  const room = input.openMin * OPEN_TIME_SHARE;
  if (input.clamps > 0 && input.clampsOwned < 1) {
    throw new RangeError(
      'There are no clamps of this kind in the shop, so nothing holds a stage. Enter the clamps you own.',
    );
  }
  const byClamps = input.clamps === 0 ? 1 : Math.ceil(input.clamps / input.clampsOwned);
  for (let n = byClamps; n <= Math.max(byClamps, 60); n++) {
    const clamps = Math.ceil(input.clamps / n);
    const areaMm2 = input.areaMm2 / n;
    const layingMin = laying(areaMm2, clamps, input);
    if (layingMin > room) continue;
    const stages = Array.from({ length: n }, (): Stage => ({ share: 1 / n, areaMm2, clamps, layingMin }));
    return { stages, limit: n === 1 ? 'none' : n === byClamps ? 'clamps' : 'openTime' };
  }
  throw new RangeError(
    `Setting one clamp takes ${input.secondsPerClamp} s, and this glue stays open for ${input.openMin.toFixed(1)} min. Take a slower glue, warm the piece, or get a second pair of hands.`,
  );
}

/** How an edge with an open mouth is pressed in sections: three clamps on about 300 mm. */
export const SECTION_MM = {
  value: 300,
  clamps: 3,
  source: practice('sections of about 300 mm with three clamps'),
};

/** Lengths of the sections along a mouth, as even as they come, and how many can be pressed at a time. */
export function mouthSections(
  mouthMm: number,
  clampsOwned: number,
): { lengthMm: number; count: number; atOnce: number } {
  assertRange('The length of the mouth', mouthMm, 'mm', 1, 10_000);
  const count = Math.max(1, Math.ceil(mouthMm / SECTION_MM.value));
  return {
    lengthMm: mouthMm / count,
    count,
    atOnce: Math.min(count, Math.max(1, Math.floor(clampsOwned / SECTION_MM.clamps))),
  };
}
