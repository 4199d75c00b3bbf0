import { imageSize } from 'image-size';

export type PictureFacts = { type: 'jpeg' | 'png'; widthPx: number; heightPx: number };

/** The most that is decoded: 50 megapixels take 200 MB of memory while they are scaled down. */
export const MOST_MEGAPIXELS = 50;
/** The longer side of a stored picture. Enough to see a 0.3 mm line on a 500 mm face. */
export const STORED_SIDE_PX = 1600;

const marker = (b: Uint8Array, i: number): number => ((b[i] ?? 0) << 8) | (b[i + 1] ?? 0);

/** Walks a JPEG's segments to the picture data, so that a preview's end mark inside them is not mistaken for its own. */
function jpegIsWhole(b: Uint8Array): boolean {
  let i = 2;
  while (i + 4 <= b.length) {
    const m = marker(b, i);
    if ((m & 0xff00) !== 0xff00) return false;
    if (m === 0xffda) {
      for (let k = b.length - 2; k > i; k--) if (marker(b, k) === 0xffd9) return true;
      return false;
    }
    i += 2 + marker(b, i + 2);
  }
  return false;
}

function pngIsWhole(b: Uint8Array): boolean {
  const view = new DataView(b.buffer, b.byteOffset, b.byteLength);
  let i = 8;
  while (i + 12 <= b.length) {
    const length = view.getUint32(i);
    if (view.getUint32(i + 4) === 0x49454e44) return true;
    i += 12 + length;
  }
  return false;
}

/**
 * Looks at a picture file before anything decodes it.
 *
 * @param bytes the whole file
 * @param name shown in messages
 * @throws RangeError for an empty file, anything but PNG or JPEG, a file that is cut off, more than 50 megapixels
 */
export function inspectPicture(bytes: Uint8Array, name: string): PictureFacts {
  if (bytes.length === 0) {
    throw new RangeError(`“${name}” is an empty file. Take the picture again, or pick another file.`);
  }
  const isJpeg = marker(bytes, 0) === 0xffd8;
  const isPng = marker(bytes, 0) === 0x8950 && marker(bytes, 2) === 0x4e47;
  if (!isJpeg && !isPng) {
    throw new RangeError(`“${name}” is not a PNG or JPEG picture. Pick a photo in one of these two forms.`);
  }
  let size: { width: number; height: number };
  try {
    size = imageSize(bytes);
  } catch {
    throw new RangeError(`“${name}” is damaged: its size cannot be read. Take or copy the picture again.`);
  }
  if (!(size.width > 0 && size.height > 0)) {
    throw new RangeError(`“${name}” is damaged: it says it has no size. Take or copy the picture again.`);
  }
  const megapixels = (size.width * size.height) / 1e6;
  if (megapixels > MOST_MEGAPIXELS) {
    throw new RangeError(
      `“${name}” has ${Math.round(megapixels)} megapixels; up to ${MOST_MEGAPIXELS} can be opened safely. Take it at a lower setting; 12 megapixels are plenty.`,
    );
  }
  if (isJpeg ? !jpegIsWhole(bytes) : !pngIsWhole(bytes)) {
    throw new RangeError(`“${name}” is cut off: its end is missing. Copy or send the picture again.`);
  }
  return { type: isJpeg ? 'jpeg' : 'png', widthPx: size.width, heightPx: size.height };
}
