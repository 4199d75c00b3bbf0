// Photos as the worker has them, without a browser: from memory, decoded and written by packages.
import jpeg from 'jpeg-js';
import { inspectPicture, warp, type Raster } from '../core/picture';
import type { Darkroom } from '../worker/photos';

const rasterOf = (bytes: Uint8Array): Raster => {
  const { width, height, data } = jpeg.decode(bytes);
  return { width, height, data: Uint8ClampedArray.from(data) };
};
const written = ({ data, width, height }: Raster, quality: number): Buffer =>
  jpeg.encode({ data: Buffer.from(data), width, height }, Math.round(100 * quality)).data;

/** @param photoOf the stored photos by name; what is not there is refused as in the app */
export function darkroomOf(photoOf: (id: string) => Raster | undefined): Darkroom {
  const photo = async (id: string): Promise<Raster> => {
    const found = photoOf(id);
    if (!found) throw new RangeError('The photo is not in the store any more.');
    return found;
  };
  return {
    photo,
    redraw: async (view, job) =>
      warp(await photo(view.pictureId), view.toSource, view.widthPx, view.heightPx, job),
    jpegOf: async (raster, quality) => new Blob([Uint8Array.from(written(raster, quality))], { type: 'image/jpeg' }), // prettier-ignore
    decode: async (blob) => rasterOf(new Uint8Array(await blob.arrayBuffer())),
    prepared: async (file, name) => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      inspectPicture(bytes, name);
      const { width, height } = rasterOf(bytes);
      return { jpeg: Buffer.from(bytes).toString('base64'), widthPx: width, heightPx: height };
    },
    storedFrom: async (raster) => ({
      jpeg: written(raster, 0.93).toString('base64'),
      widthPx: raster.width,
      heightPx: raster.height,
    }),
  };
}

/** A stored JPEG as pixels. @param base64 of the file */
export const photoFrom = (base64: string): Raster => rasterOf(Buffer.from(base64, 'base64'));
