import { assertRange } from '../check';
import { memory, sourced } from '../sources';

/** Sandpaper on the jaw holds on wood up to this slope: friction about 0.7. */
export const GRIP_DEG = sourced(
  35,
  memory('sandpaper on wood has a friction of about 0.7, which holds up to 35°'),
);

export type Ear = {
  /** Along the rim from the middle of the round, mm; to the left is negative. */
  alongMm: number;
  /** How much the rim slopes there against the pull of the clamp. */
  angleDeg: number;
  /** It slips without a block: cut one with this angle, or screw on a hand-screw as an ear. */
  needsBlock: boolean;
};

/**
 * Clamps that pull square to the straight side of a half-round top, evenly along the rim: where each stands, and the angle of the
 * block that gives it a face square to its pull.
 *
 * @param count 1…40
 */
export function halfRoundEars(radiusMm: number, count: number): Ear[] {
  assertRange('The radius', radiusMm, 'mm', 50, 3000);
  assertRange('The number of clamps', count, '', 1, 40);
  return Array.from({ length: count }, (_, i) => {
    const angle = ((i + 0.5) / count) * 180 - 90;
    return {
      alongMm: (angle / 180) * Math.PI * radiusMm,
      angleDeg: Math.abs(angle),
      needsBlock: Math.abs(angle) > GRIP_DEG.value,
    };
  });
}

/**
 * Blocks round a whole top in opposite pairs, so that a bar clamp finds two parallel faces: how far apart they stand along the rim,
 * and how deep each is hollowed to fit it.
 *
 * @param blockMm length of a block along the rim
 */
export function roundBlocks(
  radiusMm: number,
  pairs: number,
  blockMm: number,
): { everyMm: number; hollowMm: number; openingMm: number } {
  assertRange('The radius', radiusMm, 'mm', 50, 3000);
  assertRange('The number of pairs', pairs, '', 1, 20);
  assertRange('The length of a block', blockMm, 'mm', 10, 2 * radiusMm);
  return {
    everyMm: (Math.PI * radiusMm) / pairs,
    hollowMm: radiusMm - Math.sqrt(radiusMm ** 2 - (blockMm / 2) ** 2),
    openingMm: 2 * radiusMm,
  };
}
