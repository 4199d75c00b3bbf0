import { memory, type Source } from '../sources';
import { OTHER_WOOD, SPECIES } from '../wood';

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

/** Across the grain wood is about a twentieth as stiff as along it. */
const ACROSS_SHARE = 1 / 20;
const UNKNOWN = { stiffnessGPa: 11, gravity: 0.55 };

/** A platen of fibre board, and a caul of hard wood, until the user's own are entered. MPa. */
export const PLATEN_MODULUS = {
  value: 3000,
  source: memory('bending stiffness of medium-density fibre board'),
};
export const CAUL_MODULUS = {
  value: 11_000,
  source: memory('bending stiffness of beech or ash along the grain'),
};
export const PLATEN_POISSON = 0.25;
/** A panel of furniture whose thickness is not entered is taken as so thick. mm; from memory. */
export const COMMON_BOARD_MM = 18;

/**
 * The bed under a platen: the panel squeezed through its thickness, lying on a bench that does not give.
 *
 * @param boardMm thickness of the panel with its veneer, mm
 */
export function bedOf(speciesId: string, boardMm: number): Bed {
  const wood = SPECIES.find((s) => s.id === speciesId);
  const stiffnessMPa = (wood?.stiffnessGPa.value ?? UNKNOWN.stiffnessGPa) * 1000 * ACROSS_SHARE;
  const gravity = wood?.specificGravity.value ?? UNKNOWN.gravity;
  const known = wood?.crushingMPa;
  return {
    stiffnessMPaPerMm: stiffnessMPa / boardMm,
    acrossMPa: stiffnessMPa,
    stiffnessSource: memory(
      'stiffness across the grain taken as a twentieth of that along it, over the thickness of the panel',
    ),
    crushingKPa: 1000 * (known?.value ?? 21.6 * gravity ** 2.09),
    crushingSource:
      known?.source ??
      memory(
        `compression across the grain estimated from the density, 21.6 · G^2.09 MPa${speciesId === OTHER_WOOD ? ', G = 0.55 taken' : ''}`,
      ),
  };
}
