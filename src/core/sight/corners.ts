import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import type { Point } from '../geometry';
import { asRaster, planesOf, shrinkAll, type Planes, type Raster } from '../picture';
import { memory } from '../sources';
import { edgesOf, smooth, weakestOf } from './edges';
import { imageSchema } from './image';
import { coverBetween, crossing, linesOf, type Line } from './lines';
import { meeting, sideBetween } from './refine';

const { abs, hypot, max } = Math;

/** Input of `photo.corners`; at the shell door the image is `{file}`. */
export const cornersSchema = Joi.object({ image: imageSchema.required() });

export type PhotoCorner = {
  /** In shares of the picture. */
  at: Point;
  /** How much of its two edges is seen beside it, 0…1. */
  worth: number;
};

/** The picture is looked at with so many pixels along its longer side. */
const SIDE_PX = 420;
/** Two edges make a corner when they cross at no less than this, as a sine (48°). */
const LEAST_LEAN = 0.74;
/** So much of each edge beside the corner is looked at, px, and so much of it must be edge. */
const ARM_PX = 30;
const LEAST_COVER = 0.7;
/** Close to the corner both edges are blurred into one. */
const NEAR_CORNER_PX = 4;
/** Corners closer than this are one. */
const SAME_PX = 5;
const MOST = 240;

/** A handle that is dragged this near to a corner lies on it, pixels of the screen. */
export const CATCH = { px: 14, source: memory('about half of what a fingertip covers on a screen') };

/** The arm of an edge that leaves a crossing, one way or the other: whichever shows more edge. */
function armOf(line: Line, at: Point): { to: Point; from: Point; cover: number } {
  const arms = [1, -1].map((way) => {
    const [dx, dy] = [-line.sin * way, line.cos * way];
    const from: Point = [at[0] + NEAR_CORNER_PX * dx, at[1] + NEAR_CORNER_PX * dy];
    const to: Point = [at[0] + ARM_PX * dx, at[1] + ARM_PX * dy];
    return { from, to, cover: coverBetween(line, from, to) };
  });
  return arms.reduce((a, b) => (b.cover > a.cover ? b : a));
}

/**
 * Registry `photo.corners`: places of a photo where two straight edges meet, the clearest first, for a dragged handle to catch on.
 *
 * @returns at most 240, none closer to another than about 1 % of the longer side
 */
export async function findCorners(
  { image: given }: { image: Raster },
  job: JobContext = {},
): Promise<{ corners: PhotoCorner[] }> {
  const image = asRaster('The photo', given);
  const sharp = shrinkAll(planesOf(image), max(1, max(image.width, image.height) / SIDE_PX));
  const [r, g, b] = sharp.channels;
  const planes: Planes = { ...sharp, channels: [smooth(r), smooth(g), smooth(b)] };
  await breathe(job, 0.3);
  const edges = edgesOf(planes);
  const lines = linesOf(edges, weakestOf(edges));
  const { width, height } = edges;
  await breathe(job, 0.6);
  type Arm = ReturnType<typeof armOf>;
  const seen: { at: Point; worth: number; arms: readonly [Arm, Arm] }[] = [];
  for (const [i, one] of lines.entries())
    for (const two of lines.slice(i + 1)) {
      if (abs(one.cos * two.sin - one.sin * two.cos) < LEAST_LEAN) continue;
      const at = crossing(one, two);
      if (!at || at[0] < 0 || at[1] < 0 || at[0] > width - 1 || at[1] > height - 1) continue;
      const arms = [armOf(one, at), armOf(two, at)] as const;
      const worth = Math.min(arms[0].cover, arms[1].cover);
      if (worth >= LEAST_COVER) seen.push({ at, worth, arms });
    }
  seen.sort((p, q) => q.worth - p.worth);
  const kept: { at: Point; rough: Point; worth: number }[] = [];
  for (const { at, worth, arms } of seen) {
    if (kept.length >= MOST) break;
    if (kept.some((k) => hypot(k.rough[0] - at[0], k.rough[1] - at[1]) <= SAME_PX)) continue;
    const [one, two] = arms.map((arm) => sideBetween(sharp, arm.from, arm.to, 0));
    const fine = (one && two && meeting(one, two)) ?? at;
    // What moved far was no corner but two edges that pass each other.
    const place = hypot(fine[0] - at[0], fine[1] - at[1]) <= SAME_PX ? fine : at;
    kept.push({ at: place, rough: at, worth });
  }
  // Pixel centres lie at whole numbers here, and at halves in the picture.
  return {
    corners: kept.map(({ at: [x, y], worth }) => ({ at: [(x + 0.5) / width, (y + 0.5) / height], worth })),
  };
}

/** The corner that a dragged place catches on, or the place itself. @param reachPx in the same pixels as the places */
export function caught(place: Point, corners: readonly Point[], reachPx: number): Point {
  let [best, least] = [place, reachPx];
  for (const corner of corners) {
    const far = hypot(corner[0] - place[0], corner[1] - place[1]);
    if (far <= least) [best, least] = [corner, far];
  }
  return best;
}
