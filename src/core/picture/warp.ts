import { assertRange, breathe, type JobContext } from '../check';
import type { Homography } from '../geometry';

/** Pixels in rows from the top left, four bytes each: red, green, blue, opacity. */
export type Raster = { data: Uint8ClampedArray<ArrayBuffer>; width: number; height: number };

const ROWS_PER_BREATH = 64;

/**
 * Redraws a picture through a projective map, bilinear between pixels; what lies outside the source stays clear.
 *
 * @param source picture, RGBA
 * @param toSource map from the result's pixels to the source's pixels (centres at half pixels)
 * @param width, height size of the result, 1…8000 px
 */
export async function warp(
  source: Raster,
  toSource: Homography,
  width: number,
  height: number,
  job: JobContext = {},
): Promise<Raster> {
  assertRange('The width of the rectified picture', width, 'px', 1, 8000);
  assertRange('The height of the rectified picture', height, 'px', 1, 8000);
  const out = new Uint8ClampedArray(width * height * 4);
  const { data, width: sw, height: sh } = source;
  const [h0, h1, h2, h3, h4, h5, h6, h7, h8] = toSource;
  for (let y = 0; y < height; y++) {
    if (y % ROWS_PER_BREATH === 0) await breathe(job, y / height);
    const py = y + 0.5;
    let u = h0 * 0.5 + h1 * py + h2;
    let v = h3 * 0.5 + h4 * py + h5;
    let w = h6 * 0.5 + h7 * py + h8;
    let o = y * width * 4;
    for (let x = 0; x < width; x++, o += 4, u += h0, v += h3, w += h6) {
      const sx = u / w - 0.5;
      const sy = v / w - 0.5;
      if (!(sx > -0.5 && sy > -0.5 && sx < sw - 0.5 && sy < sh - 0.5)) continue;
      const fx = Math.floor(sx);
      const fy = Math.floor(sy);
      const ax = sx - fx;
      const ay = sy - fy;
      const x0 = fx < 0 ? 0 : fx;
      const y0 = fy < 0 ? 0 : fy;
      const x1 = fx + 1 >= sw ? sw - 1 : fx + 1;
      const y1 = fy + 1 >= sh ? sh - 1 : fy + 1;
      const a = (y0 * sw + x0) * 4;
      const b = (y0 * sw + x1) * 4;
      const c = (y1 * sw + x0) * 4;
      const d = (y1 * sw + x1) * 4;
      for (let k = 0; k < 4; k++) {
        const top = (data[a + k] ?? 0) * (1 - ax) + (data[b + k] ?? 0) * ax;
        const bottom = (data[c + k] ?? 0) * (1 - ax) + (data[d + k] ?? 0) * ax;
        out[o + k] = top * (1 - ay) + bottom * ay;
      }
    }
  }
  await breathe(job, 1);
  return { data: out, width, height };
}
