import { distance } from '../geometry';
import { caulUnder } from '../press';
import { bowHeightMm, bowOffsets, CAUL_MODULUS, camberOf, parabolaHeightMm, type Camber } from '../stack';
import type { PressPlan } from './press';

/** What is planed on one side of a caul, and what draws it down. */
export type Bow = {
  lengthMm: number;
  midCamberMm: number;
  endForceN: number;
  height: (x: number) => number;
  offsets: Camber['offsets'];
};

/** Less is not planed. mm. */
export const LEAST_BOW_MM = 0.05;

/** The bow that the caul is placed with, or the one that end clamps on a straight one would ask for. */
export function bowOf({ placed, targetKPa, platenMm }: PressPlan): Bow | undefined {
  const [caul] = placed.cauls;
  if (!caul) return undefined;
  const lengthMm = distance(caul.from, caul.to);
  if (caul.camberMm > LEAST_BOW_MM) {
    const height = (x: number): number => parabolaHeightMm(caul.camberMm, lengthMm, x);
    const on = placed.clamps.filter((c) => caulUnder(placed.cauls, c.at) === 0);
    return {
      lengthMm,
      midCamberMm: caul.camberMm,
      endForceN: Math.max(0, ...on.map((c) => c.forceN)),
      height,
      offsets: bowOffsets(lengthMm, height),
    };
  }
  const input = {
    lengthMm,
    widthMm: caul.widthMm,
    heightMm: caul.heightMm,
    modulusMPa: CAUL_MODULUS.value,
    pressureKPa: targetKPa,
    pressedWidthMm: caul.widthMm + 2 * platenMm,
  };
  return { lengthMm, ...camberOf(input), height: (x) => bowHeightMm(input, x) };
}
