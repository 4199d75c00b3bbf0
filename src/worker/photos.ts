// Photos in the worker: decoded, redrawn to scale, made smaller.
import type { JobContext } from '@/core/check';
import type { FaceView } from '@/core/job';
import { inspectPicture, STORED_SIDE_PX, warp, type Raster } from '@/core/picture';
import { base64Of, bytesOf } from '@/records/backup/bytes';
import { browserStore } from '@/records/browserStore';
import { THIN_SIDE_PX } from '@/records/room';
import type { Picture } from '@/records/types';

export type StoredPicture = { jpeg: string; widthPx: number; heightPx: number };

/** Photos as the worker has them. */
export type Darkroom = {
  redraw: (view: FaceView, job?: JobContext) => Promise<Raster>;
  photo: (pictureId: string) => Promise<Raster>;
  jpegOf: (raster: Raster, quality: number) => Promise<Blob>;
  decode: (blob: Blob) => Promise<Raster>;
  prepared: (file: Blob, name: string) => Promise<StoredPicture>;
  storedFrom: (raster: Raster) => Promise<StoredPicture>;
};

export const JPEG_QUALITY = 0.86;

function context(
  width: number,
  height: number,
): { canvas: OffscreenCanvas; ctx: OffscreenCanvasRenderingContext2D } {
  const canvas = new OffscreenCanvas(width, height);
  const ctx = canvas.getContext('2d', { willReadFrequently: true });
  if (!ctx) throw new Error('This browser gives no drawing surface to a worker.');
  return { canvas, ctx };
}

export async function decode(blob: Blob): Promise<Raster> {
  const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' });
  const { ctx } = context(bitmap.width, bitmap.height);
  ctx.drawImage(bitmap, 0, 0);
  const { width, height } = bitmap;
  bitmap.close();
  return { data: ctx.getImageData(0, 0, width, height).data, width, height };
}

/** Photos decoded lately, by name: a page asks for the same one several times. Each takes some megabytes. */
const decoded = new Map<string, Promise<Raster>>();
const MOST_DECODED = 3;

async function load(pictureId: string): Promise<Raster> {
  const picture = await browserStore.get('picture', pictureId);
  if (!picture)
    throw new RangeError('The photo is not in the store any more. Take it again on the page of its face.');
  return decode(new Blob([bytesOf(picture.body.jpeg)], { type: 'image/jpeg' }));
}

export function photo(pictureId: string): Promise<Raster> {
  const known = decoded.get(pictureId) ?? load(pictureId);
  // Taken out and put in again, so that the least used is the first.
  decoded.delete(pictureId);
  decoded.set(pictureId, known);
  known.catch(() => decoded.delete(pictureId));
  const [oldest] = decoded.keys();
  if (decoded.size > MOST_DECODED && oldest !== undefined) decoded.delete(oldest);
  return known;
}

export const redraw = async (view: FaceView, job: JobContext = {}): Promise<Raster> =>
  warp(await photo(view.pictureId), view.toSource, view.widthPx, view.heightPx, job);

export async function jpegOf(raster: Raster, quality: number): Promise<Blob> {
  const { canvas, ctx } = context(raster.width, raster.height);
  ctx.putImageData(new ImageData(raster.data, raster.width, raster.height), 0, 0);
  return canvas.convertToBlob({ type: 'image/jpeg', quality });
}

/** A photo at the size at which it still reminds. */
export async function shrink(picture: Picture): Promise<Picture> {
  const bitmap = await createImageBitmap(new Blob([bytesOf(picture.jpeg)], { type: 'image/jpeg' }));
  const scale = Math.min(1, THIN_SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [bitmap.width, bitmap.height].map((px) => Math.max(1, Math.round(px * scale)));
  if (!widthPx || !heightPx) return picture;
  const { canvas, ctx } = context(widthPx, heightPx);
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return { ...picture, widthPx, heightPx, jpeg: base64Of(new Uint8Array(await blob.arrayBuffer())) };
}

/** A picture of ours as it is kept. */
export async function storedFrom(raster: Raster): Promise<StoredPicture> {
  const jpeg = await (await jpegOf(raster, KEPT_QUALITY)).arrayBuffer();
  return { jpeg: base64Of(new Uint8Array(jpeg)), widthPx: raster.width, heightPx: raster.height };
}
/** A photo that is written a second time loses little at this. */
const KEPT_QUALITY = 0.93;

/** Checks a picture file, turns it upright by its EXIF orientation, scales it down and gives it back as JPEG. */
export async function prepared(file: Blob, name: string): Promise<StoredPicture> {
  const { type } = inspectPicture(new Uint8Array(await file.arrayBuffer()), name);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new RangeError(
      `“${name}” says it is a ${type.toUpperCase()} picture, but it cannot be opened. Take or copy it again.`,
    );
  }
  const scale = Math.min(1, STORED_SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const widthPx = Math.max(1, Math.round(bitmap.width * scale));
  const heightPx = Math.max(1, Math.round(bitmap.height * scale));
  const { canvas, ctx } = context(widthPx, heightPx);
  ctx.fillStyle = '#fff';
  ctx.fillRect(0, 0, widthPx, heightPx);
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return { jpeg: base64Of(new Uint8Array(await blob.arrayBuffer())), widthPx, heightPx };
}
