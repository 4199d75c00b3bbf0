import { containment, type Polygon } from '../geometry';
import { brightAt, type Raster } from '../picture';
import { memory, published, sourced } from '../sources';

const { atan2, hypot, max, min } = Math;

export const GRAIN_SOURCE = published(
  'Bigün and Granlund (1987), structure tensor',
  'way and coherence of lines from the products of the slopes of brightness',
);
const LEAST_SIDE_PX = 24;

/** Brightness of a picture, and which of its pixels are wood. @throws RangeError for a picture that is too small */
export function woodIn(
  { data, width, height }: Raster,
  mmPerPixel: number,
  within: Polygon | undefined,
): { bright: Float32Array; wood: Uint8Array; count: number } {
  if (min(width, height) < LEAST_SIDE_PX)
    throw new RangeError(`The picture is only ${width} × ${height} pixels; ${LEAST_SIDE_PX} each way are needed to read its grain. Take a closer one.`); // prettier-ignore
  const inside = within ? containment(within) : undefined;
  const wood = new Uint8Array(width * height);
  const bright = new Float32Array(width * height);
  let count = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const o = y * width + x;
      bright[o] = brightAt(data, 4 * o);
      if (data[4 * o + 3] && (!inside || inside((x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel))) {
        wood[o] = 1;
        count++;
      }
    }
  return { bright, wood, count };
}

/** Slopes by five points a side, so that fine stripes on a slant are not bent towards the pixels. */
export function grainIn(
  bright: Float32Array,
  wood: Uint8Array,
  width: number,
  height: number,
  part = { left: 0, top: 0, right: width, bottom: height },
): { grainDeg: number; coherence: number } {
  let xx = 0;
  let xy = 0;
  let yy = 0;
  for (let y = max(2, part.top); y < min(height - 2, part.bottom); y++)
    for (let x = max(2, part.left); x < min(width - 2, part.right); x++) {
      const o = y * width + x;
      if (!wood[o] || !wood[o - 2] || !wood[o + 2] || !wood[o - 2 * width] || !wood[o + 2 * width]) continue;
      const dx = ((bright[o - 2] ?? 0) - 8 * (bright[o - 1] ?? 0) + 8 * (bright[o + 1] ?? 0) - (bright[o + 2] ?? 0)) / 12; // prettier-ignore
      const dy = ((bright[o - 2 * width] ?? 0) - 8 * (bright[o - width] ?? 0) + 8 * (bright[o + width] ?? 0) - (bright[o + 2 * width] ?? 0)) / 12; // prettier-ignore
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  const along = (0.5 * atan2(2 * xy, xx - yy) * 180) / Math.PI + 90;
  return {
    grainDeg: ((along % 180) + 180) % 180,
    coherence: xx + yy === 0 ? 0 : hypot(xx - yy, 2 * xy) / (xx + yy),
  };
}

export type GrainRead = { degrees: number; coherence: number };
/** Below this the grain is not said to run one way. */
export const SURE_GRAIN = sourced(0.2, memory('burr and flat figure lie below it'));

/**
 * The way of the grain in a part of a face, clockwise from level, and how surely.
 *
 * @throws RangeError for a picture that is too small
 */
export function readGrain(picture: Raster, mmPerPixel: number, within: Polygon): GrainRead {
  const { bright, wood } = woodIn(picture, mmPerPixel, within);
  const { grainDeg, coherence } = grainIn(bright, wood, picture.width, picture.height);
  return { degrees: grainDeg, coherence };
}

/** What was read of the grain, and how far to trust it. */
export const grainWords = ({ degrees, coherence }: GrainRead): string =>
  coherence < SURE_GRAIN.value
    ? `The figure runs many ways here; on the whole ${Math.round(degrees)}°. Look closely, and drag the arrow.`
    : `The grain runs at ${Math.round(degrees)}° from level. Look whether the arrow lies along it.`;
