import * as Comlink from 'comlink';
import type { JobContext } from '@/core/check';
import { labFromRgb, tonesAround, tonesOfSwatch, type Tones } from '@/core/colour';
import { compute } from '@/core/computations';
import type { Homography, Polygon } from '@/core/geometry';
import { quietSlit, type QuietSlit } from '@/core/glueup';
import { inspectPicture, STORED_SIDE_PX, warp, type Raster } from '@/core/picture';

export type StoredPicture = { jpeg: string; widthPx: number; heightPx: number };
export type Progress = (fraction: number) => void;

/** A face to be redrawn to scale: its picture, the map from the result's pixels to the picture's, and the result's size. */
export type FaceView = {
  jpeg: string;
  toSource: Homography;
  widthPx: number;
  heightPx: number;
  mmPerPixel: number;
};

/** Errors cross to the page as plain data: structured cloning would turn a RangeError into something else on the way. */
export type Outcome<T> = { value: T } | { error: string; kind: 'input' | 'aborted' | 'other' };

const JPEG_QUALITY = 0.86;
const running = new Map<number, AbortController>();

/** Lets messages in (such as a cancel) between portions of work; timers would be slowed down by the browser. */
const pause = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(0);
  });

async function job<T>(
  id: number,
  onProgress: Progress | undefined,
  work: (context: JobContext) => Promise<T>,
): Promise<Outcome<T>> {
  const controller = new AbortController();
  running.set(id, controller);
  try {
    return { value: await work({ signal: controller.signal, progress: (f) => void onProgress?.(f), pause }) };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    const kind = controller.signal.aborted ? 'aborted' : error instanceof RangeError ? 'input' : 'other';
    return { error: message, kind };
  } finally {
    running.delete(id);
  }
}

function bytesOf(base64: string): Uint8Array<ArrayBuffer> {
  const binary = atob(base64);
  const bytes = new Uint8Array(binary.length);
  for (let i = 0; i < binary.length; i++) bytes[i] = binary.charCodeAt(i);
  return bytes;
}

function base64Of(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 32_768)
    parts.push(String.fromCharCode(...bytes.subarray(i, i + 32_768)));
  return btoa(parts.join(''));
}

function context(
  width: number,
  height: number,
): { canvas: OffscreenCanvas; ctx: OffscreenCanvasRenderingContext2D } {
  const canvas = new OffscreenCanvas(width, height);
  const ctx = canvas.getContext('2d', { willReadFrequently: true });
  if (!ctx) throw new Error('This browser gives no drawing surface to a worker.');
  return { canvas, ctx };
}

async function decode(blob: Blob): Promise<Raster> {
  const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' });
  const { ctx } = context(bitmap.width, bitmap.height);
  ctx.drawImage(bitmap, 0, 0);
  const { width, height } = bitmap;
  bitmap.close();
  return { data: ctx.getImageData(0, 0, width, height).data, width, height };
}

const decodeJpeg = (base64: string): Promise<Raster> =>
  decode(new Blob([bytesOf(base64)], { type: 'image/jpeg' }));

const redraw = async (view: FaceView, job: JobContext): Promise<Raster> =>
  warp(await decodeJpeg(view.jpeg), view.toSource, view.widthPx, view.heightPx, job);

const api = {
  cancel(id: number): void {
    running.get(id)?.abort();
  },

  compute(id: number, name: string, input: unknown, onProgress?: Progress): Promise<Outcome<unknown>> {
    return job(id, onProgress, (context) => compute(name, input, context));
  },

  /** Checks a picture file, turns it upright by its EXIF orientation, scales it down and gives it back as JPEG. */
  storePicture(id: number, file: Blob, name: string): Promise<Outcome<StoredPicture>> {
    return job(id, undefined, async () => {
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
    });
  },

  /** The face as seen square on, to scale. */
  rectify(id: number, view: FaceView, onProgress?: Progress): Promise<Outcome<Blob>> {
    return job(id, onProgress, async (job) => {
      const raster = await redraw(view, job);
      const { canvas, ctx } = context(raster.width, raster.height);
      ctx.putImageData(new ImageData(raster.data, raster.width, raster.height), 0, 0);
      return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    });
  },

  tonesAround(
    id: number,
    view: FaceView,
    damage: Polygon,
    others: Polygon[],
    face: Polygon,
  ): Promise<Outcome<Tones>> {
    return job(id, undefined, async (job) =>
      tonesAround(await redraw(view, job), view.mmPerPixel, damage, others, face),
    );
  },

  /** @param loose outline of the blister in the view's own frame, mm */
  quietSlit(id: number, view: FaceView, loose: Polygon, grainDeg: number): Promise<Outcome<QuietSlit>> {
    return job(id, undefined, async (job) =>
      quietSlit(
        {
          picture: await redraw(view, job),
          mmPerPixel: view.mmPerPixel,
          lightness: (r, g, b) => labFromRgb(r, g, b)[0],
        },
        loose,
        grainDeg,
      ),
    );
  },

  swatchTones(id: number, jpeg: string): Promise<Outcome<Tones>> {
    return job(id, undefined, async () => tonesOfSwatch(await decodeJpeg(jpeg)));
  },
};

export type ShopWorker = typeof api;
Comlink.expose(api);
