import type { Raster } from './warp';

/** A picture larger than this is made smaller before it is searched. megapixels */
const MOST_SEARCHED = 16;

/** Bytes as they come from another room or door. */
const isList = (value: unknown): value is ArrayLike<number> =>
  Array.isArray(value) || (ArrayBuffer.isView(value) && !(value instanceof DataView));

/**
 * A picture as it comes in at a door, as one that can be worked with.
 *
 * @param what its name in a message
 * @throws RangeError for one that is too large, or has not four bytes a pixel
 */
export function asRaster(what: string, { width, height, data }: Raster): Raster {
  if (width * height > MOST_SEARCHED * 1e6)
    throw new RangeError(
      `${what} has ${((width * height) / 1e6).toFixed(0)} megapixels; at most ${MOST_SEARCHED} are searched. Make it smaller first; nothing is lost.`,
    );
  const given: unknown = data;
  const bytes = data instanceof Uint8ClampedArray ? data : isList(given) ? Uint8ClampedArray.from(given) : undefined; // prettier-ignore
  if (bytes?.length !== 4 * width * height)
    throw new RangeError(`${what} is no picture of ${width} × ${height} pixels with four bytes each.`);
  return { width, height, data: bytes };
}
