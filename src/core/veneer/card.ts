import { labFromRgb, tonesOf, type Lab } from '../colour';
import { boundingBox, containment, offsetOutline, type Polygon } from '../geometry';
import type { Raster } from '../picture';
import { memory, sourced } from '../sources';
import { grainIn, woodIn } from './grainIn';

const { abs, ceil, cos, floor, hypot, max, min, round, sin, sqrt } = Math;

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
const NEARLY = 0.7;
const MOST_TONES = 20_000;

/**
 * The card of a surface.
 *
 * @param mmPerPixel scale of its picture
 * @param within what is wood in it, mm; all of it where none is given
 * @throws RangeError for a picture that is too small
 */
export function woodCard({ data, width, height }: Raster, mmPerPixel: number, within?: Polygon): WoodCard {
  const { bright, wood, count } = woodIn({ data, width, height }, mmPerPixel, within);
  const { grainDeg, coherence } = grainIn(bright, wood, width, height);
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
