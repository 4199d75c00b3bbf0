import { readFileSync } from 'node:fs';
import path from 'node:path';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import type { Raster } from '../core/picture';

const PICTURES = path.join(__dirname, '../../demo/pictures');

/** Photos of wood in the public domain, 512 × 512 pixels: see the notice beside them. */
export const REAL_WOOD = ['green-pine-cladding.jpg', 'knotty-planks.png', 'worn-floor.png'] as const;

export function woodPhoto(name: string): Raster {
  const bytes = readFileSync(path.join(PICTURES, name));
  const { width, height, data } = name.endsWith('.png') ? PNG.sync.read(bytes) : jpeg.decode(bytes);
  return { width, height, data: Uint8ClampedArray.from(data) };
}
