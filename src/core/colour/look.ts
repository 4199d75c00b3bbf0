import { boundingBox, contains, distanceToBoundary, type Polygon } from '../geometry';
import type { Raster } from '../picture';
import { memory, published, sourced } from '../sources';
import { byteOfLinear, linearOfByte, type Linear } from './lab';

/** What an eye just tells apart. Minutes of arc. */
export const EYE_ARC_MINUTES = sourced(
  1,
  published('ISO 8596: Ophthalmic optics, visual acuity testing', 'acuity 1.0: a gap of one minute of arc'),
);

/** From where a repair is looked at. mm */
export const VIEWS = {
  close: { label: 'Close', fromMm: sourced(300, memory('nose on the table')) },
  armsLength: { label: 'At arm’s length', fromMm: sourced(600, memory('as it is worked on')) },
  standing: { label: 'Standing', fromMm: sourced(1600, memory('standing before it')) },
} as const;
export type ViewFrom = keyof typeof VIEWS;

/** What runs together into one for an eye at a distance. @returns mm */
export const resolvedMm = (distanceMm: number): number =>
  2 * distanceMm * Math.tan(((EYE_ARC_MINUTES.value / 60) * Math.PI) / 360);

/** A line blurred by a running mean of odd width; beyond its ends it goes on as it ends. */
function meanAlong(from: Float32Array, to: Float32Array, reach: number): void {
  const last = from.length - 1;
  const share = 1 / (2 * reach + 1);
  const first = from[0] ?? 0;
  const end = from[last] ?? 0;
  let sum = (reach + 1) * first;
  for (let i = 1; i <= reach; i++) sum += i <= last ? (from[i] ?? 0) : end;
  for (let i = 0; i <= last; i++) {
    to[i] = sum * share;
    sum += i + reach < last ? (from[i + reach + 1] ?? 0) : end;
    sum -= i >= reach ? (from[i - reach] ?? 0) : first;
  }
}

/** Three running means are a bell. */
const ROUNDS = 3;

/** Every line of a plane blurred, each taken out, blurred, and put back: what lies apart in memory is fetched once. */
function blurLines(
  plane: Float32Array,
  lines: number,
  between: number,
  points: number,
  apart: number,
  reach: number,
): void {
  let [now, next] = [new Float32Array(points), new Float32Array(points)];
  for (let line = 0; line < lines; line++) {
    const start = line * between;
    for (let i = 0; i < points; i++) now[i] = plane[start + i * apart] ?? 0;
    for (let round = 0; round < ROUNDS; round++) {
      meanAlong(now, next, reach);
      [now, next] = [next, now];
    }
    for (let i = 0; i < points; i++) plane[start + i * apart] = now[i] ?? 0;
  }
}

/** Full width at half of its height, in standard deviations of a bell. */
const HALF_WIDTH_SD = 2 * Math.sqrt(2 * Math.log(2));
const LIGHT_OF = Float32Array.from({ length: 256 }, (_, byte) => linearOfByte(byte));
/** Bytes by light, in steps finer than a byte. */
const STEPS = 8192;
const BYTE_OF = Float32Array.from({ length: STEPS + 1 }, (_, k) => byteOfLinear(k / STEPS));

const byteFor = (light: number): number => BYTE_OF[Math.round(STEPS * Math.min(1, Math.max(0, light)))] ?? 0;

/** The colour runs over into the old wood by this much. mm */
const SEAM_MM = 0.6;

/** How much of a place's new colour each point of a picture has, 0…1, row by row; its origin at the outline's 0, 0. */
export function coverOf(width: number, height: number, mmPerPixel: number, outline: Polygon): Float32Array {
  const cover = new Float32Array(width * height);
  const box = boundingBox(outline);
  const [left, right] = [box.left, box.right].map((v) => Math.min(width - 1, Math.max(0, Math.floor(v / mmPerPixel)))); // prettier-ignore
  const [top, bottom] = [box.top, box.bottom].map((v) => Math.min(height - 1, Math.max(0, Math.floor(v / mmPerPixel)))); // prettier-ignore
  for (let y = top ?? 0; y <= (bottom ?? -1); y++)
    for (let x = left ?? 0; x <= (right ?? -1); x++) {
      const p = [(x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel] as const;
      if (contains(outline, p)) cover[y * width + x] = Math.min(1, distanceToBoundary(p, outline) / SEAM_MM);
    }
  return cover;
}

/** What becomes of a spot that gives back so many times the place's mean light: linear light in red, green and blue. */
export type ToneRow = { share: number; light: Linear };

/** Out of the rows, straight from one to the next and beyond the ends. @param rows by share, two at least */
function lightAfter(rows: readonly ToneRow[], share: number, channel: 0 | 1 | 2): number {
  const above = rows.findIndex((r) => r.share >= share);
  const k = above < 0 ? rows.length - 1 : Math.max(1, above);
  const [from, to] = [rows[k - 1], rows[k]];
  if (!from || !to) return 0;
  const part = (share - from.share) / (to.share - from.share);
  return from.light[channel] + part * (to.light[channel] - from.light[channel]);
}

/**
 * A picture with a place in another colour. Lines and ground each become what the coats make of them: a filter keeps the figure, what hides
 * flattens it.
 *
 * @param cover of the place, from `coverOf`
 * @param rows what the coats make of darker and lighter spots; one that is nought gives nought, so a filter is two rows
 * @throws RangeError for fewer than two rows
 */
export function recolouredPlace(picture: Raster, cover: Float32Array, rows: readonly ToneRow[]): Raster {
  if (rows.length < 2) throw new RangeError('A place is recoloured by two tones at least.');
  const { width, height } = picture;
  const data = picture.data.slice();
  for (const c of [0, 1, 2] as const) {
    let [light, weight] = [0, 0];
    for (let i = 0; i < width * height; i++) {
      const share = cover[i] ?? 0;
      if (share === 0) continue;
      light += share * (LIGHT_OF[picture.data[4 * i + c] ?? 0] ?? 0);
      weight += share;
    }
    if (light <= 0) continue;
    const mean = light / weight;
    const after = LIGHT_OF.map((own) => lightAfter(rows, own / mean, c));
    for (let i = 0; i < width * height; i++) {
      const share = cover[i] ?? 0;
      if (share === 0) continue;
      const byte = picture.data[4 * i + c] ?? 0;
      const own = LIGHT_OF[byte] ?? 0;
      data[4 * i + c] = byteFor(own + share * ((after[byte] ?? 0) - own));
    }
  }
  return { data, width, height };
}

/**
 * A picture as an eye sees it that tells nothing finer apart than `mm`: light runs together (in linear light) with a bell as wide at half its
 * height. What is finer than a pixel is left as it is.
 */
export function seenFrom(picture: Raster, mmPerPixel: number, mm: number): Raster {
  const { width, height } = picture;
  const sd = mm / mmPerPixel / HALF_WIDTH_SD;
  // Of three running means of this width the variances add up.
  const reach = Math.round((Math.sqrt((12 * sd * sd) / ROUNDS + 1) - 1) / 2);
  if (reach < 1) return picture;
  const data = picture.data.slice();
  const plane = new Float32Array(width * height);
  for (let c = 0; c < 3; c++) {
    for (let i = 0; i < plane.length; i++) plane[i] = LIGHT_OF[picture.data[4 * i + c] ?? 0] ?? 0;
    blurLines(plane, height, width, width, 1, reach);
    blurLines(plane, width, 1, height, width, reach);
    for (let i = 0; i < plane.length; i++) data[4 * i + c] = byteFor(plane[i] ?? 0);
  }
  return { data, width, height };
}
