import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import {
  areaOf,
  assertOutline,
  boundingBox,
  centroidOf,
  containment,
  offsetOutline,
  sides,
  type Point,
  type Polygon,
} from '../geometry';
import { derived, memory, sourced, type Source } from '../sources';
import { coarse, laidOn, outlineOn, type Found, type Turn } from './coarse';
import { asRaster, planesOf, shrinkAll, type Planes, type Raster } from '../picture';
import { climb, samplesOf } from './refine';
import { ringOf, type Ring } from './ring';

export type PlaceInput = {
  /** The damaged face to scale, the outline of the patch on it in mm, and how wide a ring of sound wood is compared. */
  target: {
    image: Raster;
    outline: Polygon;
    ringMm: number;
    /** Other damages. */ leaveOut?: readonly Polygon[];
    /** The face itself, where the picture shows more. */ within?: Polygon;
  };
  /** The sheet to scale, what is left of it, and places on it that are not to be used; mm. */
  donor: { image: Raster; outline: Polygon; keepOut?: readonly Polygon[] };
  mmPerPixel: number;
  /** Scale of the donor's picture where it is another one. */
  donorMmPerPixel?: number;
  /** The patch may be turned by so much either way; and end for end. */
  grainToleranceDegrees: number;
  /** The sheet's other face may be used: left for right. */
  flips: boolean;
  top: number;
};

/** Where the outline's area centroid lands, the turn of the outline onto the donor clockwise as seen after a left–right flip, and how unlike the two rings are: 0 alike, 1 nothing in common. */
export type Placement = { xMm: number; yMm: number; degrees: number; flipped: boolean; seamError: number };
export type PlaceResult = { placements: Placement[]; notes: string[] };

export const PLACE_SOURCE: Source = derived(
  'ring of sound wood against what surrounds each place of the sheet: weighted correlation of the three colours with mean and contrast taken out, so that an overall tint does not count',
);
/** Both pictures are compared no finer than this: a seam is not cut finer. px */
const FINEST = { reachPx: 260, megapixels: 4 };
/** Points of the fields of the first search: two to the seventeenth. */
const FIELD = 2 ** 17;
/** In the first search a patch has at least so many pixels across. */
const LEAST_ACROSS_PX = 12;
const KEPT = { coarse: 40, middle: 10 };
const SAMPLES = { middle: 400, fine: 1000 };
/** Two good spots are different when they lie apart by so much of the patch's size. */
const APART_SHARE = sourced(0.35, memory('nearer they are cut from the same wood'));
/** A turn moves the ring's far end by no more than this between two of the first search. px */
const TURN_PX = 1.2;

const mm = Joi.number().min(-6000).max(6000).required();
const outline = Joi.array().items(Joi.array().ordered(mm, mm).length(2)).min(3).max(2000);
const image = Joi.object({
  width: Joi.number().integer().min(1).max(20_000).required(),
  height: Joi.number().integer().min(1).max(20_000).required(),
  data: Joi.any().required(),
});
/** Input of `veneer.place`; an image is `{width, height, data}` with four bytes a pixel, at the shell door `{file}`. */
export const placeSchema = Joi.object({
  target: Joi.object({
    image: image.required(),
    outline: outline.required(),
    ringMm: Joi.number().min(0.5).max(200).required(),
    leaveOut: Joi.array().items(outline).max(200),
    within: outline,
  }).required(),
  donor: Joi.object({
    image: image.required(),
    outline: outline.required(),
    keepOut: Joi.array().items(outline).max(200),
  }).required(),
  mmPerPixel: Joi.number().min(0.005).max(20).required(),
  donorMmPerPixel: Joi.number().min(0.005).max(20),
  grainToleranceDegrees: Joi.number().min(0).max(90).required(),
  flips: Joi.boolean().required(),
  top: Joi.number().integer().min(1).max(20).required(),
});

/** Smallest factor by which a picture with its rim all round fits a field that is transformed at once. */
function coarseFactor(
  { width, height }: { width: number; height: number },
  reachPx: number,
  points: number,
): number {
  let best = Infinity;
  for (let w = 16; w <= points / 16; w *= 2) {
    const factor = (size: number, room: number): number => (size + 2 * reachPx) / (room - 4);
    best = Math.min(best, Math.max(1, factor(width, w), factor(height, points / w)));
  }
  return best;
}

/** Turns from one end of the tolerance to the other, both ends of the patch, and both faces. */
function turnsOf(tolerance: number, stepDegrees: number, flips: boolean): Turn[] {
  const steps = Math.ceil(tolerance / stepDegrees - 1e-9);
  const angles = Array.from({ length: 2 * steps + 1 }, (_, i) =>
    steps === 0 ? 0 : ((i - steps) / steps) * tolerance,
  );
  return (flips ? [false, true] : [false]).flatMap((flipped) =>
    [0, 180].flatMap((end) => angles.map((a): Turn => ({ degrees: a + end, flipped }))),
  );
}

/**
 * Registry `veneer.place`: the best spots on a sheet for a patch, so that grain and tone run on across the seam.
 *
 * @throws RangeError for a patch larger than the sheet, an outline over the picture's border, a picture without wood round the patch,
 *   pictures too large
 */
export async function placePatch(input: PlaceInput, job: JobContext = {}): Promise<PlaceResult> {
  const { grainToleranceDegrees: tolerance, flips, top } = input;
  const targetImage = asRaster('The picture of the face', input.target.image);
  const donorImage = asRaster('The picture of the sheet', input.donor.image);
  for (const o of [input.target.outline, input.donor.outline, ...(input.donor.keepOut ?? [])])
    assertOutline(o);
  const notes: string[] = [];
  const [targetMm, donorMm] = [input.mmPerPixel, input.donorMmPerPixel ?? input.mmPerPixel];
  if (Math.abs(targetMm / donorMm - 1) > 1e-6)
    notes.push(
      `The two pictures have different scales (${targetMm.toFixed(3)} and ${donorMm.toFixed(3)} mm a pixel): the finer one was made as coarse as the other.`,
    );
  const box = boundingBox(input.target.outline);
  const { width: wMm, height: hMm } = {
    width: targetImage.width * targetMm,
    height: targetImage.height * targetMm,
  };
  if (
    box.left < -0.5 * targetMm ||
    box.top < -0.5 * targetMm ||
    box.right > wMm + 0.5 * targetMm ||
    box.bottom > hMm + 0.5 * targetMm
  )
    throw new RangeError(
      'The outline lies over the border of the picture of the face. Drag it back, or take a picture that shows all of it.',
    );
  const patch = input.target.outline;
  const middle = centroidOf(patch);
  if (areaOf(patch) > areaOf(input.donor.outline))
    throw new RangeError(
      'The patch is larger than what is left of the sheet. Take a larger one, or put the patch together from two.',
    );
  const reachMm =
    Math.max(...patch.map(([x, y]) => Math.hypot(x - middle[0], y - middle[1]))) + input.target.ringMm;
  const donorMp = (mmPx: number): number =>
    (donorImage.width * donorImage.height * (donorMm / mmPx) ** 2) / 1e6;
  const workMm = Math.max(
    targetMm,
    donorMm,
    reachMm / FINEST.reachPx,
    donorMm * Math.sqrt(donorMp(donorMm) / FINEST.megapixels),
  );
  const target = shrinkAll(planesOf(targetImage), workMm / targetMm);
  const donor = shrinkAll(planesOf(donorImage), workMm / donorMm);
  await breathe(job, 0.02);

  const at = (mmPx: number, p: Polygon): Point[] => p.map(([x, y]): Point => [x / mmPx, y / mmPx]);
  const reachPx = reachMm / workMm;
  const acrossPx =
    Math.min(box.right - box.left, box.bottom - box.top) / workMm + (2 * input.target.ringMm) / workMm;
  let factor = coarseFactor(donor.bright, reachPx, FIELD);
  for (
    let points = FIELD * 2;
    acrossPx / factor < LEAST_ACROSS_PX && factor > 1 && points <= 8 * FIELD;
    points *= 2
  )
    factor = coarseFactor(donor.bright, reachPx, points);

  const level = (by: number): { target: Planes; donor: Planes; ring: Ring; mmPx: number } => {
    const small = by === 1 ? target : shrinkAll(target, by);
    const mmPx = workMm * by;
    const ring = ringOf(
      small,
      at(mmPx, patch),
      Math.max(1.5, input.target.ringMm / mmPx),
      (input.target.leaveOut ?? []).map((o) => at(mmPx, o)),
      input.target.within && at(mmPx, input.target.within),
    );
    return { target: small, donor: by === 1 ? donor : shrinkAll(donor, by), ring, mmPx };
  };
  /** Whether the whole patch lies on what is left of the sheet, the slack taken off all round. */
  const allowedAt = (mmPx: number, slackPx: number): ((f: Turn, p: Point) => boolean) => {
    const [cut, sheet] = [at(mmPx, patch), at(mmPx, input.donor.outline)];
    const closed = (input.donor.keepOut ?? []).map((o) => at(mmPx, o));
    const c: Point = [middle[0] / mmPx, middle[1] / mmPx];
    const rim = around(cut).map((p): Point => {
      const d = Math.hypot(p[0] - c[0], p[1] - c[1]);
      const k = Math.max(0, d - slackPx) / Math.max(d, 1e-9);
      return [(p[0] - c[0]) * k, (p[1] - c[1]) * k];
    });
    // A hair of slack, so that a patch may lie against the sheet's own edge.
    const onSheet = containment(offsetOutline(sheet, 0.05)[0] ?? sheet);
    const shut = closed.map(containment);
    return (turn, p) => {
      if (!onSheet(p[0], p[1])) return false;
      for (const r of rim) {
        const [dx, dy] = laidOn(r, turn);
        if (!onSheet(p[0] + dx, p[1] + dy)) return false;
        for (const within of shut) if (within(p[0] + dx, p[1] + dy)) return false;
      }
      // A place that is kept out may lie wholly inside the patch.
      if (shut.length === 0) return true;
      const lies = containment(outlineOn(cut, c, turn, p));
      return !closed.some((o) => o.some((v) => lies(v[0], v[1])));
    };
  };

  const first = level(factor);
  if (first.ring.weights.data.every((w) => w === 0))
    throw new RangeError(
      'There is no sound wood round the patch in the picture. Take a picture that shows more of the face, or make the ring wider.',
    );
  const stepDegrees = Math.max(0.5, (TURN_PX / Math.max(4, first.ring.reachPx)) * (180 / Math.PI) * 2);
  const turns = turnsOf(tolerance, stepDegrees, flips);
  const apartPx = (APART_SHARE.value * Math.max(box.right - box.left, box.bottom - box.top)) / first.mmPx;
  let found = await coarse(
    {
      target: first.target.bright,
      ring: first.ring,
      donor: first.donor.bright,
      turns,
      allowed: allowedAt(first.mmPx, 1.5),
      keep: KEPT.coarse,
      apartPx,
    },
    { ...job, progress: (f) => job.progress?.(0.05 + 0.6 * f) },
  );
  if (found.length === 0)
    throw new RangeError(
      'The patch fits nowhere on what is left of the sheet within the turn that the grain allows. Take a larger sheet, or allow a little more turn.',
    );

  const withinTurn = ({ degrees }: Turn): boolean =>
    Math.abs(((((degrees + 90) % 180) + 180) % 180) - 90) <= tolerance + 1e-9;
  let now = first;
  let turnStep = stepDegrees / 2;
  for (let by = factor; ;) {
    const next = by > 1 ? Math.max(1, by / 2) : 1;
    const here = next === by ? now : level(next);
    const scale = now.mmPx / here.mmPx;
    const fine = next === 1;
    const samples = samplesOf(here.target, here.ring, fine ? SAMPLES.fine : SAMPLES.middle);
    const allowed = allowedAt(here.mmPx, fine ? 0 : 1);
    const can = (f: Found): boolean => withinTurn(f) && allowed(f, [f.x, f.y]);
    const climbed: Found[] = [];
    for (const [i, f] of found.entries()) {
      if (i % 4 === 0) await breathe(job, 0.65 + 0.3 * (i / found.length));
      const from = { ...f, x: f.x * scale, y: f.y * scale };
      climbed.push(
        climb(
          samples,
          here.donor,
          from,
          { px: Math.max(1, scale / 2), degrees: turnStep },
          { px: fine ? 0.2 : 0.5, degrees: fine ? 0.05 : turnStep / 4 },
          can,
        ),
      );
    }
    found = climbed
      .filter((f) => f.score > -1)
      .sort((a, b) => b.score - a.score)
      .slice(0, fine ? KEPT.coarse : KEPT.middle);
    turnStep = Math.max(0.1, turnStep / 2);
    now = here;
    if (fine) break;
    by = next;
  }
  if (found.length === 0)
    throw new RangeError(
      'The patch fits nowhere on what is left of the sheet within the turn that the grain allows. Take a larger sheet, or allow a little more turn.',
    );
  const apart = (APART_SHARE.value * Math.max(box.right - box.left, box.bottom - box.top)) / now.mmPx;
  const taken: Found[] = [];
  for (const f of found)
    if (taken.length < top && taken.every((o) => Math.hypot(o.x - f.x, o.y - f.y) >= apart)) taken.push(f);
  await breathe(job, 1);
  return {
    placements: taken.map((f) => ({
      xMm: f.x * now.mmPx,
      yMm: f.y * now.mmPx,
      degrees: turned(f.degrees),
      flipped: f.flipped,
      seamError: Math.max(0, 1 - f.score),
    })),
    notes,
  };
}

/** Between −180 and 180. */
const turned = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

const RIM_POINTS = 8;
/** Corners of an outline and points between them. */
const around = (outline: Polygon): Point[] =>
  sides(outline).flatMap(([a, b]) =>
    Array.from({ length: RIM_POINTS }, (_, i): Point => [
      a[0] + ((b[0] - a[0]) * i) / RIM_POINTS,
      a[1] + ((b[1] - a[1]) * i) / RIM_POINTS,
    ]),
  );
