import { linearOf, type Lab } from '../colour';
import { BANDS } from './bands';

/** Share of light given back in each band of `BANDS`, 0…1. */
export type Spectrum = Float64Array;

const ROWS = BANDS.value;
export const BAND_COUNT = ROWS.length;

/** White of CIE illuminant D65, 2° observer, as the sRGB standard rounds it: chromaticity 0.3127, 0.3290. */
const D65_WHITE = { x: 0.3127 / 0.329, y: 1, z: (1 - 0.3127 - 0.329) / 0.329 };

/** CIE standard illuminant A, the light of a lamp, up to a factor: a black body whose c₂/T is 1.435e7/2848 nm. @source CIE S 014-2 */
const lampLight = (nm: number): number => (560 / nm) ** 5 / (Math.exp(1.435e7 / (2848 * nm)) - 1);

type Weights = {
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  white: { x: number; y: number; z: number };
};

/** What each band adds to X, Y and Z under a light, with white at Y = 1. */
function weightsUnder(light: readonly number[], white?: { x: number; y: number; z: number }): Weights {
  const of = (axis: 'x' | 'y' | 'z'): number[] => ROWS.map((row, i) => row[axis] * (light[i] ?? 0));
  const total = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
  const [x, y, z] = [of('x'), of('y'), of('z')];
  const brightness = total(y);
  const own = white ?? { x: total(x) / brightness, y: 1, z: total(z) / brightness };
  const scaled = (values: readonly number[], to: number): Float64Array => {
    const sum = total(values);
    return Float64Array.from(values, (v) => (v / sum) * to);
  };
  // Ten nanometres are coarse: a white sheet must be white to the last digit, so each axis is scaled to it (0.1 %).
  return { x: scaled(x, own.x), y: scaled(y, own.y), z: scaled(z, own.z), white: own };
}

export type Light = 'daylight' | 'lamp';
const WEIGHTS: Record<Light, Weights> = {
  daylight: weightsUnder(
    ROWS.map((row) => row.d65),
    D65_WHITE,
  ),
  lamp: weightsUnder(ROWS.map((row) => lampLight(row.nm))),
};
/** What each band adds to the brightness Y in daylight. */
export const DAYLIGHT_Y: Float64Array = WEIGHTS.daylight.y;

/** X, Y, Z of a white sheet under a light, Y = 1. */
export const whiteUnder = (light: Light): { x: number; y: number; z: number } => WEIGHTS[light].white;

/** CIE 1976: the cube root, straight near black. */
const companded = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116);

/** Lightness L* of a brightness Y, 0…1. */
export const lightnessOf = (y: number): number => 116 * companded(y) - 16;

/** Brightness Y, 0…1, of a lightness L*. */
export const brightnessOf = (lightness: number): number =>
  lightness > 8 ? ((lightness + 16) / 116) ** 3 : (lightness * 27) / 24389;

/** The colour of a surface under a light, against that light's own white. */
export function labOf(spectrum: Spectrum, light: Light = 'daylight'): Lab {
  const w = WEIGHTS[light];
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < BAND_COUNT; i++) {
    const r = spectrum[i] ?? 0;
    x += (w.x[i] ?? 0) * r;
    y += (w.y[i] ?? 0) * r;
    z += (w.z[i] ?? 0) * r;
  }
  const fx = companded(x / w.white.x);
  const fy = companded(y / w.white.y);
  const fz = companded(z / w.white.z);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** Brightness Y in daylight, 0…1. */
export function brightnessIn(spectrum: Spectrum): number {
  let y = 0;
  for (let i = 0; i < BAND_COUNT; i++) y += (DAYLIGHT_Y[i] ?? 0) * (spectrum[i] ?? 0);
  return y;
}

/** No surface swallows all the light: soot gives back about so much. */
const DARKEST = 0.0005;

/**
 * A reflectance that has this colour in daylight: red, green and blue shares of the three smooth primaries. Of the endless many that have
 * it this is a smooth one, as woods and pigments are. What no screen shows is taken at the nearest that one does.
 *
 * @source Mallett, Yuksel: Spectral Primary Decomposition for Rendering with sRGB Reflectance (EGSR 2019)
 */
export function spectrumOf(lab: Lab): Spectrum {
  const [r, g, b] = linearOf(lab).map((v) => Math.min(1, Math.max(0, v)));
  return Float64Array.from(ROWS, (row) =>
    Math.min(1, Math.max(DARKEST, row.red * (r ?? 0) + row.green * (g ?? 0) + row.blue * (b ?? 0))),
  );
}
