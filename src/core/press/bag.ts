import { assertRange } from '../check';
import { memory, practice, published, sourced, type Source } from '../sources';

export type BagPlan = {
  /** What the air outside can press with at this height. */
  atmosphereKPa: number;
  /** What arrives on the veneer. */
  pressureKPa: number;
  enough: boolean;
  /** On all that lies in the bag: what the piece must bear. */
  forceN: number;
  /** The bag laid flat. */
  bagMm: { long: number; wide: number };
  clampMin: number;
};

export const ATMOSPHERE_SOURCE: Source = published(
  'ISO 2533, standard atmosphere',
  'p = 101.325 kPa · (1 − 2.25577·10⁻⁵ h)^5.25588, h in metres up to 11 000',
);
/** Pressure of the air at the sea in the standard atmosphere. */
const SEA_LEVEL_KPA = 101.325;
/** Sheet that goes round the edges and is folded into the seal, on each side. mm. */
export const BAG_BEYOND_MM = sourced(150, practice());
/** Water has nowhere to go in a bag. */
export const BAG_SLOWER = sourced(
  1.5,
  memory('glues that dry stay wet in a bag; half as long again is left'),
);

/** Pressure of the air at a height above the sea. kPa. */
export const atmosphereKPa = (heightM: number): number =>
  SEA_LEVEL_KPA * (1 - 2.25577e-5 * heightM) ** 5.25588;

/**
 * A panel in a vacuum bag: how hard it presses at this height, how large the bag is, and what the piece must bear.
 *
 * @param bagKPa what the shop's bag reaches at sea level; the pressure that its pump leaves inside is kept at every height
 * @param clampMin of the glue under clamps, at the shop's temperature
 * @param dries the glue sets by giving off water
 * @throws RangeError for sizes out of range, and a bag that would press harder than the air
 */
export function bagPlan({
  longMm,
  wideMm,
  thickMm,
  bagKPa,
  heightM,
  targetKPa,
  clampMin,
  dries,
}: {
  longMm: number;
  wideMm: number;
  thickMm: number;
  bagKPa: number;
  heightM: number;
  targetKPa: number;
  clampMin: number;
  dries: boolean;
}): BagPlan {
  assertRange('The length of the panel', longMm, 'mm', 10, 5000);
  assertRange('The width of the panel', wideMm, 'mm', 10, 5000);
  assertRange('The thickness of the panel', thickMm, 'mm', 0.2, 300);
  assertRange('The height above the sea', heightM, 'm', -450, 5000);
  assertRange('The pressure of the bag', bagKPa, 'kPa', 1, SEA_LEVEL_KPA);
  const air = atmosphereKPa(heightM);
  // A pump leaves as much air behind on a mountain as at the sea; what is missing is the air outside.
  const leftInsideKPa = SEA_LEVEL_KPA - bagKPa;
  const pressureKPa = Math.max(0, air - leftInsideKPa);
  const beyond = 2 * BAG_BEYOND_MM.value + thickMm;
  return {
    atmosphereKPa: air,
    pressureKPa,
    enough: pressureKPa >= targetKPa,
    forceN: (pressureKPa / 1000) * longMm * wideMm,
    bagMm: { long: longMm + beyond, wide: wideMm + beyond },
    clampMin: clampMin * (dries ? BAG_SLOWER.value : 1),
  };
}
