import { derived, sourced } from '../sources';

/** One band of 10 nm: the standard observer, daylight, and what each primary of a screen returns of the light there, 0…1. */
export type Band = {
  nm: number;
  x: number;
  y: number;
  z: number;
  d65: number;
  red: number;
  green: number;
  blue: number;
};

/**
 * The visible spectrum in steps of 10 nm. `x, y, z`: CIE 1931 2° standard observer (CIE 018, also in the CC0 package color-space; the
 * last three rows from memory, and too small to matter). `d65`: CIE standard illuminant D65 (from memory; the white it gives is checked).
 * `red, green, blue`: the smoothest three curves that never leave 0…1, add up to 1 and are the primaries of sRGB under D65 (Mallett and
 * Yuksel, Spectral Primary Decomposition for Rendering with sRGB Reflectance, EGSR 2019); solved as a quadratic programme, and solved
 * again in the test.
 */
const ROWS: readonly Band[] = [
  { nm: 380, x: 0.00137, y: 0.00004, z: 0.00645, d65: 49.9755, red: 0.020418, green: 0, blue: 0.979582 },
  { nm: 390, x: 0.00424, y: 0.00012, z: 0.02005, d65: 54.6482, red: 0.020411, green: 0, blue: 0.979589 },
  { nm: 400, x: 0.01431, y: 0.0004, z: 0.06785, d65: 82.7549, red: 0.020384, green: 0, blue: 0.979616 },
  { nm: 410, x: 0.04351, y: 0.00121, z: 0.2074, d65: 91.486, red: 0.020257, green: 0, blue: 0.979743 },
  { nm: 420, x: 0.13438, y: 0.004, z: 0.6456, d65: 93.4318, red: 0.019828, green: 0, blue: 0.980172 },
  { nm: 430, x: 0.2839, y: 0.0116, z: 1.3856, d65: 86.6823, red: 0.018678, green: 0, blue: 0.981322 },
  { nm: 440, x: 0.34828, y: 0.023, z: 1.74706, d65: 104.865, red: 0.017474, green: 0, blue: 0.982526 },
  { nm: 450, x: 0.3362, y: 0.038, z: 1.77211, d65: 117.008, red: 0.020279, green: 0, blue: 0.979721 },
  { nm: 460, x: 0.2908, y: 0.06, z: 1.6692, d65: 117.812, red: 0.034379, green: 0.00253, blue: 0.963091 },
  {
    nm: 470,
    x: 0.19536,
    y: 0.09098,
    z: 1.28764,
    d65: 114.861,
    red: 0.014111,
    green: 0.123266,
    blue: 0.862623,
  },
  { nm: 480, x: 0.09564, y: 0.13902, z: 0.81295, d65: 115.923, red: 0, green: 0.307034, blue: 0.692966 },
  { nm: 490, x: 0.03201, y: 0.20802, z: 0.46518, d65: 108.811, red: 0, green: 0.510685, blue: 0.489315 },
  { nm: 500, x: 0.0049, y: 0.323, z: 0.272, d65: 109.354, red: 0, green: 0.708691, blue: 0.291309 },
  { nm: 510, x: 0.0093, y: 0.503, z: 0.1582, d65: 107.802, red: 0, green: 0.874135, blue: 0.125865 },
  { nm: 520, x: 0.06327, y: 0.71, z: 0.07825, d65: 104.79, red: 0, green: 0.978897, blue: 0.021103 },
  { nm: 530, x: 0.1655, y: 0.862, z: 0.04216, d65: 107.689, red: 0, green: 1, blue: 0 },
  { nm: 540, x: 0.2904, y: 0.954, z: 0.0203, d65: 104.405, red: 0, green: 1, blue: 0 },
  { nm: 550, x: 0.43345, y: 0.99495, z: 0.00875, d65: 104.046, red: 0, green: 1, blue: 0 },
  { nm: 560, x: 0.5945, y: 0.995, z: 0.0039, d65: 100, red: 0, green: 1, blue: 0 },
  { nm: 570, x: 0.7621, y: 0.952, z: 0.0021, d65: 96.3342, red: 0.033663, green: 0.923803, blue: 0.042535 },
  { nm: 580, x: 0.9163, y: 0.87, z: 0.00165, d65: 95.788, red: 0.218998, green: 0.731762, blue: 0.04924 },
  { nm: 590, x: 1.0263, y: 0.757, z: 0.0011, d65: 88.6856, red: 0.475562, green: 0.489331, blue: 0.035107 },
  { nm: 600, x: 1.0622, y: 0.631, z: 0.0008, d65: 90.0062, red: 0.725279, green: 0.259228, blue: 0.015493 },
  { nm: 610, x: 1.0026, y: 0.503, z: 0.00034, d65: 89.5991, red: 0.910366, green: 0.088042, blue: 0.001591 },
  { nm: 620, x: 0.85445, y: 0.381, z: 0.00019, d65: 87.6987, red: 1, green: 0, blue: 0 },
  { nm: 630, x: 0.6424, y: 0.265, z: 0.00005, d65: 83.2886, red: 1, green: 0, blue: 0 },
  { nm: 640, x: 0.4479, y: 0.175, z: 0.00002, d65: 83.6992, red: 1, green: 0, blue: 0 },
  { nm: 650, x: 0.2835, y: 0.107, z: 0, d65: 80.0268, red: 1, green: 0, blue: 0 },
  { nm: 660, x: 0.1649, y: 0.061, z: 0, d65: 80.2146, red: 1, green: 0, blue: 0 },
  { nm: 670, x: 0.0874, y: 0.032, z: 0, d65: 82.2778, red: 1, green: 0, blue: 0 },
  { nm: 680, x: 0.04677, y: 0.017, z: 0, d65: 78.2842, red: 1, green: 0, blue: 0 },
  { nm: 690, x: 0.0227, y: 0.00821, z: 0, d65: 69.7213, red: 1, green: 0, blue: 0 },
  { nm: 700, x: 0.01136, y: 0.0041, z: 0, d65: 71.6091, red: 1, green: 0, blue: 0 },
  { nm: 710, x: 0.0058, y: 0.0021, z: 0, d65: 74.349, red: 1, green: 0, blue: 0 },
  { nm: 720, x: 0.0029, y: 0.00105, z: 0, d65: 61.604, red: 1, green: 0, blue: 0 },
  { nm: 730, x: 0.00144, y: 0.00052, z: 0, d65: 69.8856, red: 1, green: 0, blue: 0 },
];
export const BANDS = sourced(
  ROWS,
  derived(
    'CIE 1931 2° observer, illuminant D65, and the smoothest reflectances of the sRGB primaries after Mallett and Yuksel (2019)',
  ),
);
