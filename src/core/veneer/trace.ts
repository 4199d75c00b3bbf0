import simplify from 'simplify-js';
import { boundingBox, type Point, type Polygon } from '../geometry';
import { brightAt, cheapestWay, type Raster } from '../picture';
import { memory, sourced } from '../sources';

const { abs, ceil, floor, max, min, round, tan, PI } = Math;

/** So far beyond the sound margin a line is looked for. mm */
const REACH_MM = sourced(12, memory('farther out too much sound wood would go for a line'));
/** A line is darker than what lies this far on both sides of it. mm */
const LINE_WIDE_MM = sourced(1.2, memory('a dark line of the figure is about a millimetre wide'));
/** A traced seam is cut with knife and rule: straight stretches that leave the line by no more. mm */
const STRAIGHT_MM = sourced(0.6, memory('a knife follows a line to half a millimetre along a rule'));
/** A column on a full line costs so much less than one beside it, and a step up or down as much as half a column. */
const ON_LINE_SAVES = 0.9;
const CLIMB_COSTS = 0.5;
/** The darkest tenth of what is looked at counts as a full line. */
const FULL_LINE = 0.9;

export type Traced = {
  /** In the picture, mm, clockwise from its upper left corner. */
  outline: Point[];
  /** Of every stretch, from its point to the next, so much lies on a dark line; 0…1. */
  onLine: number[];
};

/**
 * An outline round a damage whose long sides follow dark lines of the figure, its ends slanted.
 *
 * @param picture the wood round the damage, its grain from left to right
 * @param damage in the picture, mm
 * @returns nothing where the picture shows too little round the damage
 */
export function traceToFigure(
  picture: Raster,
  mmPerPixel: number,
  damage: Polygon,
  marginMm: number,
  slantDeg: number,
): Traced | undefined {
  const box = boundingBox(damage);
  const endMm =
    marginMm + (box.bottom - box.top + 2 * (marginMm + REACH_MM.value)) / tan((slantDeg * PI) / 180);
  const left = max(0, floor((box.left - endMm) / mmPerPixel));
  const right = min(picture.width - 1, ceil((box.right + endMm) / mmPerPixel));
  const reach = round(REACH_MM.value / mmPerPixel);
  if (right - left < 8 || reach < 4) return undefined;
  const lines = darkLines(picture, max(1, round(LINE_WIDE_MM.value / mmPerPixel)));
  const full = percentile(lines.data, FULL_LINE);
  const band = { left, columns: right - left + 1, reach };
  const above = seamAlong(
    lines,
    { ...band, nearest: floor((box.top - marginMm) / mmPerPixel), sign: -1 },
    full,
  );
  const below = seamAlong(
    lines,
    { ...band, nearest: ceil((box.bottom + marginMm) / mmPerPixel), sign: 1 },
    full,
  );
  if (!above || !below) return undefined;
  const toMm = ([x, y]: Point): Point => [(x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel];
  // Each end is cut on a slant between the two seams, clear of the damage.
  const cut = slantedEnds(above.map(toMm), below.map(toMm), damage, marginMm, slantDeg);
  if (!cut) return undefined;
  const top = straightened(cut.top);
  const bottom = straightened(cut.bottom).reverse();
  const outline = [...top, ...bottom];
  const shareAt = (a: Point, b: Point): number => {
    const n = max(2, round(abs(b[0] - a[0]) / mmPerPixel));
    let sum = 0;
    for (let i = 0; i <= n; i++) {
      const [x, y] = [a[0] + ((b[0] - a[0]) * i) / n, a[1] + ((b[1] - a[1]) * i) / n];
      sum += darkest(lines, x / mmPerPixel, y / mmPerPixel);
    }
    return full > 0 ? min(1, sum / (n + 1) / full) : 0;
  };
  const onLine = outline.map((p, i) => {
    const ends = i === top.length - 1 || i === outline.length - 1;
    return ends ? 0 : shareAt(p, outline[(i + 1) % outline.length] ?? p);
  });
  return { outline, onLine };
}

type Lines = { data: Float32Array; width: number; height: number };

/** How much darker each pixel is than the wood above and below it, a line's breadth away. */
function darkLines({ data, width, height }: Raster, wide: number): Lines {
  const bright = new Float32Array(width * height);
  for (let o = 0; o < bright.length; o++)
    bright[o] = brightAt(data, 4 * o);
  // Along the grain a line is long: five columns are taken together, so that specks do not count.
  const out = new Float32Array(width * height);
  for (let y = wide; y < height - wide; y++)
    for (let x = 2; x < width - 2; x++) {
      const o = y * width + x;
      let sum = 0;
      for (let i = -2; i <= 2; i++)
        sum += min((bright[o + i - wide * width] ?? 0), (bright[o + i + wide * width] ?? 0)) - (bright[o + i] ?? 0);
      out[o] = data[4 * o + 3] ? max(0, sum / 5) : 0;
    }
  return { data: out, width, height };
} // prettier-ignore

const percentile = (values: Float32Array, share: number): number => {
  const some = values.filter((v) => v > 0).sort();
  return some[floor(share * (some.length - 1))] ?? 0;
};

/** The darkest within a pixel of a place: a knife wanders by as much. */
function darkest({ data, width, height }: Lines, x: number, y: number): number {
  let best = 0;
  for (let dy = -1; dy <= 1; dy++) {
    const [px, py] = [floor(x), floor(y) + dy];
    if (px >= 0 && px < width && py >= 0 && py < height) best = max(best, data[py * width + px] ?? 0);
  }
  return best;
}

/** Rows from the one nearest to the damage outward, over so many columns. */
type Band = { left: number; columns: number; reach: number; nearest: number; sign: 1 | -1 };

/** The cheapest way from left to right through a band: on dark lines, and as little up and down as they ask for. */
function seamAlong(
  { data, width, height }: Lines,
  { left, columns, reach, nearest, sign }: Band,
  full: number,
): Point[] | undefined {
  const row = (j: number): number => nearest + sign * j;
  const cost = (i: number, j: number): number => {
    const y = row(j);
    if (y < 0 || y >= height) return Infinity;
    const on = full > 0 ? min(1, (data[y * width + left + i] ?? 0) / full) : 0;
    return 1 - ON_LINE_SAVES * on;
  };
  return cheapestWay(columns, reach + 1, cost, CLIMB_COSTS)?.map((j, i): Point => [left + i, row(j)]);
}

/** Both seams cut off by lines on a slant that clear the damage by the margin, one way or the other, whichever takes less. */
function slantedEnds(
  top: readonly Point[],
  bottom: readonly Point[],
  damage: Polygon,
  marginMm: number,
  slantDeg: number,
): { top: Point[]; bottom: Point[] } | undefined {
  const a = (slantDeg * PI) / 180;
  const ways = [1, -1].flatMap((lean) => {
    // Along the end x − lean · y / tan(slant) is constant.
    const across = ([x, y]: Point): number => x - (lean * y) / tan(a);
    const off = marginMm / Math.sin(a);
    const places = damage.map(across);
    const [from, to] = [min(...places) - off, max(...places) + off];
    const kept = (seam: readonly Point[]): Point[] | undefined => {
      const start = seam.findIndex((p) => across(p) >= from);
      const end = seam.findLastIndex((p) => across(p) <= to);
      // A seam that begins inside the end has run out of picture.
      return start > 0 && end > start && end < seam.length - 1 ? seam.slice(start - 1, end + 2) : undefined;
    };
    const [upper, lower] = [kept(top), kept(bottom)];
    return upper && lower ? [{ top: upper, bottom: lower }] : [];
  });
  const long = (w: { top: Point[]; bottom: Point[] }): number => w.top.length + w.bottom.length;
  return ways.sort((x, y) => long(x) - long(y))[0];
}

/** A run of places as few straight stretches, corner to corner. */
const straightened = (points: readonly Point[]): Point[] =>
  simplify(
    points.map(([x, y]) => ({ x, y })),
    STRAIGHT_MM.value,
    true,
  ).map(({ x, y }): Point => [x, y]);
