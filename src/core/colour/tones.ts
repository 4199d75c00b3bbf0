import {
  contains,
  distanceToBoundary,
  offsetOutline,
  boundingBox,
  type Point,
  type Polygon,
} from '../geometry';
import { brightAt, type Raster } from '../picture';
import { labFromRgb, type Lab } from './lab';
import { memory, sourced } from '../sources';

/**
 * What the eye takes from wood: the lightest ground, the whole, the dark figure lines, and how much the figure runs one way
 * (`coherence`, 0 for burr that runs all ways … 1 for straight grain).
 */
export type Tones = { ground: Lab; mean: Lab; line: Lab; coherence: number; pixels: number };

const LEAST_PIXELS = 150;
const MOST_PIXELS = 20_000;

const meanOf = (labs: readonly Lab[]): Lab => {
  const sum = labs.reduce<[number, number, number]>(
    (s, c) => [s[0] + c[0], s[1] + c[1], s[2] + c[2]],
    [0, 0, 0],
  );
  return [sum[0] / labs.length, sum[1] / labs.length, sum[2] / labs.length];
};

/**
 * The three tones of a set of wood pixels: means of the lightness bands 75–95 % (ground), 5–95 % (whole) and 5–25 %
 * (figure lines). The outermost 5 % are glints, dirt and holes.
 *
 * @throws RangeError with fewer than 150 pixels
 */
export function tonesOf(labs: readonly Lab[], coherence = 0): Tones {
  if (labs.length < LEAST_PIXELS) {
    throw new RangeError(
      `Only ${labs.length} picture points of sound wood could be read; ${LEAST_PIXELS} are needed for a colour. Take a closer picture, or leave more sound wood round the damage.`,
    );
  }
  const sorted = [...labs].sort((a, b) => a[0] - b[0]);
  const band = (from: number, to: number): Lab =>
    meanOf(sorted.slice(Math.floor(from * sorted.length), Math.max(1, Math.floor(to * sorted.length))));
  return {
    ground: band(0.75, 0.95),
    mean: band(0.05, 0.95),
    line: band(0.05, 0.25),
    coherence,
    pixels: labs.length,
  };
}

/** Sums of products of brightness slopes (the structure tensor). */
type Slopes = { xx: number; xy: number; yy: number };

/** Adds the slope of brightness at a pixel, taken over `reach` pixels to either side so that grain counts and noise does not. */
function addSlope(sum: Slopes, { data, width, height }: Raster, x: number, y: number, reach: number): void {
  if (x < reach || y < reach || x >= width - reach || y >= height - reach) return;
  const bright = (px: number, py: number): number => brightAt(data, (py * width + px) * 4);
  const dx = bright(x + reach, y) - bright(x - reach, y);
  const dy = bright(x, y + reach) - bright(x, y - reach);
  sum.xx += dx * dx;
  sum.xy += dx * dy;
  sum.yy += dy * dy;
}

const coherenceOf = ({ xx, xy, yy }: Slopes): number =>
  xx + yy === 0 ? 0 : Math.hypot(xx - yy, 2 * xy) / (xx + yy);

/** How far from the damage the colour is read: not its dirty rim, not the other end of the panel. mm. */
export const RING_MM_SOURCE = memory('a finger’s breadth of sound wood, clear of the dirty rim');
export const RING_MM = { inner: 3, outer: 22 };
/** Slopes of the figure are taken over this distance to either side. mm. */
const FIGURE_REACH_MM = 1;
/** The rim of a face is worn and dark; its colour is not read. mm. */
const RIM_MM = 3;

/**
 * Tones of the sound wood around a damage.
 *
 * @param picture the face to scale, RGBA, its origin at the face's 0, 0
 * @param mmPerPixel scale of that picture
 * @param damage outline in mm
 * @param others outlines of the face's other damages, in mm, left out
 * @param face outline of the face in mm
 */
export function tonesAround(
  picture: Raster,
  mmPerPixel: number,
  damage: Polygon,
  others: readonly Polygon[],
  face: Polygon,
): Tones {
  const [outer] = offsetOutline(damage, RING_MM.outer);
  if (!outer) throw new RangeError('The damage has no surroundings to read a colour from.');
  return tonesWhere(picture, mmPerPixel, outer, (p) => {
    if (contains(damage, p) || !contains(outer, p) || !contains(face, p)) return false;
    if (distanceToBoundary(p, damage) < RING_MM.inner || distanceToBoundary(p, face) < RIM_MM) return false;
    return !others.some((other) => contains(other, p) || distanceToBoundary(p, other) < RING_MM.inner);
  });
}

/** Between a place and what is round it lies a rim of both. mm. */
const SEAM_MM = 1;

/**
 * Tones of a place itself, its rim left out: what is toned in begins from them.
 *
 * @param place outline in mm
 * @param face outline of the face in mm
 * @throws RangeError when it is too small to be read
 */
export const tonesWithin = (picture: Raster, mmPerPixel: number, place: Polygon, face: Polygon): Tones =>
  tonesWhere(
    picture,
    mmPerPixel,
    place,
    (p) => contains(place, p) && contains(face, p) && distanceToBoundary(p, place) >= SEAM_MM,
  );

/** A picked place is read round the finger's tip. mm */
export const PICK_RADIUS_MM = sourced(4, memory('the tip of a finger'));

/**
 * Tones of sound wood at picked places, taken together.
 *
 * @param places middles of round spots on the face, mm
 * @param face outline of the face in mm
 * @throws RangeError when the spots show too little of the face
 */
export function tonesAtPlaces(
  picture: Raster,
  mmPerPixel: number,
  places: readonly Point[],
  face: Polygon,
): Tones {
  const radius = PICK_RADIUS_MM.value;
  const read = places.map(([x, y]) =>
    readWhere(
      picture,
      mmPerPixel,
      { left: x - radius, right: x + radius, top: y - radius, bottom: y + radius },
      (p) => Math.hypot(p[0] - x, p[1] - y) <= radius && contains(face, p),
    ),
  );
  const slopes = read.reduce<Slopes>(
    (sum, { slopes: { xx, xy, yy } }) => ({ xx: sum.xx + xx, xy: sum.xy + xy, yy: sum.yy + yy }),
    { xx: 0, xy: 0, yy: 0 },
  );
  return tonesOf(
    read.flatMap((r) => r.labs),
    coherenceOf(slopes),
  );
}

/** Tones of the picture points within the box of an outline that are taken. */
function tonesWhere(
  picture: Raster,
  mmPerPixel: number,
  within: Polygon,
  takes: (p: readonly [number, number]) => boolean,
): Tones {
  const { labs, slopes } = readWhere(picture, mmPerPixel, boundingBox(within), takes);
  return tonesOf(labs, coherenceOf(slopes));
}

/** The picture points of a box in mm that are taken, no more of them than a colour needs. */
function readWhere(
  picture: Raster,
  mmPerPixel: number,
  box: { left: number; right: number; top: number; bottom: number },
  takes: (p: readonly [number, number]) => boolean,
): { labs: Lab[]; slopes: Slopes } {
  const left = Math.max(0, Math.floor(box.left / mmPerPixel));
  const right = Math.min(picture.width - 1, Math.ceil(box.right / mmPerPixel));
  const top = Math.max(0, Math.floor(box.top / mmPerPixel));
  const bottom = Math.min(picture.height - 1, Math.ceil(box.bottom / mmPerPixel));
  const step = Math.max(1, Math.floor(Math.sqrt(((right - left) * (bottom - top)) / MOST_PIXELS)));
  const labs: Lab[] = [];
  const slopes: Slopes = { xx: 0, xy: 0, yy: 0 };
  const reach = Math.max(1, Math.round(FIGURE_REACH_MM / mmPerPixel));
  for (let y = top; y <= bottom; y += step) {
    for (let x = left; x <= right; x += step) {
      const o = (y * picture.width + x) * 4;
      if ((picture.data[o + 3] ?? 0) < 255 || !takes([(x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel]))
        continue;
      labs.push(labFromRgb(picture.data[o] ?? 0, picture.data[o + 1] ?? 0, picture.data[o + 2] ?? 0));
      addSlope(slopes, picture, x, y, reach);
    }
  }
  return { labs, slopes };
}

/** Tones of a swatch picture, its rim of a tenth left out. */
export function tonesOfSwatch(picture: Raster): Tones {
  const { width, height, data } = picture;
  const step = Math.max(1, Math.floor(Math.sqrt((width * height) / MOST_PIXELS)));
  const labs: Lab[] = [];
  const slopes: Slopes = { xx: 0, xy: 0, yy: 0 };
  const reach = Math.max(1, Math.round(Math.min(width, height) / 100));
  for (let y = Math.floor(height * 0.1); y < height * 0.9; y += step) {
    for (let x = Math.floor(width * 0.1); x < width * 0.9; x += step) {
      const o = (y * width + x) * 4;
      labs.push(labFromRgb(data[o] ?? 0, data[o + 1] ?? 0, data[o + 2] ?? 0));
      addSlope(slopes, picture, x, y, reach);
    }
  }
  return tonesOf(labs, coherenceOf(slopes));
}
