import { breathe, type JobContext } from '../check';
import { deltaE00, type Lab } from '../colour';
import { BAND_COUNT, DAYLIGHT_Y, brightnessOf, labOf, type Spectrum } from './spectrum';

/** What a part of a colourant brings into a mixture: absorption by band, and scattering. */
export type Part = { absorption: Spectrum; scattering: number };
/** Which of the parts, how much of each, and how far off the mixture is. */
export type Found = { members: readonly number[]; parts: readonly number[]; lab: Lab; deltaE00: number };

// Names of this file's own: a name out of another file is looked up there each time, and these stand in the innermost loop.
const COUNT = BAND_COUNT;
const Y = DAYLIGHT_Y;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
const upTo = (n: number): number[] => Array.from({ length: Math.max(0, n) }, (_, i) => i + 1);

/** Whole parts for so many colourants, together no more than allowed. */
const allPortions = (count: number, most: number): number[][] =>
  count === 0
    ? [[]]
    : upTo(most - count + 1).flatMap((n) => allPortions(count - 1, most - n).map((rest) => [n, ...rest]));

/** As whole parts are said: 2 : 2 is 1 : 1 and comes once. */
export const portions = (count: number, most: number): number[][] =>
  allPortions(count, most).filter((parts) => parts.reduce(gcd) === 1);

/** Every set of so many of the numbers below `n`, in order. */
function* setsOf(n: number, count: number, from = 0): Generator<number[]> {
  if (count === 0) yield [];
  else
    for (let i = from; i <= n - count; i++)
      for (const rest of setsOf(n, count - 1, i + 1)) yield [i, ...rest];
}

/**
 * The part of CIEDE2000 that lightness alone makes: the rest only adds to it.
 *
 * @source Sharma, Wu, Dalal (2005), eqs. 8 and 15
 */
export function lightnessShare(a: number, b: number): number {
  const off = ((a + b) / 2 - 50) ** 2;
  return Math.abs(a - b) / (1 + (0.015 * off) / Math.sqrt(20 + off));
}

/** Brightness that no mixture goes over or under. */
type Bounds = { bright: number; dark: number };

/**
 * A mixture's reflectance is convex in its K/S, so it is never brighter than the members' brightness in the shares of their scattering; and
 * never darker than 1 over their mean of R + 1/R (the reciprocal of 2 (1 + K/S), Jensen's inequality twice).
 */
function boundsOf({ absorption, scattering }: Part): Bounds {
  let bright = 0;
  let dark = 0;
  for (let i = 0; i < COUNT; i++) {
    const a = 1 + (absorption[i] ?? 0) / scattering;
    bright += (Y[i] ?? 0) * (a - Math.sqrt(Math.max(0, a * a - 1)));
    dark += (Y[i] ?? 0) * 2 * a;
  }
  return { bright: bright * scattering, dark: dark * scattering };
}

/** The best mixtures so far, how far off one may be to come among them, and between which brightnesses such a one lies. */
type Best = { kept: Found[]; limit: number; room: number; least: number; most: number };

/** The lightness on one side of the goal at which lightness alone makes the limit; the share only grows with the way. */
function lightnessAt(goal: number, limit: number, end: number): number {
  if (lightnessShare(end, goal) <= limit) return end;
  let [inside, outside] = [goal, end];
  for (let i = 0; i < 40; i++) {
    const middle = (inside + outside) / 2;
    if (lightnessShare(middle, goal) <= limit) inside = middle;
    else outside = middle;
  }
  return outside;
}

function take(best: Best, found: Found, goal: number, count: number, slack: number): void {
  if (found.deltaE00 > best.limit) return;
  best.kept.push(found);
  if (best.kept.length < best.room) return;
  best.kept.sort((a, b) => a.deltaE00 - b.deltaE00);
  best.limit = (best.kept[count - 1]?.deltaE00 ?? Infinity) + slack;
  best.kept = best.kept.filter((f) => f.deltaE00 <= best.limit);
  best.room = best.kept.length + count;
  best.least = brightnessOf(lightnessAt(goal, best.limit, 0));
  best.most = brightnessOf(lightnessAt(goal, best.limit, 100));
}

/** Mixtures looked at between two breaths. */
const PORTION = 20_000;

/**
 * The nearest of all mixtures, nearest first. Every mixture counts: what is left out early cannot be among the nearest, since lightness
 * alone is a lower bound of the difference.
 *
 * @param count how many are wanted
 * @param slack all that are at most so much further off than the last wanted one are given too, ΔE00
 * @param mixtures how many there are, for the progress
 */
export async function nearestMixtures(
  target: Lab,
  all: readonly Part[],
  mostMembers: number,
  mostParts: number,
  { count, slack, mixtures }: { count: number; slack: number; mixtures: number },
  job: JobContext,
): Promise<Found[]> {
  const best: Best = { kept: [], limit: Infinity, room: 4 * count, least: 0, most: Infinity };
  const bounds = all.map(boundsOf);
  const goal = target[0];
  const sum = new Float64Array(COUNT);
  const mixed = new Float64Array(COUNT);
  let done = 0;
  let breath = 0;
  for (let members = 1; members <= mostMembers; members++) {
    const firsts = allPortions(members - 1, mostParts - 1).map((first) => ({
      first,
      lasts: upTo(mostParts - first.reduce((a, b) => a + b, 0)).filter(
        (n) => [...first, n].reduce(gcd, 0) === 1,
      ),
    }));
    const each = firsts.reduce((n, { lasts }) => n + lasts.length, 0);
    for (const set of setsOf(all.length, members - 1)) {
      const from = members === 1 ? 0 : (set[set.length - 1] ?? 0) + 1;
      done += each * (all.length - from);
      if (done - breath > PORTION) {
        breath = done;
        await breathe(job, done / mixtures);
      }
      for (const { first, lasts } of firsts) {
        sum.fill(0);
        let scattering = 0;
        let bright = 0;
        let dark = 0;
        set.forEach((m, k) => {
          const n = first[k] ?? 0;
          const { absorption, scattering: own } = all[m] ?? NOTHING;
          scattering += n * own;
          bright += n * (bounds[m]?.bright ?? 0);
          dark += n * (bounds[m]?.dark ?? 0);
          for (let i = 0; i < COUNT; i++) sum[i] = (sum[i] ?? 0) + n * (absorption[i] ?? 0);
        });
        for (let last = from; last < all.length; last++) {
          const { absorption, scattering: own } = all[last] ?? NOTHING;
          const bound = bounds[last];
          for (const n of lasts) {
            const total = scattering + n * own;
            if (bright + n * (bound?.bright ?? 0) < best.least * total) continue;
            if (total > best.most * (dark + n * (bound?.dark ?? 0))) continue;
            const y = mixInto(mixed, sum, absorption, n, 1 / total);
            if (y < best.least || y > best.most) continue;
            const lab = labOf(mixed);
            const found = {
              members: [...set, last],
              parts: [...first, n],
              lab,
              deltaE00: deltaE00(lab, target),
            };
            take(best, found, goal, count, slack);
          }
        }
      }
    }
  }
  return best.kept.sort((a, b) => a.deltaE00 - b.deltaE00);
}

const NOTHING: Part = { absorption: new Float64Array(COUNT), scattering: 0 };

/** The innermost of the search: the reflectance of a mixture by band, and its brightness. */
function mixInto(mixed: Spectrum, sum: Spectrum, absorption: Spectrum, n: number, per: number): number {
  const { sqrt } = Math;
  let y = 0;
  for (let i = 0; i < COUNT; i++) {
    const k = ((sum[i] ?? 0) + n * (absorption[i] ?? 0)) * per;
    const r = 1 + k - sqrt(k * k + 2 * k);
    mixed[i] = r;
    y += (Y[i] ?? 0) * r;
  }
  return y;
}
