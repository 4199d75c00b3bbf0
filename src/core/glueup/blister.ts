import { boundingBox, crossingsAt, rotate, type Point, type Polygon } from '../geometry';
import type { Raster } from '../picture';
import { memory } from '../sources';

/** What a blister is glued through. */
export type BlisterPlan = {
  /** Ends of the slit, mm on the face. */
  slit: [Point, Point];
  slitMm: number;
  entries: Point[];
  mlPerEntry: number;
};

/** How far glue creeps from a needle under veneer that is lifted a little. mm. */
export const NEEDLE_REACH_MM = {
  value: 40,
  source: memory('glue runs about 40 mm from a needle before it must be pressed on'),
};

/** A level line in a frame whose x runs along the grain. */
type Stretch = { from: number; to: number; y: number };

/** The longest stretch of a level line that stays inside an outline. */
function longestOn(outline: Polygon, y: number): Stretch {
  const crossings = crossingsAt(outline, y);
  const { left, right } = boundingBox(outline);
  let best = { from: (left + right) / 2, to: (left + right) / 2, y };
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [from = 0, to = 0] = crossings.slice(i, i + 2);
    if (to - from > best.to - best.from) best = { from, to, y };
  }
  return best;
}

/** Lines of the slit that are looked at across a blister. */
const LINES = 60;

function stretches(turned: Polygon): { all: Stretch[]; longest: Stretch } {
  const { top, bottom } = boundingBox(turned);
  const all = Array.from({ length: LINES - 1 }, (_, r) =>
    longestOn(turned, top + ((bottom - top) * (r + 1)) / LINES),
  );
  return { all, longest: all.reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a)) };
}

/** The slit stays clear of the rim, where the veneer holds. */
const clearOfRim = ({ from, to, y }: Stretch): Stretch => {
  const clear = (to - from) * 0.1;
  return { from: from + clear, to: to - clear, y };
};

/**
 * Where to slit a blister and where to inject: along the grain, on the longest line that stays on loose wood.
 *
 * @param loose outline of the blister, mm
 * @param glueMl glue for the whole area
 * @param asideMm moves the slit so far across the grain, off a line of the figure; it stays on loose wood
 */
export function blisterPlan(loose: Polygon, grainDeg: number, glueMl: number, asideMm = 0): BlisterPlan {
  const turned = loose.map((p) => rotate(p, -grainDeg));
  const { longest } = stretches(turned);
  const { top, bottom } = boundingBox(turned);
  const rim = (bottom - top) / LINES;
  const moved = Math.min(bottom - rim, Math.max(top + rim, longest.y + asideMm));
  const { from, to, y } = clearOfRim(asideMm === 0 ? longest : longestOn(turned, moved));
  const count = Math.max(1, Math.ceil((to - from) / (2 * NEEDLE_REACH_MM.value)));
  const at = (x: number): Point => rotate([x, y], grainDeg);
  return {
    slit: [at(from), at(to)],
    slitMm: to - from,
    entries: Array.from({ length: count }, (_, i) => at(from + ((i + 0.5) * (to - from)) / count)),
    mlPerEntry: glueMl / count,
  };
}

/** What a slit would cut through, as the photo shows it. */
export type QuietSlit = {
  /** From the longest line, across the grain; for {@link blisterPlan}. */
  asideMm: number;
  /** Lines of the figure that this slit crosses. */
  crossed: number;
  /** How many the longest one would cross. */
  crossedOnLongest: number;
  /** How many each slit that is long enough would cross. */
  byAside: { asideMm: number; crossed: number }[];
};

/** A line of the figure is a change of lightness as steep as this over {@link STEEP_OVER_MM}. L*. */
export const STEEP_LIGHTNESS = {
  value: 6,
  source: memory(
    'stringing, joints and bold figure differ from their ground by well over 6 L*; grain along itself by 1 to 3',
  ),
};
const STEEP_OVER_MM = 2;
/** Noise differs from place to place of a photo; a line must stand out from it so many times. */
const ABOVE_NOISE = 4;
/** The two sides of one line, such as a string of stringing, are one crossing. mm. */
const ONE_LINE_MM = 5;
/** A slit much shorter than the longest does not let the glue reach. */
const LEAST_SHARE = 0.7;
const STEP_MM = 0.5;
/** The cut and what shows beside it: so far to either side the picture is read. mm. */
const BESIDE_MM = [-1, -0.5, 0, 0.5, 1];

/** The face to scale, RGBA, its origin at 0, 0 of the outline's frame; and L* of a colour of it, which the caller brings along. */
export type Photo = {
  picture: Raster;
  /** 0.05…2 */
  mmPerPixel: number;
  lightness: (red: number, green: number, blue: number) => number;
};

/** Mean lightness of a strip along a stretch, every {@link STEP_MM}. */
function lightnessAlong(
  { picture: { data, width, height }, mmPerPixel, lightness }: Photo,
  s: Stretch,
  grainDeg: number,
): number[] {
  const count = Math.max(2, Math.floor((s.to - s.from) / STEP_MM));
  return Array.from({ length: count }, (_, i) => {
    let sum = 0;
    for (const aside of BESIDE_MM) {
      const [x, y] = rotate([s.from + i * STEP_MM, s.y + aside], grainDeg);
      const px = Math.min(width - 1, Math.max(0, Math.round(x / mmPerPixel)));
      const py = Math.min(height - 1, Math.max(0, Math.round(y / mmPerPixel)));
      const o = (py * width + px) * 4;
      sum += lightness(data[o] ?? 0, data[o + 1] ?? 0, data[o + 2] ?? 0);
    }
    return sum / BESIDE_MM.length;
  });
}

const slopes = (lightness: readonly number[]): number[] => {
  const apart = Math.round(STEEP_OVER_MM / STEP_MM);
  return lightness.slice(apart).map((l, i) => Math.abs(l - (lightness[i] ?? l)));
};

/** How often slopes are steep; places close together are one line. */
function linesIn(slope: readonly number[], steep: number): number {
  let found = 0;
  let last = -Infinity;
  slope.forEach((v, i) => {
    if (v < steep) return;
    if (i * STEP_MM - last > ONE_LINE_MM) found++;
    last = i * STEP_MM;
  });
  return found;
}

/**
 * Looks in the photo for a slit that cuts through as few lines of the figure as may be, and of these for the longest.
 *
 * @param loose outline of the blister, mm
 */
export function quietSlit(photo: Photo, loose: Polygon, grainDeg: number): QuietSlit {
  const turned = loose.map((p) => rotate(p, -grainDeg));
  const { all, longest } = stretches(turned);
  const read = (s: Stretch) => ({
    s,
    slope: slopes(lightnessAlong(photo, clearOfRim(s), grainDeg)),
  });
  const lines = all.filter((s) => s.to - s.from >= LEAST_SHARE * (longest.to - longest.from)).map(read);
  const noise = lines.flatMap((l) => l.slope).sort((a, b) => a - b);
  const steep = Math.max(STEEP_LIGHTNESS.value, ABOVE_NOISE * (noise[noise.length >> 1] ?? 0));
  const rated = lines.map(({ s, slope }) => ({ s, crossed: linesIn(slope, steep) }));
  const best = rated.reduce((a, b) => {
    if (a.crossed !== b.crossed) return b.crossed < a.crossed ? b : a;
    return b.s.to - b.s.from > a.s.to - a.s.from ? b : a;
  });
  const asideOf = (s: Stretch): number => Math.round((s.y - longest.y) * 10) / 10;
  return {
    asideMm: asideOf(best.s),
    crossed: best.crossed,
    crossedOnLongest: rated.find((r) => r.s === longest)?.crossed ?? best.crossed,
    byAside: rated.map(({ s, crossed }) => ({ asideMm: asideOf(s), crossed })),
  };
}
