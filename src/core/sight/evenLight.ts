import { Matrix, solve } from 'ml-matrix';
import { containment, type Polygon } from '../geometry';
import type { Raster } from '../picture';
import { byteOf, LINEAR } from './calibrate';

const { exp, floor, log, max, min, sqrt } = Math;

/** So many points are enough for a curved plane. */
const MOST_POINTS = 40_000;

export type EvenLight = {
  picture: Raster;
  /** How much brighter the brightest place was than the darkest: 0.3 is 30 %. */
  uneven: number;
};

/**
 * Takes out light that changes slowly over wood that is even: a lamp at one side, a window. The logarithm of brightness is taken as a curved
 * plane of six numbers, fitted by least squares.
 *
 * @param within the wood that is said to be even, px
 * @throws RangeError for a place too small
 */
export function evenLight({ data, width, height }: Raster, within: Polygon): EvenLight {
  const inside = containment(within);
  const step = max(1, floor(sqrt((width * height) / MOST_POINTS)));
  const places: number[][] = [];
  const values: number[] = [];
  const terms = (x: number, y: number): number[] => {
    const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1];
    return [1, u, v, u * u, u * v, v * v];
  };
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const o = 4 * (y * width + x);
      if (!data[o + 3] || !inside(x + 0.5, y + 0.5)) continue;
      const light = 0.21 * (LINEAR[data[o] ?? 0] ?? 0) + 0.72 * (LINEAR[data[o + 1] ?? 0] ?? 0) + 0.07 * (LINEAR[data[o + 2] ?? 0] ?? 0); // prettier-ignore
      if (light <= 0.001) continue;
      places.push(terms(x, y));
      values.push(log(light));
    }
  if (values.length < 200) throw new RangeError('Too little wood is enclosed to tell how even the light is. Drag the corners apart.'); // prettier-ignore
  const all = new Matrix(places);
  const turned = all.transpose();
  const fit = solve(turned.mmul(all), turned.mmul(Matrix.columnVector(values))).to1DArray();
  const field = (x: number, y: number): number => terms(x, y).reduce((s, t, i) => s + t * (fit[i] ?? 0), 0);
  let [least, most, sum, count] = [Infinity, -Infinity, 0, 0];
  for (let y = 0; y < height; y += 4 * step)
    for (let x = 0; x < width; x += 4 * step)
      if (inside(x + 0.5, y + 0.5)) {
        const f = field(x, y);
        [least, most, sum, count] = [min(least, f), max(most, f), sum + f, count + 1];
      }
  const mean = sum / max(1, count);
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const o = 4 * (y * width + x);
      // Beyond the wood the curved plane is not known: it is held at what it was at its brightest and darkest.
      const gain = exp(mean - min(most, max(least, field(x, y))));
      for (let c = 0; c < 3; c++) out[o + c] = byteOf(gain * (LINEAR[data[o + c] ?? 0] ?? 0));
      out[o + 3] = data[o + 3] ?? 255;
    }
  return { picture: { data: out, width, height }, uneven: exp(most - least) - 1 };
}

/** What was found of the light, in words. */
export const evenLightWords = (uneven: number): string =>
  `The light was ${Math.round(100 * uneven)} % brighter at one place than at another; that is taken out.`;
