import { published } from '../sources';
import { BAND_COUNT, type Spectrum } from './spectrum';

/**
 * Absorption over scattering of a layer so thick that nothing shows through, K/S = (1 − R)² / 2R.
 *
 * @source Kubelka, Munk: Ein Beitrag zur Optik der Farbanstriche, Zeitschrift für technische Physik 12 (1931)
 */
export const absorptionOf = (reflectance: number): number => (1 - reflectance) ** 2 / (2 * reflectance);

/** The reflectance of a thick layer from its K/S: 1 + K/S − √((K/S)² + 2 K/S). */
export const reflectanceOf = (absorption: number): number =>
  1 + absorption - Math.sqrt(absorption * absorption + 2 * absorption);

/**
 * What a film of scattering pigment gives back over a ground (Kubelka's hyperbolic solution).
 *
 * @param ground reflectance under the film, 0…1
 * @param thick reflectance of the same film made so thick that nothing shows through, above 0 and at most 1
 * @param power scattering times thickness, S·X, from 0 (no film) up
 * @source Kubelka: New contributions to the optics of intensely light-scattering materials, J. Opt. Soc. Am. 38 (1948)
 */
export function filmOver(ground: number, thick: number, power: number): number {
  if (power <= 0) return ground;
  const a = 1 + absorptionOf(thick);
  const b = Math.sqrt(Math.max(0, a * a - 1));
  // Without absorption the hyperbolic cotangent grows without end while b shrinks; their product tends to 1 / S·X.
  const bCoth = b * power < 1e-6 ? 1 / power : b / Math.tanh(b * power);
  return (1 - ground * (a - bCoth)) / (a - ground + bCoth);
}

/** A layer that only swallows light, passed twice: its return over white to the power of how much there is of it (Beer–Lambert). */
export const filterOver = (ground: number, overWhite: number, amount: number): number =>
  ground * overWhite ** amount;

/**
 * Share of light that a smooth surface of refractive index 1.5 throws back before it enters (k1), and of diffuse light that it throws back
 * inside (k2).
 */
export const SAUNDERSON_SOURCE = published(
  'Saunderson: Calculation of the color of pigmented plastics, J. Opt. Soc. Am. 32 (1942)',
  'for a refractive index of 1.5',
);
export const SAUNDERSON = { entering: 0.04, leaving: 0.6 };

/** What is seen of a surface through a clear film, its gloss kept out of the eye: (1 − k1)(1 − k2) R / (1 − k2 R). */
export const throughSurface = (
  reflectance: number,
  leaving: number = SAUNDERSON.leaving,
  entering: number = SAUNDERSON.entering,
): number => ((1 - entering) * (1 - leaving) * reflectance) / (1 - leaving * reflectance);

/** Works band by band. */
export const eachBand = (f: (i: number) => number): Spectrum => {
  const out = new Float64Array(BAND_COUNT);
  for (let i = 0; i < out.length; i++) out[i] = f(i);
  return out;
};
