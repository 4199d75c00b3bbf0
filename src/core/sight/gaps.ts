import Joi from 'joi';
import { assertRange } from '../check';
import type { Point } from '../geometry';
import { asRaster, between, planesOf, type Raster } from '../picture';
import { derived, memory, sourced } from '../sources';
import { imageSchema, scaleSchema, strokeSchema } from './image';

const { abs, hypot, max, min, round } = Math;

export type GapsInput = {
  image: Raster;
  /** The joint in the picture, from one end to the other over its bends, in pixels. */
  line: readonly Point[];
  mmPerPixel: number;
  /** Places along it, its ends among them. */
  stations: number;
  /** How far to either side the gap may lie and sound wood be seen, mm. */
  reachMm: number;
};

export type GapsFound = {
  /** Width of the gap at each place, mm; 0 where nothing dark lies across the line. */
  gapsMm: number[];
  /** Nothing finer can be told from this photo, mm. */
  finestMm: number;
  /** There is a dark line at all. */
  seen: boolean;
};

export const GAPS_SOURCE = derived(
  'the distance between the edges of the dark line, each halfway between wood and gap; where it is blurred, its darkness added up',
);

/** How far to either side of its line a gap is looked for, mm. */
export const GAP_REACH_MM = sourced(8, memory('a finger taps within a few millimetres of the gap'));
/** So many profiles are laid together at one place, over this share of the distance between two. */
const PROFILES = 15;
const WINDOW_SHARE = 0.3;
/** Places at the very ends are read a little inside. */
const INSIDE_SHARE = 0.02;
/** Quarter pixels across. */
const ACROSS = 0.25;
/** Darker than the wood beside it by less than this it is no gap, grey levels. */
const LEAST_DARK = 18;
/** As dark as the gap at its darkest, but for this share of what the wood is lighter. */
const FULLY_SHARE = 0.3;
/** A blurred band ends where it is so little darker than the wood. */
const END_SHARE = 0.1;
/** A gap narrower than this share of a pixel is not told from a shadow. */
const FINEST_PX = 0.4;
/** The line that was tapped may lie beside the gap by so much of the reach. */
const ASIDE_SHARE = 0.6;

/** Input of `photo.gaps`; at the shell door the image is `{file}`. */
export const gapsSchema = Joi.object({
  image: imageSchema.required(),
  line: strokeSchema.required(),
  mmPerPixel: scaleSchema.required(),
  stations: Joi.number().integer().min(2).max(101).required(),
  reachMm: Joi.number().min(0.5).max(200).required(),
});

const middleOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

type Leg = { a: Point; long: number; u: Point };

/** The place so far along some legs, and the way they run there. */
function placeOn(legs: readonly Leg[], t: number): { x: number; y: number; u: Point } {
  let left = t;
  for (const [i, { a, long, u }] of legs.entries()) {
    if (left <= long || i === legs.length - 1) return { x: a[0] + left * u[0], y: a[1] + left * u[1], u };
    left -= long;
  }
  return { x: 0, y: 0, u: [1, 0] };
}

type Band = { lowest: number; at: number; wood: readonly [number, number] };

/** Where a profile is darkest near its middle, and how light the wood is to either side of that. */
function bandAt(profile: readonly number[]): Band {
  const room = round((profile.length * (1 - ASIDE_SHARE)) / 2);
  let at = room;
  for (let i = room; i < profile.length - room; i++) if ((profile[i] ?? 0) < (profile[at] ?? 0)) at = i;
  return {
    at,
    lowest: profile[at] ?? 0,
    wood: [lightOf(profile.slice(0, at)), lightOf(profile.slice(at + 1))],
  };
}

/** The wood beside a gap: what lies there in the middle of all that is lighter than halfway. */
function lightOf(side: readonly number[]): number {
  const halfway = (max(...side, 0) + min(...side, 255)) / 2;
  return middleOf(side.filter((v) => v >= halfway));
}

/** Pixels from where a profile is darkest to where it is halfway to the wood, between two samples. */
function edgeFrom(profile: readonly number[], at: number, step: 1 | -1, half: number): number {
  for (let i = at; i >= 0 && i < profile.length; i += step) {
    const [here, next] = [profile[i] ?? 0, profile[i + step]];
    if (next === undefined) break;
    if (next >= half) return ACROSS * (abs(i - at) + (half - here) / max(1e-6, next - here));
  }
  return 0;
}

/** How wide a band is, pixels: between its edges where it is as dark as a gap is, by its darkness added up where it is blurred. */
function widthOf(profile: readonly number[], { lowest, at, wood }: Band, gapLevel: number): number {
  const depth = (wood[0] + wood[1]) / 2 - gapLevel;
  if (depth < LEAST_DARK || (wood[0] + wood[1]) / 2 - lowest < LEAST_DARK) return 0;
  if (lowest - gapLevel < FULLY_SHARE * depth)
    return edgeFrom(profile, at, -1, (wood[0] + gapLevel) / 2) + edgeFrom(profile, at, 1, (wood[1] + gapLevel) / 2); // prettier-ignore
  let sum = 0;
  for (const step of [-1, 1] as const) {
    const light = wood[step === -1 ? 0 : 1];
    for (let i = step === -1 ? at : at + 1; light - (profile[i] ?? light) > END_SHARE * depth; i += step)
      sum += light - (profile[i] ?? light);
  }
  return (ACROSS * sum) / depth;
}

/**
 * Registry `photo.gaps`: how wide a joint or a crack gapes at places along it, read from a photo to scale.
 *
 * @throws RangeError for a line without length, or one outside the picture
 */
export function readGaps(given: GapsInput): GapsFound {
  const { line, mmPerPixel, stations, reachMm } = given;
  const { bright } = planesOf(asRaster('The photo', given.image));
  const legs = line.slice(1).flatMap((b, i): Leg[] => {
    const a = line[i] ?? b;
    const long = hypot(b[0] - a[0], b[1] - a[1]);
    return long > 0 ? [{ a, long, u: [(b[0] - a[0]) / long, (b[1] - a[1]) / long] }] : [];
  });
  const long = legs.reduce((sum, leg) => sum + leg.long, 0);
  assertRange('The length of the line', long, 'pixels', 4, 60_000);
  if (line.some(([x, y]) => x < 0 || y < 0 || x > bright.width || y > bright.height))
    throw new RangeError('The joint lies outside the photo. Mark it on the wood that the photo shows.');
  const reach = min(reachMm / mmPerPixel, bright.width, bright.height);
  const count = 2 * round(reach / ACROSS) + 1;
  const window = (WINDOW_SHARE * long) / (stations - 1);
  const places = Array.from({ length: stations }, (_, i) => {
    const share = min(1 - INSIDE_SHARE, max(INSIDE_SHARE, i / (stations - 1)));
    // Each profile by itself: laid on one another, a line that leans would look wide.
    return Array.from({ length: PROFILES }, (_, n) => {
      const t = min(long, max(0, share * long + (n / (PROFILES - 1) - 0.5) * window));
      const { x, y, u: [ux, uy] } = placeOn(legs, t); // prettier-ignore
      const profile = Array.from({ length: count }, (_, k) => {
        const off = (k - (count - 1) / 2) * ACROSS;
        return between(bright, x - off * uy, y + off * ux);
      });
      return { profile, band: bandAt(profile) };
    });
  });
  // A gap is as dark at every place; where it looks lighter it is finer than the photo shows.
  const gapLevel = min(...places.map((each) => middleOf(each.map(({ band }) => band.lowest))));
  const finestMm = FINEST_PX * mmPerPixel;
  const gapsMm = places.map((each) => {
    const mm = mmPerPixel * middleOf(each.map(({ profile, band }) => widthOf(profile, band, gapLevel)));
    return mm < finestMm ? 0 : mm;
  });
  return { gapsMm, finestMm, seen: gapsMm.some((mm) => mm > 0) };
}

/** What was read, and how finely it can be. @param length writes a length in the shop's unit */
export const gapsWords = ({ seen, finestMm }: GapsFound, length: (mm: number) => string): string =>
  seen
    ? `Read from the photo; finer than ${length(finestMm)} it cannot tell. Check the widest place with a feeler.`
    : 'No dark line lies across this joint in the photo. Nothing was changed; measure it with a feeler.';
