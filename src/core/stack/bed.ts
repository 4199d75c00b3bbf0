import { memory, published, sourced, type Source } from '../sources';
import { OTHER_WOOD, SPECIES, gravityOf, woodStiffnessMPa } from '../wood';

/** Stiffness and crushing limit of what a platen presses on. */
export type Bed = {
  stiffnessMPaPerMm: number;
  /** Stiffness of its wood across the grain. MPa. */
  acrossMPa: number;
  stiffnessSource: Source;
  /** Beyond this the wood is dented for good. kPa. */
  crushingKPa: number;
  crushingSource: Source;
};

/**
 * Stiffness across the grain as a share of that along it. A flat-sawn board is squeezed along the radius of its rings and
 * bends across its width along the tangent.
 */
const RADIAL_SHARE = sourced(
  0.1,
  memory('Wood Handbook, Table 5-1, elastic ratios: radial to longitudinal about 0.1 (walnut 0.106)'),
);
const TANGENTIAL_SHARE = sourced(
  0.05,
  memory('Wood Handbook, Table 5-1, elastic ratios: tangential to longitudinal about 0.05 (walnut 0.056)'),
);
const HANDBOOK_DENSITY = published(
  'Wood Handbook (Forest Products Laboratory)',
  'compression across the grain by density at 12 % moisture: 21.6 · G^2.09 MPa for hardwoods, 16.5 · G^1.57 for softwoods; written down from memory',
);

/**
 * What wood bears across the grain before it is dented for good, by its density.
 *
 * @param gravity oven-dry mass over volume at 12 % moisture, relative to water
 * @returns MPa
 * @source Wood Handbook, Table 5-11
 */
export const crushingMPa = (gravity: number, softwood: boolean): number =>
  softwood ? 16.5 * gravity ** 1.57 : 21.6 * gravity ** 2.09;

/** A platen of fibre board, and a caul of hard wood, until the user's own are entered. MPa. */
export const PLATEN_MODULUS = {
  value: 3000,
  source: memory('bending stiffness of medium-density fibre board'),
};
export const CAUL_MODULUS = {
  value: 11_000,
  source: memory('bending stiffness of beech or ash along the grain'),
};
export const PLATEN_POISSON = sourced(0.25, memory('fibre board, as a plate'));
/** A panel of furniture whose thickness is not entered is taken as so thick. mm; from memory. */
export const COMMON_BOARD_MM = sourced(18, memory('panels of furniture are mostly about 18 mm'));

/**
 * The bed under a platen: the panel squeezed through its thickness, lying on a bench that does not give.
 *
 * @param boardMm thickness of the panel with its veneer, mm
 */
export function bedOf(speciesId: string, boardMm: number): Bed {
  const wood = SPECIES.find((s) => s.id === speciesId);
  const alongMPa = woodStiffnessMPa(speciesId);
  const gravity = gravityOf(speciesId);
  const known = wood?.crushingMPa;
  return {
    stiffnessMPaPerMm: (alongMPa * RADIAL_SHARE.value) / boardMm,
    acrossMPa: alongMPa * TANGENTIAL_SHARE.value,
    stiffnessSource: memory(
      'a flat-sawn panel squeezed through its thickness: a tenth of its stiffness along the grain, over the thickness',
    ),
    crushingKPa: 1000 * (known?.value ?? crushingMPa(gravity, wood?.softwood ?? false)),
    crushingSource:
      known?.source ??
      (speciesId === OTHER_WOOD
        ? memory('compression across the grain of a hardwood of 0.55 times the weight of water')
        : HANDBOOK_DENSITY),
  };
}
