import { readFileSync, statSync } from 'node:fs';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';

const MOST_BYTES = 64 * 2 ** 20;
const MOST_MEGAPIXELS = 60;
const PNG_MAGIC = 0x89504e47;

type Raster = { width: number; height: number; data: Uint8ClampedArray };

function assertSize(file: string, width: number, height: number): void {
  if (width * height > MOST_MEGAPIXELS * 1e6)
    throw new RangeError(`${file} has ${Math.round((width * height) / 1e6)} megapixels; at most ${MOST_MEGAPIXELS} are read. Make it smaller first.`); // prettier-ignore
}

/** Pixels of a PNG or JPEG file. @throws RangeError for what is neither, and what is too large */
export function readImage(file: string): Raster {
  const { size } = statSync(file, { throwIfNoEntry: false }) ?? {};
  if (size === undefined) throw new RangeError(`There is no file ${file}.`);
  if (size > MOST_BYTES) throw new RangeError(`${file} is larger than ${MOST_BYTES / 2 ** 20} MB.`);
  const bytes = readFileSync(file);
  if (bytes.length > 24 && bytes.readUInt32BE(0) === PNG_MAGIC) {
    assertSize(file, bytes.readUInt32BE(16), bytes.readUInt32BE(20));
    const { width, height, data } = PNG.sync.read(bytes);
    return { width, height, data: Uint8ClampedArray.from(data) };
  }
  if (bytes.length > 2 && bytes.readUInt16BE(0) === 0xffd8) {
    const { width, height, data } = jpeg.decode(bytes, { maxResolutionInMP: MOST_MEGAPIXELS, maxMemoryUsageInMB: 1024 }); // prettier-ignore
    return { width, height, data: Uint8ClampedArray.from(data) };
  }
  throw new RangeError(`${file} is neither a PNG nor a JPEG picture.`);
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** An input in which every `image` that is given as `{file}` is the picture itself. */
export function withImages(input: unknown): unknown {
  if (Array.isArray(input)) return input.map(withImages);
  if (!isRecord(input)) return input;
  return Object.fromEntries(
    Object.entries(input).map(([key, value]) =>
      key === 'image' && isRecord(value) && typeof value.file === 'string'
        ? [key, readImage(value.file)]
        : [key, withImages(value)],
    ),
  );
}
