import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import { areaOf, contains, REFERENCE_OBJECTS, type Point } from '../geometry';
import { asRaster, planesOf, shrinkAll, type Planes, type Raster } from '../picture';
import { derived } from '../sources';
import { edgesOf, smooth, weakestOf } from './edges';
import { imageSchema } from './image';
import { judge, worthOf, type Quad } from './judge';
import { coverBetween, crossing, linesOf, type Line } from './lines';
import { settled } from './refine';

const { hypot, atan2, PI, abs, log, exp, max, min, sin } = Math;

export type KnownThing = 'face' | keyof typeof REFERENCE_OBJECTS;
export type KnownInput = {
  image: Raster;
  object: KnownThing;
  /** Corners that lie near, in shares of the picture: they are moved onto the edges, and nothing is looked for. */
  near?: readonly Point[];
};
export type KnownFound = {
  /** Corners in shares of the picture, from the one that is uppermost on the left, clockwise, a long side first where the thing has one. */
  corners: Point[];
  /** 0…1: how much speaks for it. */
  worth: number;
};

export const KNOWN_SOURCE = derived(
  'straight edges (Hough) put together to quadrilaterals, judged by the change of colour along all four sides, then moved onto it between pixels',
);
/** Below this it is not proposed. */
const LEAST_WORTH = 0.2;

/** The picture is looked at with so many pixels along its longer side. */
const SIDE_PX = 420;
/** Opposite sides may run so far from parallel, degrees; no corner is sharper or blunter than this. */
const TILT = 32;
const CORNER = { least: 48, most: 132 };
/** Shares of the picture's area that the thing may take. */
const AREA: Record<'small' | 'face', { least: number; most: number }> = {
  small: { least: 0.008, most: 0.75 },
  face: { least: 0.12, most: 0.98 },
};
/** Quadrilaterals that are judged, and looked at closely; of those that nearly are one another only the best. */
const JUDGED = 6000;
const CLOSELY = 20;
/** Two are the same whose corners all lie so close, in diagonals of the picture. */
const SAME = 0.02;
/** Moved onto the edge between pixels a side may count as a little less than on whole ones; where it counts far less it went astray. */
const SETTLED = 0.8;
const LEAST_SHARE = 0.3;
/** A side is edge for so much of its length, and no shorter than this. */
const LEAST_COVER = 0.5;
const LEAST_SIDE_PX = 16;

/** Input of `photo.known`; at the shell door the image is `{file}`. */
export const knownSchema = Joi.object({
  image: imageSchema.required(),
  object: Joi.string()
    .valid('face', ...Object.keys(REFERENCE_OBJECTS))
    .required(),
  near: Joi.array()
    .items(Joi.array().items(Joi.number().min(-2).max(3)).length(2))
    .length(4),
});

const angleAt = (a: Point, b: Point, c: Point): number => {
  const [ux, uy, vx, vy] = [a[0] - b[0], a[1] - b[1], c[0] - b[0], c[1] - b[1]];
  return abs((atan2(ux * vy - uy * vx, ux * vx + uy * vy) * 180) / PI);
};

const sidesOf = (q: Quad): number[] =>
  q.map((a, i) => hypot((q[(i + 1) % 4]?.[0] ?? 0) - a[0], (q[(i + 1) % 4]?.[1] ?? 0) - a[1]));

/** How well its proportions fit, 0…1: a view at an angle shortens a side, but not by much. */
function fitsProportions(quad: Quad, object: KnownThing): number {
  if (object === 'face') return 1;
  const { widthMm, heightMm } = REFERENCE_OBJECTS[object];
  const [a = 1, b = 1, c = 1, d = 1] = sidesOf(quad);
  const seen = (a + c) / (b + d);
  const off = abs(abs(log(seen)) - log(widthMm / heightMm));
  return exp(-((off / 0.22) ** 2) / 2);
}

/** Whether a quadrilateral may be the thing at all: its size, its corners, its place. */
function isPossible(quad: Quad, width: number, height: number, object: KnownThing): boolean {
  const share = areaOf(quad) / (width * height);
  const { least, most } = AREA[object === 'face' ? 'face' : 'small'];
  if (share < least || share > most) return false;
  for (let i = 0; i < 4; i++) {
    const b = quad[i];
    const [a, c] = [quad[(i + 3) % 4], quad[(i + 1) % 4]];
    if (!a || !b || !c) return false;
    if (b[0] < -2 || b[1] < -2 || b[0] > width + 2 || b[1] > height + 2) return false;
    const angle = angleAt(a, b, c);
    if (angle < CORNER.least || angle > CORNER.most) return false;
  }
  return true;
}

/** Corners clockwise as seen (y down). */
function clockwise(a: Point, b: Point, c: Point, d: Point): Quad {
  const turn = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
  return turn > 0 ? [a, b, c, d] : [a, d, c, b];
}

/** The sine of the angle between two lines. */
const leanOf = (a: Line, b: Line): number => abs(a.cos * b.sin - a.sin * b.cos);
const sine = (degrees: number): number => sin((degrees * PI) / 180);
const SIDES_LEAN = sine(TILT);
const CORNER_LEAN = sine(CORNER.least);

const NOWHERE: Quad = [[0, 0], [0, 0], [0, 0], [0, 0]]; // prettier-ignore
type Candidate = { quad: Quad; worth: number };

/** Quadrilaterals whose four sides are mostly edge; nothing at each new line, so that the work can be stopped there. */
function* quadsOf(
  lines: readonly Line[],
  width: number,
  height: number,
): Generator<{ quad: Quad; cover: number } | undefined> {
  const within = (p: Point): boolean => p[0] > -3 && p[1] > -3 && p[0] < width + 3 && p[1] < height + 3;
  for (let i = 0; i < lines.length; i++) {
    const a = lines[i];
    if (!a) continue;
    yield undefined;
    for (const c of lines.slice(i + 1)) {
      if (leanOf(a, c) > SIDES_LEAN) continue;
      // Lines that join the two, with where.
      const across: { line: Line; onA: Point; onC: Point; cover: number }[] = [];
      for (const line of lines) {
        if (line === a || line === c || leanOf(a, line) < CORNER_LEAN) continue;
        const onA = crossing(a, line);
        const onC = crossing(c, line);
        if (!onA || !onC || !within(onA) || !within(onC)) continue;
        if (hypot(onA[0] - onC[0], onA[1] - onC[1]) < LEAST_SIDE_PX) continue;
        const cover = coverBetween(line, onA, onC);
        if (cover >= LEAST_COVER) across.push({ line, onA, onC, cover });
      }
      for (let k = 0; k < across.length; k++)
        for (let m = k + 1; m < across.length; m++) {
          const b = across[k];
          const d = across[m];
          if (!b || !d) continue;
          if (leanOf(b.line, d.line) > SIDES_LEAN) continue;
          if (hypot(b.onA[0] - d.onA[0], b.onA[1] - d.onA[1]) < LEAST_SIDE_PX) continue;
          const onA = coverBetween(a, b.onA, d.onA);
          const onC = coverBetween(c, b.onC, d.onC);
          if (onA < LEAST_COVER || onC < LEAST_COVER) continue;
          yield {
            quad: clockwise(b.onA, d.onA, d.onC, b.onC),
            cover: min(onA, onC, b.cover, d.cover) * (onA + onC + b.cover + d.cover),
          };
        }
    }
  }
}

/** The best so many. */
function best(count: number): { offer: (c: Candidate) => void; kept: () => Candidate[] } {
  let list: Candidate[] = [];
  let least = 0;
  const sift = (): void => {
    list = list.sort((p, q) => q.worth - p.worth).slice(0, count);
    least = list[count - 1]?.worth ?? 0;
  };
  return {
    offer: (c) => {
      if (c.worth <= least) return;
      list.push(c);
      if (list.length >= 2 * count) sift();
    },
    kept: () => {
      sift();
      return list;
    },
  };
}

/** The first so many of which none is nearly another. @param near px */
function apart(list: readonly Candidate[], count: number, near: number): Candidate[] {
  const kept: Candidate[] = [];
  for (const c of list) {
    if (kept.length >= count) break;
    if (!kept.some((k) => sameQuad(k.quad, c.quad, near))) kept.push(c);
  }
  return kept;
}

const sameQuad = (a: Quad, b: Quad, near: number): boolean =>
  a.every(([x, y]) => b.some(([u, v]) => hypot(u - x, v - y) < near));

const dearer = (a: Candidate, b: Candidate): Candidate => (b.worth > a.worth ? b : a);

/** What lies on a thing is the card rather than the thing: it takes no more of it than this, and is worth as much of it at least. */
const ON = { most: 0.35, worth: 0.45 };

/** The best that lies on the one found, where there is one: a card lies on the face, and the face may look like a card. */
function lyingOn(found: Candidate, all: readonly Candidate[]): Candidate {
  const area = areaOf(found.quad);
  const on = all.filter(
    (c) =>
      c.worth >= ON.worth * found.worth &&
      areaOf(c.quad) <= ON.most * area &&
      c.quad.every((p) => contains(found.quad, p)),
  );
  return on.reduce(dearer, on[0] ?? found);
}

/** How dear a place is by what is asked for: of two that are alike the larger face is the face; a card may be of any size. */
const wantedSize = (quad: Quad, pixels: number, object: KnownThing): number =>
  (areaOf(quad) / pixels) ** (object === 'face' ? 0.5 : 0.04);

/** What its proportions and its size say for it. */
const shapeOf = (quad: Quad, pixels: number, object: KnownThing): number =>
  fitsProportions(quad, object) * wantedSize(quad, pixels, object);

/**
 * Registry `photo.known`: where a card, a sheet or the face itself lies in a photo. A proposal, for a finger to correct.
 *
 * @returns nothing found: no corners, worth 0
 */
export async function findKnown(
  { image: given, object, near }: KnownInput,
  job: JobContext = {},
): Promise<KnownFound> {
  const image = asRaster('The photo', given);
  const by = max(1, max(image.width, image.height) / SIDE_PX);
  const sharp = shrinkAll(planesOf(image), by);
  const [r, g, b] = sharp.channels;
  const planes: Planes = { ...sharp, channels: [smooth(r), smooth(g), smooth(b)] };
  await breathe(job, 0.2);
  const edges = edgesOf(planes);
  const weakest = weakestOf(edges);
  const inShares = (quad: readonly Point[]): Point[] =>
    // Pixel centres lie at whole numbers here, and at halves in the picture.
    quad.map(([x, y]): Point => [(x + 0.5) / edges.width, (y + 0.5) / edges.height]);
  if (near) {
    const [a, b, c, d] = near.map(([x, y]): Point => [x * edges.width - 0.5, y * edges.height - 0.5]);
    if (!a || !b || !c || !d) throw new RangeError('Four corners are needed.');
    const quad = settled(settled([a, b, c, d], sharp), sharp);
    return { corners: inShares(quad), worth: worthOf(judge(quad, edges, planes, weakest)) };
  }
  const lines = linesOf(edges, weakest);
  await breathe(job, 0.4);
  const { width, height } = edges;
  const pixels = width * height;
  const some = best(JUDGED);
  let done = 0;
  for (const found of quadsOf(lines, width, height)) {
    if (!found) {
      await breathe(job, 0.4 + (0.5 * ++done) / lines.length);
      continue;
    }
    const { quad, cover } = found;
    if (!isPossible(quad, width, height, object)) continue;
    some.offer({ quad, worth: cover * shapeOf(quad, pixels, object) });
  }
  const few = best(JUDGED);
  for (const { quad } of some.kept())
    few.offer({
      quad,
      worth: shapeOf(quad, pixels, object) * worthOf(judge(quad, edges, planes, weakest, LEAST_SHARE)),
    });
  const distinct = apart(few.kept(), CLOSELY, SAME * hypot(width, height));
  await breathe(job, 0.9);
  const rated = (quad: Quad): Candidate => ({
    quad,
    worth: isPossible(quad, width, height, object)
      ? shapeOf(quad, pixels, object) * worthOf(judge(quad, edges, planes, weakest))
      : 0,
  });
  const fine = distinct.map(({ quad }) => {
    const rough = rated(quad);
    const exact = rated(settled(settled(quad, sharp), sharp));
    return exact.worth >= SETTLED * rough.worth ? exact : rough;
  });
  const first = fine.reduce(dearer, { quad: NOWHERE, worth: 0 });
  const looked = object === 'face' || first.worth === 0 ? first : lyingOn(first, fine);
  const certain = looked.worth > 0 ? worthOf(judge(looked.quad, edges, planes, weakest)) : 0;
  if (certain < LEAST_WORTH) return { corners: [], worth: 0 };
  return {
    corners: inShares(ordered(looked.quad, object)),
    worth: min(1, certain),
  };
}

/** From the corner that is uppermost on the left, clockwise; the first side is a long one where the thing's width is its long side. */
function ordered(quad: Quad, object: KnownThing): Point[] {
  const first = [0, 1, 2, 3].reduce((a, b) => ((quad[b]?.[0] ?? 0) + (quad[b]?.[1] ?? 0) < (quad[a]?.[0] ?? 0) + (quad[a]?.[1] ?? 0) ? b : a)); // prettier-ignore
  const from = (k: number): Point[] => [0, 1, 2, 3].map((i) => quad[(k + i) % 4] ?? [0, 0]);
  if (object === 'face') return from(first);
  const [a = 0, b = 0, c = 0, d = 0] = sidesOf(quad);
  const longFirst = a + c >= b + d;
  const even = first % 2 === 0;
  // The side that starts at an even corner is long, or the one at an odd corner.
  return from(even === longFirst ? first : (first + 3) % 4);
}
