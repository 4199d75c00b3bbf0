import {
  boundingBox,
  contains,
  distanceToBoundary,
  homographyFrom,
  type Point,
  type Polygon,
} from '../src/core/geometry';
import { warp, type Raster } from '../src/core/picture';
import { seededRandom } from '../src/core/check';
import type { Rgb } from './figure';

/** Paints every pixel of an outline (mm) on a face raster. */
export function paint(
  face: Raster,
  mmPerPixel: number,
  outline: Polygon,
  colour: (at: Point, before: Rgb, rimMm: number) => Rgb,
): void {
  const box = boundingBox(outline);
  const clamp = (v: number, most: number): number => Math.min(most, Math.max(0, Math.round(v / mmPerPixel)));
  for (let y = clamp(box.top, face.height); y < clamp(box.bottom, face.height); y++) {
    for (let x = clamp(box.left, face.width); x < clamp(box.right, face.width); x++) {
      const at: Point = [(x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel];
      if (!contains(outline, at)) continue;
      const o = (y * face.width + x) * 4;
      const before: Rgb = [face.data[o] ?? 0, face.data[o + 1] ?? 0, face.data[o + 2] ?? 0];
      face.data.set(colour(at, before, distanceToBoundary(at, outline)), o);
    }
  }
}

export const scaled = (c: Rgb, k: number): Rgb => [c[0] * k, c[1] * k, c[2] * k];

/** A lifted edge: the flap catches the light and throws a shadow along its root. */
export function paintLifted(face: Raster, mmPerPixel: number, outline: Polygon): void {
  paint(
    face,
    mmPerPixel,
    outline.map(([x, y]): Point => [x + 4, y + 5]),
    (_, c) => scaled(c, 0.6),
  );
  paint(face, mmPerPixel, outline, (_, c, rim) => scaled(c, rim < 1.6 ? 1.5 : 1.1));
}

/** A loss: pale core with its own grain, in the shade of the old edge. */
export function paintLoss(face: Raster, mmPerPixel: number, outline: Polygon): void {
  paint(face, mmPerPixel, outline, ([x, y], _, rim) =>
    scaled([205, 172, 120], (0.9 + 0.08 * Math.sin(y * 1.7 + x * 0.1)) * (rim < 1.4 ? 0.55 : 1)),
  );
}

/** A photo of a face: seen from an angle, on a bench, in raking light from the upper left. */
export async function photograph(
  face: Raster,
  corners: Point[],
  width: number,
  height: number,
  seed: number,
): Promise<Raster> {
  const random = seededRandom(seed);
  const toFace = homographyFrom(corners, [[0, 0], [face.width, 0], [face.width, face.height], [0, face.height]]); // prettier-ignore
  const seen = await warp(face, toFace, width, height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const o = (y * width + x) * 4;
      const rake = 1.16 - 0.42 * (x / width) - 0.2 * (y / height);
      const grit = 1 + (random() - 0.5) * 0.03;
      const bench = seen.data[o + 3] === 0;
      const board = bench && (x + Math.round(y * 0.2)) % 230 < 3 ? 0.6 : 1;
      for (let c = 0; c < 3; c++) {
        const value = bench ? ([116, 104, 90][c] ?? 0) : (seen.data[o + c] ?? 0);
        seen.data[o + c] = value * (bench ? 0.75 * board : 1) * rake * grit;
      }
      seen.data[o + 3] = 255;
    }
  }
  return seen;
}
