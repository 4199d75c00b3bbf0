import { labFromRgb, tonesOf, type Lab } from '../colour';
import { boundingBox, containment, offsetOutline, type Point, type Polygon } from '../geometry';
import type { Raster } from '../picture';
import { memory, published, sourced } from '../sources';

const { abs, atan2, ceil, cos, floor, hypot, max, min, round, sin, sqrt } = Math;

/** What a surface of wood looks like, in numbers. */
export type WoodCard = {
  /** Way of the grain in the picture, degrees clockwise from its lower edge's direction, 0…180, and how surely, 0…1. */
  grainDeg: number;
  coherence: number;
  /** Distance after which the stripes come again across the grain, where they do; mm. And how regularly, 0…1. */
  periodMm?: number;
  strength: number;
  /** Dark lines against the lightest ground, in L*. */
  contrast: number;
  pores: PoreClass;
  tones: { ground: Lab; mid: Lab; line: Lab };
  /** Shares of the surface that are nearer to each of the three tones. */
  shares: { ground: number; mid: number; line: number };
};

export type PoreClass = 'none' | 'fine' | 'coarse';

/** A pore is a dark speck: so much darker than what is round it, in shares of the mean spread. */
const PORE = {
  aroundMm: sourced(1.5, memory('pores are narrower than a millimetre and a half')),
  darker: sourced(2, memory('two spreads below what is round it')),
  fineShare: sourced(0.015, memory('cherry and maple show next to none')),
  coarseShare: sourced(0.05, memory('oak and ash show them over a twentieth of the surface')),
};
/** Less regular than this there is no period. */
const LEAST_STRENGTH = sourced(0.25, memory('below a quarter the stripes wander'));
export const GRAIN_SOURCE = published(
  'Bigün and Granlund (1987), structure tensor',
  'way and coherence of lines from the products of the slopes of brightness',
);
const LEAST_SIDE_PX = 24;
const NEARLY = 0.7;
const MOST_TONES = 20_000;

/** Brightness of a picture, and which of its pixels are wood. @throws RangeError for a picture that is too small */
function woodIn(
  { data, width, height }: Raster,
  mmPerPixel: number,
  within: Polygon | undefined,
): { bright: Float32Array; wood: Uint8Array; count: number } {
  if (min(width, height) < LEAST_SIDE_PX)
    throw new RangeError(`The picture is only ${width} × ${height} pixels; ${LEAST_SIDE_PX} each way are needed to read its grain. Take a closer one.`); // prettier-ignore
  const inside = within ? containment(within) : undefined;
  const wood = new Uint8Array(width * height);
  const bright = new Float32Array(width * height);
  let count = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const o = y * width + x;
      bright[o] = 0.3 * (data[4 * o] ?? 0) + 0.6 * (data[4 * o + 1] ?? 0) + 0.1 * (data[4 * o + 2] ?? 0);
      if (data[4 * o + 3] && (!inside || inside((x + 0.5) * mmPerPixel, (y + 0.5) * mmPerPixel))) {
        wood[o] = 1;
        count++;
      }
    }
  return { bright, wood, count };
}

export type GrainRead = { degrees: number; coherence: number };
/** Below this the grain is not said to run one way. */
export const SURE_GRAIN = sourced(0.2, memory('burr and flat figure lie below it'));

/**
 * The way of the grain in a part of a face, clockwise from level, and how surely.
 *
 * @throws RangeError for a picture that is too small
 */
export function readGrain(picture: Raster, mmPerPixel: number, within: Polygon): GrainRead {
  const { bright, wood } = woodIn(picture, mmPerPixel, within);
  const { grainDeg, coherence } = grain(bright, wood, picture.width, picture.height);
  return { degrees: grainDeg, coherence };
}

/** A face is looked at in so many patches each way for its sunburst. */
const PATCHES = 14;
/** Lines that all run one way meet nowhere: 1 where they come from all round. */
const LEAST_FAN = 0.02;
/** Directions that point to one place within about 18° on the whole. */
export const SURE_CENTRE = sourced(0.95, memory('leaves of a sunburst are laid within a few degrees'));

export type CentreRead = {
  /** Where all grain runs to, mm. */
  at: Point;
  /** How well the grain points there, 0…1: the mean of the cosines. */
  agreement: number;
};

/**
 * Where the grain of a sunburst runs to: of all places that to which the lines along the grain of many small patches come nearest, each
 * counted by how surely its grain is read.
 *
 * @throws RangeError where no grain can be read
 */
export function readCentre(picture: Raster, mmPerPixel: number, within: Polygon): CentreRead {
  const { bright, wood } = woodIn(picture, mmPerPixel, within);
  const { width, height } = picture;
  const [w, h] = [width / PATCHES, height / PATCHES];
  const lines = Array.from({ length: PATCHES * PATCHES }, (_, i) => {
    const [left, top] = [floor((i % PATCHES) * w), floor(floor(i / PATCHES) * h)];
    const read = grain(bright, wood, width, height, {
      left,
      top,
      right: floor(left + w),
      bottom: floor(top + h),
    });
    const a = (read.grainDeg * Math.PI) / 180;
    return { x: left + w / 2, y: top + h / 2, dx: cos(a), dy: sin(a), weight: read.coherence };
  }).filter((l) => l.weight > SURE_GRAIN.value);
  let [a, b, d, u, v] = [0, 0, 0, 0, 0];
  for (const { x, y, dx, dy, weight } of lines) {
    const [xx, xy, yy] = [weight * (1 - dx * dx), -weight * dx * dy, weight * (1 - dy * dy)];
    [a, b, d, u, v] = [a + xx, b + xy, d + yy, u + xx * x + xy * y, v + xy * x + yy * y];
  }
  const det = a * d - b * b;
  if (lines.length < 8 || det < LEAST_FAN * ((a + d) / 2) ** 2)
    throw new RangeError(
      'No grain that runs to one place can be read from this photo. Drag its middle yourself.',
    );
  const [cx, cy] = [(d * u - b * v) / det, (a * v - b * u) / det];
  const all = lines.reduce((s, l) => s + l.weight, 0);
  const along = lines.reduce((s, { x, y, dx, dy, weight }) => {
    const far = hypot(cx - x, cy - y);
    return s + (far > 0 ? (weight * abs(dx * (cx - x) + dy * (cy - y))) / far : weight);
  }, 0);
  return { at: [cx * mmPerPixel, cy * mmPerPixel], agreement: along / all };
}

/** What was read of a sunburst, and how far to trust it. */
export const centreWords = ({ agreement }: CentreRead): string =>
  agreement < SURE_CENTRE.value
    ? 'The grain does not clearly run to one place. Look closely, and drag the middle.'
    : 'The grain runs to this place. Look whether the strokes lie along it everywhere.';

/** What was read of the grain, and how far to trust it. */
export const grainWords = ({ degrees, coherence }: GrainRead): string =>
  coherence < SURE_GRAIN.value
    ? `The figure runs many ways here; on the whole ${Math.round(degrees)}°. Look closely, and drag the arrow.`
    : `The grain runs at ${Math.round(degrees)}° from level. Look whether the arrow lies along it.`;

/**
 * The card of a surface.
 *
 * @param mmPerPixel scale of its picture
 * @param within what is wood in it, mm; all of it where none is given
 * @throws RangeError for a picture that is too small
 */
export function woodCard({ data, width, height }: Raster, mmPerPixel: number, within?: Polygon): WoodCard {
  const { bright, wood, count } = woodIn({ data, width, height }, mmPerPixel, within);
  const { grainDeg, coherence } = grain(bright, wood, width, height);
  const { periodPx, strength } = period(bright, wood, width, height, grainDeg);
  const step = max(1, floor(sqrt(count / MOST_TONES)));
  const labs: Lab[] = [];
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const o = y * width + x;
      if (wood[o]) labs.push(labFromRgb(data[4 * o] ?? 0, data[4 * o + 1] ?? 0, data[4 * o + 2] ?? 0));
    }
  const { ground, mean: mid, line } = tonesOf(labs, coherence);
  return {
    grainDeg,
    coherence,
    ...(periodPx === undefined ? {} : { periodMm: periodPx * mmPerPixel }),
    strength,
    contrast: ground[0] - line[0],
    pores: poresOf(bright, wood, width, height, mmPerPixel),
    tones: { ground, mid, line },
    shares: sharesOf(labs, { ground, mid, line }),
  };
}

/** So much wood round a damage is looked at. mm */
const AROUND_MM = sourced(
  40,
  memory('two finger’s breadths more than the colour needs: stripes come again within them'),
);
/** The rim of a damage is dirty. mm */
const RIM_MM = 3;

/**
 * The card of the sound wood round a damage.
 *
 * @param picture the face to scale, from its corner
 * @param damage, others, face outlines in mm; the other damages are no sound wood
 * @throws RangeError for a picture that shows too little
 */
export function cardAround(
  picture: Raster,
  mmPerPixel: number,
  damage: Polygon,
  others: readonly Polygon[],
  face: Polygon,
): WoodCard {
  const { data } = picture;
  const unsound = [damage, ...others].flatMap((o) => offsetOutline(o, RIM_MM)).map(containment);
  const box = boundingBox(damage);
  const left = max(0, floor((box.left - AROUND_MM.value) / mmPerPixel));
  const top = max(0, floor((box.top - AROUND_MM.value) / mmPerPixel));
  const right = min(picture.width, ceil((box.right + AROUND_MM.value) / mmPerPixel));
  const bottom = min(picture.height, ceil((box.bottom + AROUND_MM.value) / mmPerPixel));
  const onFace = containment(face);
  const [width, height] = [max(1, right - left), max(1, bottom - top)];
  const part = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const from = 4 * ((y + top) * picture.width + x + left);
      const to = 4 * (y * width + x);
      const [mx, my] = [(x + left + 0.5) * mmPerPixel, (y + top + 0.5) * mmPerPixel];
      part[to] = data[from] ?? 0;
      part[to + 1] = data[from + 1] ?? 0;
      part[to + 2] = data[from + 2] ?? 0;
      const sound = onFace(mx, my) && !unsound.some((inside) => inside(mx, my));
      part[to + 3] = sound ? (data[from + 3] ?? 0) : 0;
    }
  return woodCard({ data: part, width, height }, mmPerPixel);
}

/** Slopes by five points a side, so that fine stripes on a slant are not bent towards the pixels. */
function grain(
  bright: Float32Array,
  wood: Uint8Array,
  width: number,
  height: number,
  part = { left: 0, top: 0, right: width, bottom: height },
): { grainDeg: number; coherence: number } {
  let xx = 0;
  let xy = 0;
  let yy = 0;
  for (let y = max(2, part.top); y < min(height - 2, part.bottom); y++)
    for (let x = max(2, part.left); x < min(width - 2, part.right); x++) {
      const o = y * width + x;
      if (!wood[o] || !wood[o - 2] || !wood[o + 2] || !wood[o - 2 * width] || !wood[o + 2 * width]) continue;
      const dx = ((bright[o - 2] ?? 0) - 8 * (bright[o - 1] ?? 0) + 8 * (bright[o + 1] ?? 0) - (bright[o + 2] ?? 0)) / 12; // prettier-ignore
      const dy = ((bright[o - 2 * width] ?? 0) - 8 * (bright[o - width] ?? 0) + 8 * (bright[o + width] ?? 0) - (bright[o + 2 * width] ?? 0)) / 12; // prettier-ignore
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  const along = (0.5 * atan2(2 * xy, xx - yy) * 180) / Math.PI + 90;
  return {
    grainDeg: ((along % 180) + 180) % 180,
    coherence: xx + yy === 0 ? 0 : hypot(xx - yy, 2 * xy) / (xx + yy),
  };
}

/** Distance of the stripes across the grain: the first far maximum of the mean profile's correlation with itself. */
function period(
  bright: Float32Array,
  wood: Uint8Array,
  width: number,
  height: number,
  grainDeg: number,
): { periodPx?: number; strength: number } {
  const a = (grainDeg * Math.PI) / 180;
  const [across, down] = [-sin(a), cos(a)];
  const reach = hypot(width, height);
  const bins = Math.ceil(2 * reach) + 2;
  const sum = new Float64Array(bins);
  const n = new Float64Array(bins);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const o = y * width + x;
      if (!wood[o]) continue;
      const b = round(x * across + y * down + reach);
      sum[b] = (sum[b] ?? 0) + (bright[o] ?? 0);
      n[b] = (n[b] ?? 0) + 1;
    }
  const most = max(...n);
  const profile: number[] = [];
  for (let b = 0; b < bins; b++) if ((n[b] ?? 0) > 0.25 * most) profile.push((sum[b] ?? 0) / (n[b] ?? 1));
  const mean = profile.reduce((s, v) => s + v, 0) / max(1, profile.length);
  const even = profile.map((v) => v - mean);
  const zero = even.reduce((s, v) => s + v * v, 0);
  if (zero === 0) return { strength: 0 };
  const far = floor(even.length / 2);
  const alike = Array.from({ length: far + 1 }, (_, lag) => {
    let s = 0;
    for (let i = 0; i + lag < even.length; i++) s += (even[i] ?? 0) * (even[i + lag] ?? 0);
    return (s / (even.length - lag)) * (even.length / zero);
  });
  // Past the first fall below nothing the next rise is a stripe further.
  const fall = alike.findIndex((v) => v < 0);
  if (fall < 0) return { strength: 0 };
  const highest = alike.slice(fall, far).reduce((m, v) => max(m, v), 0);
  // Of stripe after stripe the first that is nearly as alike: between pixels a later one may look better.
  let best = fall;
  while (
    best < far &&
    !((alike[best] ?? 0) >= NEARLY * highest && (alike[best] ?? 0) >= (alike[best + 1] ?? 0))
  )
    best++;
  const strength = max(0, alike[best] ?? 0);
  if (strength < LEAST_STRENGTH.value) return { strength };
  const [l = 0, c = 0, r = 0] = [alike[best - 1], alike[best], alike[best + 1]];
  const bend = l - 2 * c + r;
  return { periodPx: best + (bend === 0 ? 0 : (0.5 * (l - r)) / bend), strength };
}

/** How many specks are much darker than the wood round them. */
function poresOf(
  bright: Float32Array,
  wood: Uint8Array,
  width: number,
  height: number,
  mmPerPixel: number,
): PoreClass {
  const reach = max(1, round(PORE.aroundMm.value / 2 / mmPerPixel));
  const step = max(1, floor(sqrt((width * height) / MOST_TONES)));
  let [all, dark] = [0, 0];
  for (let y = reach; y < height - reach; y += step)
    for (let x = reach; x < width - reach; x += step) {
      if (!wood[y * width + x]) continue;
      let [n, s, ss] = [0, 0, 0];
      for (let v = -reach; v <= reach; v += max(1, floor(reach / 3)))
        for (let u = -reach; u <= reach; u += max(1, floor(reach / 3))) {
          const b = bright[(y + v) * width + x + u] ?? 0;
          n++;
          s += b;
          ss += b * b;
        }
      const mean = s / n;
      const spread = sqrt(max(0, ss / n - mean * mean));
      all++;
      if (spread > 2 && (bright[y * width + x] ?? 0) < mean - PORE.darker.value * spread) dark++;
    }
  const share = all > 0 ? dark / all : 0;
  return share > PORE.coarseShare.value ? 'coarse' : share > PORE.fineShare.value ? 'fine' : 'none';
}

function sharesOf(labs: readonly Lab[], { ground, mid, line }: WoodCard['tones']): WoodCard['shares'] {
  const far = (a: Lab, b: Lab): number => abs(a[0] - b[0]) + abs(a[1] - b[1]) + abs(a[2] - b[2]);
  const count = { ground: 0, mid: 0, line: 0 };
  for (const lab of labs) {
    const [g, m, l] = [far(lab, ground), far(lab, mid), far(lab, line)];
    count[g <= m && g <= l ? 'ground' : l <= m ? 'line' : 'mid']++;
  }
  const n = labs.length;
  return { ground: count.ground / n, mid: count.mid / n, line: count.line / n };
}
