import { contours } from 'd3-contour';
import Joi from 'joi';
import simplify from 'simplify-js';
import { areaOf, type Point } from '../geometry';
import { asRaster, planesOf, shrinkAll, type Planes, type Raster } from '../picture';
import { derived } from '../sources';
import { edgesOf, smooth } from './edges';
import { imageSchema } from './image';

const { abs, floor, hypot, max, min, round, sqrt } = Math;

export type RegionInput = {
  image: Raster;
  /** Where the finger tapped, in shares of the picture. */
  at: Point;
};
export type RegionFound = {
  /** Corners in shares of the picture, clockwise or not; none where nothing stands out. */
  outline: Point[];
  /** How much its colour changes across its edge, grey levels a pixel. */
  edge: number;
};

export const REGION_SOURCE = derived(
  'what is joined to the tapped place without a greater change of colour, up to the limit at which its edge is sharpest and its size stands still',
);

/** The picture is looked at with so many pixels along its longer side. */
const SIDE_PX = 520;
/** The tapped colour is the mean within so many pixels. */
const SEED_PX = 3;
/** Differences of colour are counted in steps of so many grey levels. */
const STEP = 2.5;
const LEVELS = 72;
/** Sizes that a damage may have, in pixels and as a share of the picture. */
const LEAST_PX = 30;
const MOST_SHARE = 0.45;
/** No more corners than a finger wants to correct. */
const MOST_CORNERS = 28;
/** An edge weaker than this is none, grey levels a pixel. */
const LEAST_EDGE = 2;

/** Input of `photo.region`; at the shell door the image is `{file}`. */
export const regionSchema = Joi.object({
  image: imageSchema.required(),
  at: Joi.array().items(Joi.number().min(0).max(1).required()).length(2).required(),
});

/** How far each pixel's colour lies from that of the tapped place, in steps. */
function stepsFrom(planes: Planes, x: number, y: number): Uint8Array {
  const { width, height } = planes.bright;
  const seed = planes.channels.map(({ data }) => {
    let sum = 0;
    let count = 0;
    for (let v = max(0, y - SEED_PX); v <= min(height - 1, y + SEED_PX); v++)
      for (let u = max(0, x - SEED_PX); u <= min(width - 1, x + SEED_PX); u++) {
        sum += data[v * width + u] ?? 0;
        count++;
      }
    return sum / count;
  });
  const out = new Uint8Array(width * height);
  const [r, g, b] = planes.channels;
  for (let o = 0; o < out.length; o++) {
    const far = hypot(
      (r.data[o] ?? 0) - (seed[0] ?? 0),
      (g.data[o] ?? 0) - (seed[1] ?? 0),
      (b.data[o] ?? 0) - (seed[2] ?? 0),
    );
    out[o] = min(LEVELS - 1, floor(far / STEP));
  }
  return out;
}

/** The least limit at which each pixel is joined to the start: a flood that rises step by step. */
function flooded(steps: Uint8Array, width: number, height: number, start: number): Uint8Array {
  const reached = new Uint8Array(steps.length).fill(LEVELS);
  const buckets = Array.from({ length: LEVELS }, (): number[] => []);
  reached[start] = steps[start] ?? 0;
  buckets[reached[start] ?? 0]?.push(start);
  for (let level = 0; level < LEVELS; level++) {
    const bucket = buckets[level] ?? [];
    for (let k = 0; k < bucket.length; k++) {
      const o = bucket[k] ?? 0;
      const x = o % width;
      for (let side = 0; side < 4; side++) {
        if ((side === 0 && x === 0) || (side === 1 && x === width - 1)) continue;
        const n = side === 0 ? o - 1 : side === 1 ? o + 1 : side === 2 ? o - width : o + width;
        if (n < 0 || n >= width * height || (reached[n] ?? 0) < LEVELS) continue;
        const at = max(level, steps[n] ?? 0);
        reached[n] = at;
        buckets[at]?.push(n);
      }
    }
  }
  return reached;
}

/** The limit at which the edge is sharpest and the size stands still; -1 where there is none. */
function limitOf(
  reached: Uint8Array,
  slope: Float32Array,
  width: number,
  height: number,
): { limit: number; edge: number } {
  const area = new Float64Array(LEVELS + 1);
  const edge = new Float64Array(LEVELS + 2);
  const rim = new Float64Array(LEVELS + 2);
  const border = new Float64Array(LEVELS + 2);
  for (let o = 0; o < reached.length; o++) {
    const own = reached[o] ?? LEVELS;
    area[own] = (area[own] ?? 0) + 1;
    const x = o % width;
    const y = (o / width) | 0;
    if (x === 0 || y === 0 || x === width - 1 || y === height - 1) border[own] = (border[own] ?? 0) + 1;
    for (let side = 0; side < 2; side++) {
      if (side === 0 ? x === width - 1 : y === height - 1) continue;
      const n = side === 0 ? o + 1 : o + width;
      const other = reached[n] ?? LEVELS;
      const low = own < other ? own : other;
      const high = own < other ? other : own;
      if (low === high) continue;
      // The pair is rim for every limit from the lower on, up to the higher.
      const g = max(slope[o] ?? 0, slope[n] ?? 0);
      edge[low] = (edge[low] ?? 0) + g;
      edge[high] = (edge[high] ?? 0) - g;
      rim[low] = (rim[low] ?? 0) + 1;
      rim[high] = (rim[high] ?? 0) - 1;
    }
  }
  for (let l = 1; l <= LEVELS; l++) {
    area[l] = (area[l] ?? 0) + (area[l - 1] ?? 0);
    edge[l] = (edge[l] ?? 0) + (edge[l - 1] ?? 0);
    rim[l] = (rim[l] ?? 0) + (rim[l - 1] ?? 0);
    border[l] = (border[l] ?? 0) + (border[l - 1] ?? 0);
  }
  let best = { limit: -1, edge: 0, score: 0 };
  for (let l = 0; l < LEVELS; l++) {
    const size = area[l] ?? 0;
    if (size < LEAST_PX || size > MOST_SHARE * reached.length) continue;
    if ((border[l] ?? 0) > 0.3 * (rim[l] ?? 0)) continue;
    const sharp = (edge[l] ?? 0) / max(1, rim[l] ?? 0);
    const grows = ((area[min(LEVELS - 1, l + 3)] ?? 0) - (area[max(0, l - 3)] ?? 0)) / size;
    // A rim much longer than a disc's of that size is a leak along the grain.
    const ragged = (rim[l] ?? 0) / sqrt(4 * Math.PI * size);
    const score = sharp / (1 + grows) / sqrt(max(1, ragged));
    if (score > best.score) best = { limit: l, edge: sharp, score };
  }
  return best;
}

/** Fills holes, and lets go of threads: what is not reached from the picture's rim is inside, then the majority of neighbours decides. */
function solid(inside: Uint8Array, width: number, height: number): Uint8Array {
  const outside = new Uint8Array(inside.length);
  const stack: number[] = [];
  const visit = (o: number): void => {
    if (outside[o] || inside[o]) return;
    outside[o] = 1;
    stack.push(o);
  };
  for (let x = 0; x < width; x++) {
    visit(x);
    visit((height - 1) * width + x);
  }
  for (let y = 0; y < height; y++) {
    visit(y * width);
    visit(y * width + width - 1);
  }
  for (let o = stack.pop(); o !== undefined; o = stack.pop()) {
    const x = o % width;
    if (x > 0) visit(o - 1);
    if (x < width - 1) visit(o + 1);
    if (o >= width) visit(o - width);
    if (o < (height - 1) * width) visit(o + width);
  }
  let now = outside.map((v) => 1 - v);
  for (let round = 0; round < 3; round++) {
    const next = new Uint8Array(now.length);
    for (let y = 2; y < height - 2; y++)
      for (let x = 2; x < width - 2; x++) {
        let sum = 0;
        for (let v = -2; v <= 2; v++) for (let u = -2; u <= 2; u++) sum += now[(y + v) * width + x + u] ?? 0;
        next[y * width + x] = sum >= 13 ? 1 : 0;
      }
    now = next;
  }
  return now;
}

/** The outline of what is inside, with few corners; shares of the picture. */
function outlineOf(inside: Uint8Array, width: number, height: number): Point[] {
  const [shape] = contours().size([width, height]).thresholds([0.5])(Array.from(inside));
  const rings = (shape?.coordinates ?? []).flatMap((polygon) => polygon.slice(0, 1));
  const points = rings.map((ring) => ring.map((p): Point => [p[0] ?? 0, p[1] ?? 0]));
  const largest = points.sort((a, b) => abs(areaOf(b)) - abs(areaOf(a)))[0];
  if (!largest) return [];
  const ring = largest.map(([x, y]) => ({ x, y }));
  let tolerance = 0.8;
  let few = simplify(ring, tolerance, true);
  while (few.length > MOST_CORNERS + 1) few = simplify(ring, (tolerance *= 1.3), true);
  // The ring ends where it began.
  return few.slice(0, -1).map(({ x, y }): Point => [x / width, y / height]);
}

/**
 * Registry `photo.region`: the outline of what was tapped, a missing or filled place. A proposal, for a finger to correct.
 */
export function findRegion({ image: given, at }: RegionInput): RegionFound {
  const image = asRaster('The photo', given);
  const sharp = shrinkAll(planesOf(image), max(1, max(image.width, image.height) / SIDE_PX));
  const [r, g, b] = sharp.channels;
  const planes: Planes = { ...sharp, channels: [smooth(smooth(r)), smooth(smooth(g)), smooth(smooth(b))] };
  const { width, height } = planes.bright;
  const x = min(width - 1, max(0, round(at[0] * width - 0.5)));
  const y = min(height - 1, max(0, round(at[1] * height - 0.5)));
  const { dx, dy } = edgesOf(planes);
  const slope = dx.map((v, o) => hypot(v, dy[o] ?? 0));
  const reached = flooded(stepsFrom(planes, x, y), width, height, y * width + x);
  const { limit, edge } = limitOf(reached, slope, width, height);
  if (limit < 0 || edge < LEAST_EDGE) return { outline: [], edge: 0 };
  const inside = reached.map((l) => (l <= limit ? 1 : 0));
  const outline = outlineOf(solid(inside, width, height), width, height);
  return outline.length < 3 ? { outline: [], edge: 0 } : { outline, edge };
}
