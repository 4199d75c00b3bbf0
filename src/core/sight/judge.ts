import type { Point } from '../geometry';
import type { Planes } from '../picture';
import { edgeNear, STEP_PX, valueAt, type Edges } from './edges';

const { hypot, min, max, sqrt } = Math;

export type Quad = readonly [Point, Point, Point, Point];

/** What speaks for a quadrilateral being the outline of a thing, 0…1 each but `contrast`. */
export type Verdict = {
  /** Of the worst side, and of all four: how much of it is an edge with the same change from inside to outside. */
  worst: number;
  mean: number;
  /** Mean change of colour across the sides, 0…441. */
  contrast: number;
  /** How alike the change is on all four sides: 1 the same, 0 as much one way as the other. */
  alike: number;
  /** How many of the eight ends of the sides run on beyond the corner. */
  runsOn: number;
};

/** Places looked at along a side, from 4 to 96 % of it. */
const PLACES = 22;
/** A change of colour less than this is none. */
const LEAST_CHANGE = 9;
/** Beyond the corner a side is looked at for so much of its length. */
const BEYOND = [0.06, 0.1, 0.14];

/** Judges a quadrilateral, its corners clockwise as seen; gives up early on one whose sides are no edges. */
export function judge(quad: Quad, edges: Edges, planes: Planes, weakest: number, least = 0): Verdict {
  const { width, height } = edges;
  let [worst, sum, contrast, runsOn] = [1, 0, 0, 0];
  const whole = { x: 0, y: 0, z: 0 };
  for (let s = 0; s < 4; s++) {
    const [ax, ay] = quad[s] ?? [0, 0];
    const [bx, by] = quad[(s + 1) % 4] ?? [0, 0];
    const long = hypot(bx - ax, by - ay);
    // Outwards, for corners that go round clockwise with y down.
    const [nx, ny] = [(by - ay) / long, -(bx - ax) / long];
    const found = new Float64Array(3 * PLACES);
    let [count, red, green, blue] = [0, 0, 0, 0];
    for (let k = 0; k < PLACES; k++) {
      const t = 0.04 + (0.92 * k) / (PLACES - 1);
      const x = ax + t * (bx - ax);
      const y = ay + t * (by - ay);
      if (x < STEP_PX || y < STEP_PX || x >= width - STEP_PX || y >= height - STEP_PX) continue;
      if (!edgeNear(edges, x, y, nx, ny, weakest)) continue;
      for (let c = 0; c < 3; c++) {
        const p = planes.channels[c] ?? planes.bright;
        found[3 * count + c] =
          valueAt(p, x + STEP_PX * nx, y + STEP_PX * ny) - valueAt(p, x - STEP_PX * nx, y - STEP_PX * ny);
      }
      red += found[3 * count] ?? 0;
      green += found[3 * count + 1] ?? 0;
      blue += found[3 * count + 2] ?? 0;
      count++;
    }
    const size = hypot(red, green, blue) / max(1, count);
    let alike = 0;
    for (let k = 0; k < count; k++) {
      const r = found[3 * k] ?? 0;
      const g = found[3 * k + 1] ?? 0;
      const b = found[3 * k + 2] ?? 0;
      if (r * red + g * green + b * blue > 0 && hypot(r, g, b) > LEAST_CHANGE) alike++;
    }
    const share = alike / PLACES;
    worst = min(worst, share);
    if (worst < least) return { worst, mean: 0, contrast: 0, alike: 0, runsOn: 0 };
    sum += share;
    contrast += size / 4;
    whole.x += red / max(1, count) / 4;
    whole.y += green / max(1, count) / 4;
    whole.z += blue / max(1, count) / 4;
    for (const [fx, fy, tx, ty] of [
      [ax, ay, ax - bx, ay - by],
      [bx, by, bx - ax, by - ay],
    ] as const)
      // prettier-ignore
      if (BEYOND.every((b) => edgeNear(edges, fx + b * tx, fy + b * ty, nx, ny, weakest))) runsOn++;
  }
  return {
    worst,
    mean: sum / 4,
    contrast,
    alike: contrast > 0 ? hypot(whole.x, whole.y, whole.z) / contrast : 0,
    runsOn,
  };
}

/** How much a verdict is worth, 0…1. */
export const worthOf = ({ worst, mean, contrast, alike, runsOn }: Verdict): number =>
  sqrt(worst * mean) * (contrast / (contrast + 40)) * alike * (1 - 0.08 * runsOn);
