import { areaOf, areaOfAll, contains, distance, distanceToBoundary, intersectionOf, nearestOnSegment, sides, type Point, type Polygon } from '../geometry'; // prettier-ignore
import { memory, practice, sourced } from '../sources';
import type { Patch } from './patch';

const { acos, hypot, max, min, PI, sin } = Math;

/** A seam along the grain counts so much of one square across it. */
const ALONG_COUNTS = sourced(0.2, practice('a seam with the grain is cheap'));
/** What is this near to square across the grain is dear under a clear finish. */
const SQUARE_FROM_DEG = sourced(75, practice('never a line square across the grain on a clear-finished show face')); // prettier-ignore
const SQUARE_COUNTS = sourced(
  3,
  memory('a square line is seen from across the room, a slanted one is looked for'),
);
/** Of the seam on a dark figure line so much is hidden. */
const LINE_HIDES = sourced(0.8, memory('a seam along a dark line of the figure is nearly free'));
/** Under paint every way is alike; what counts is that the seam is short. */
const PAINTED_COUNTS = sourced(0.3, memory('a seam that is filled and painted over'));
/** So much sound wood cut away weighs as a millimetre of seam square across. mm² */
const SOUND_MM2 = sourced(80, memory('sound old wood is not given up for nothing'));
/** What knife and rule can do. */
const LEAST_SIDE_MM = sourced(3, memory('a shorter side is hardly cut with a rule'));
const LEAST_CORNER_DEG = sourced(18, memory('a sharper point breaks off when it is pressed in'));
const ON_EDGE_MM = 0.05;

export const SEAM_SOURCE = practice(
  'least visible seam: on a figure line nearly free, with the grain cheap, slanted fair, square across dear',
);

/** How much a metre of seam is seen, by its angle to the grain: 1 for one square across. */
export function seenShare(degreesToGrain: number, underPaint = false): number {
  if (underPaint) return PAINTED_COUNTS.value;
  const s = sin((degreesToGrain * PI) / 180);
  const share = ALONG_COUNTS.value + (1 - ALONG_COUNTS.value) * s * s;
  return degreesToGrain >= SQUARE_FROM_DEG.value ? SQUARE_COUNTS.value * share : share;
}

const degreesTo = ([a, b]: readonly [Point, Point], grainDeg: number): number => {
  const deg = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / PI - grainDeg;
  const folded = ((deg % 180) + 180) % 180;
  return min(folded, 180 - folded);
};

const middleOf = ([a, b]: readonly [Point, Point]): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
const lengthOf = ([a, b]: readonly [Point, Point]): number => distance(a, b);

export type SeamCost = {
  /** All of it, in mm of seam square across the grain. */
  cost: number;
  /** Seam inside the face, and as it is seen: as long as a line square across. mm */
  seamMm: number;
  seenMm: number;
  /** Sound wood that is cut away. */
  soundMm2: number;
};

/**
 * How much the seam of a patch is seen.
 *
 * @param onLine share of a side of the recess that lies on a dark line of the figure, 0…1
 */
export function seamCost(
  { recess }: Pick<Patch, 'recess'>,
  damage: Polygon,
  face: Polygon,
  grainDeg: number,
  underPaint: boolean,
  onLine: (from: Point, to: Point) => number = () => 0,
): SeamCost {
  let [seamMm, seenMm] = [0, 0];
  for (const side of sides(recess)) {
    if (distanceToBoundary(middleOf(side), face) < ON_EDGE_MM) continue;
    const mm = lengthOf(side);
    seamMm += mm;
    seenMm +=
      mm * seenShare(degreesTo(side, grainDeg), underPaint) * (1 - LINE_HIDES.value * onLine(...side));
  }
  const soundMm2 = max(0, areaOf(recess) - areaOfAll(intersectionOf([recess], [damage])));
  return { cost: seenMm + soundMm2 / SOUND_MM2.value, seamMm, seenMm, soundMm2 };
}

/** What is wrong with an outline, in words; nothing when it can be cut and laid. @param length a length in words */
export function patchFaults(
  { recess }: Pick<Patch, 'recess'>,
  damage: Polygon,
  face: Polygon,
  marginMm: number,
  length: (mm: number) => string,
): string[] {
  const inside = intersectionOf([damage], [face]);
  const open = areaOfAll(inside) - areaOfAll(intersectionOf(inside, [recess]));
  const margin = marginLeft(recess, damage, face);
  const short = sides(recess).some((s) => lengthOf(s) < LEAST_SIDE_MM.value);
  const sharp = sides(recess).some(([a, b], i, all) => {
    const next = all[(i + 1) % all.length];
    if (!next) return false;
    const [u, v] = [[b[0] - a[0], b[1] - a[1]], [next[1][0] - b[0], next[1][1] - b[1]]] as const; // prettier-ignore
    const turn = acos(max(-1, min(1, (u[0] * v[0] + u[1] * v[1]) / (hypot(...u) * hypot(...v)))));
    return 180 - (turn * 180) / PI < LEAST_CORNER_DEG.value;
  });
  return [
    ...(open > 0.5 ? ['It leaves some of the damage uncovered.'] : []),
    ...(open <= 0.5 && margin < marginMm - 0.05 ? [`At its nearest it stands ${length(margin)} off the damage; ${length(marginMm)} of sound wood are wanted.`] : []),
    ...(short ? [`A side is shorter than ${length(LEAST_SIDE_MM.value)}: hard to cut with knife and rule.`] : []),
    ...(sharp ? ['A corner is so sharp that it breaks off when it is pressed in.'] : []),
  ]; // prettier-ignore
}

/** Sound wood between the damage and the seam at its narrowest; sides on the face's own edge do not count. mm */
function marginLeft(recess: Polygon, damage: Polygon, face: Polygon): number {
  const seams = sides(recess).filter((s) => distanceToBoundary(middleOf(s), face) >= ON_EDGE_MM);
  const fromDamage = damage
    .filter((p) => contains(face, p))
    .map((p) => min(...seams.map(([a, b]) => distance(p, nearestOnSegment(p, a, b)))));
  const fromSeam = seams.map(([a]) => distanceToBoundary(a, damage));
  return min(...fromDamage, ...fromSeam, Infinity);
}
