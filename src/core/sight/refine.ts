import type { Point } from '../geometry';
import type { Planes } from '../picture';
import { valueAt } from './edges';
import type { Quad } from './judge';

const { hypot } = Math;

/** Places measured along a side, and how far to either side of it, px. */
const PLACES = 40;
const REACH = 5;
const QUARTER = 0.25;

/** Edges between pixels change over two of them: the place is the centre of what changes at least half as much as the crest. */
const CREST_SHARE = 0.5;

/** Where the colour changes most across a side near a point: px off the side, with how much it changes. */
function stepAt(
  planes: Planes,
  x: number,
  y: number,
  nx: number,
  ny: number,
): { off: number; change: number } {
  const count = (2 * REACH) / QUARTER + 1;
  const changes = Array.from({ length: count }, (_, k) => {
    const off = k * QUARTER - REACH;
    let sum = 0;
    for (const p of planes.channels) {
      const ahead = valueAt(p, x + (off + 1) * nx, y + (off + 1) * ny);
      const d = ahead - valueAt(p, x + (off - 1) * nx, y + (off - 1) * ny);
      sum += d * d;
    }
    return Math.sqrt(sum);
  });
  const most = changes.reduce((a, b) => Math.max(a, b), 0);
  const top = changes.indexOf(most);
  if (top < 0 || most === 0) return { off: 0, change: 0 };
  let [sum, moment] = [0, 0];
  for (const step of [1, -1])
    for (let k = step === 1 ? top : top - 1; (changes[k] ?? 0) >= CREST_SHARE * most; k += step) {
      const change = changes[k] ?? 0;
      sum += change;
      moment += change * k;
    }
  return { off: (moment / sum) * QUARTER - REACH, change: most };
}

/** A straight line through measured steps, weighted by how strong they are, without those that lie far off it. */
function lineThrough(steps: readonly { t: number; off: number; change: number }[]): {
  at: number;
  slope: number;
} {
  let used = steps;
  let line = { at: 0, slope: 0 };
  for (let round = 0; round < 4; round++) {
    const w = used.reduce((s, p) => s + p.change, 0) || 1;
    const mt = used.reduce((s, p) => s + p.change * p.t, 0) / w;
    const mo = used.reduce((s, p) => s + p.change * p.off, 0) / w;
    const tt = used.reduce((s, p) => s + p.change * (p.t - mt) ** 2, 0);
    const to = used.reduce((s, p) => s + p.change * (p.t - mt) * (p.off - mo), 0);
    const slope = tt > 0 ? to / tt : 0;
    line = { at: mo - slope * mt, slope };
    const far = steps.map((p) => Math.abs(p.off - line.at - line.slope * p.t));
    const typical = [...far].sort((a, b) => a - b)[Math.floor(far.length / 2)] ?? 1;
    used = steps.filter((_, i) => (far[i] ?? 0) <= Math.max(0.6, 2.5 * typical));
    if (used.length < 4) break;
  }
  return line;
}

/** A straight edge: a place on it and its direction. */
export type Side = { p: Point; d: Point };

/** The straight edge that runs between two places or beside, found between pixels from its steps of colour; a share of its ends is left out. */
export function sideBetween(planes: Planes, a: Point, b: Point, left = 0.06): Side {
  const long = hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
  const [nx, ny] = [uy, -ux];
  const steps = Array.from({ length: PLACES }, (_, k) => {
    const t = (left + ((1 - 2 * left) * k) / (PLACES - 1)) * long;
    return { t, ...stepAt(planes, a[0] + t * ux, a[1] + t * uy, nx, ny) };
  });
  const { at, slope } = lineThrough(steps);
  return { p: [a[0] + at * nx, a[1] + at * ny], d: [ux + slope * nx, uy + slope * ny] };
}

/** Where two edges meet; nothing for parallels. */
export function meeting(one: Side, two: Side): Point | undefined {
  const det = one.d[0] * two.d[1] - one.d[1] * two.d[0];
  if (Math.abs(det) < 1e-6) return undefined;
  const t = ((two.p[0] - one.p[0]) * two.d[1] - (two.p[1] - one.p[1]) * two.d[0]) / det;
  return [one.p[0] + t * one.d[0], one.p[1] + t * one.d[1]];
}

/** Moves each side onto the step of colour along it, between pixels. */
export function settled(quad: Quad, planes: Planes): Quad {
  const sides = quad.map((a, s) => sideBetween(planes, a, quad[(s + 1) % 4] ?? a));
  const corner = (i: number): Point => {
    const [one, two] = [sides[(i + 3) % 4], sides[i]];
    const old = quad[i] ?? [0, 0];
    return (one && two && meeting(one, two)) ?? old;
  };
  return [corner(0), corner(1), corner(2), corner(3)];
}
