import type { Point } from '../geometry';
import { edgeNear, type Edges } from './edges';

const { cos, sin, PI, atan2, hypot, round, sqrt, abs } = Math;

/** A straight edge: the points with x·cos + y·sin = off, px; along it `from` and so many pixels on, how many of them are edge. */
export type Line = {
  cos: number;
  sin: number;
  off: number;
  from: number;
  /** How many of the pixels from the beginning to here lie on an edge that runs this way. */
  covered: Int32Array;
};

/** Directions looked at over half a turn, and how many to either side an edge's own may be off. */
const DIRECTIONS = 240;
const SLACK = 5;
/** So many lines are kept, and in each part of the half turn so many: grain must not crowd out what crosses it. */
const MOST = { all: 220, part: 26 };
const PARTS = 18;
/** Two lines closer than this are one: steps of direction, px. */
const SAME = { steps: 3, px: 3 };

/**
 * The strongest straight edges of a picture (Hough, each crest voting for lines across its own slope).
 *
 * @source Duda, Hart: Use of the Hough transformation to detect lines and curves in pictures, Comm. ACM 15 (1972)
 */
export function linesOf(edges: Edges, weakest: number): Line[] {
  const { width, height, dx, dy, crest } = edges;
  const reach = Math.ceil(hypot(width, height));
  const columns = 2 * reach + 1;
  const votes = new Float32Array(DIRECTIONS * columns);
  const cosines = Float64Array.from({ length: DIRECTIONS }, (_, i) => cos((i * PI) / DIRECTIONS));
  const sines = Float64Array.from({ length: DIRECTIONS }, (_, i) => sin((i * PI) / DIRECTIONS));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const o = y * width + x;
      const g = crest[o] ?? 0;
      if (g < weakest) continue;
      // A strong edge counts more, but not by as much as it is stronger: a thing may lie half in shadow.
      const weight = sqrt(g);
      const own = round((atan2(dy[o] ?? 0, dx[o] ?? 0) / PI) * DIRECTIONS);
      for (let d = own - SLACK; d <= own + SLACK; d++) {
        const i = ((d % DIRECTIONS) + DIRECTIONS) % DIRECTIONS;
        const off = round(x * (cosines[i] ?? 0) + y * (sines[i] ?? 0)) + reach;
        votes[i * columns + off] = (votes[i * columns + off] ?? 0) + weight;
      }
    }
  const peaks: { i: number; off: number; votes: number }[] = [];
  const at = (i: number, off: number): number => {
    // Half a turn on, the same line has its distance the other way.
    const wrapped = ((i % DIRECTIONS) + DIRECTIONS) % DIRECTIONS;
    return votes[wrapped * columns + (wrapped === i ? off : 2 * reach - off)] ?? 0;
  };
  const least = 0.025 * hypot(width, height) * sqrt(weakest);
  for (let i = 0; i < DIRECTIONS; i++)
    for (let off = 2; off < columns - 2; off++) {
      const v = votes[i * columns + off] ?? 0;
      if (v < least) continue;
      let top = true;
      for (let a = -2; a <= 2 && top; a++)
        for (let b = -2; b <= 2 && top; b++) if ((a !== 0 || b !== 0) && at(i + a, off + b) > v) top = false;
      if (top) peaks.push({ i, off: off - reach, votes: v });
    }
  peaks.sort((a, b) => b.votes - a.votes);
  const kept: typeof peaks = [];
  const inPart = new Int32Array(PARTS);
  for (const p of peaks) {
    if (kept.length >= MOST.all) break;
    const part = Math.floor((p.i * PARTS) / DIRECTIONS);
    if ((inPart[part] ?? 0) >= MOST.part) continue;
    const twin = kept.some((k) => {
      const turn = abs(k.i - p.i);
      const near = turn <= SAME.steps || turn >= DIRECTIONS - SAME.steps;
      return near && abs((turn > DIRECTIONS / 2 ? -k.off : k.off) - p.off) <= SAME.px;
    });
    if (twin) continue;
    inPart[part] = (inPart[part] ?? 0) + 1;
    kept.push(p);
  }
  return kept.map((p) => {
    const [c, n] = [cosines[p.i] ?? 1, sines[p.i] ?? 0];
    const covered = new Int32Array(columns);
    for (let k = 1; k < columns; k++) {
      // Along the line its own direction is (−sin, cos).
      const x = p.off * c - (k - reach) * n;
      const y = p.off * n + (k - reach) * c;
      covered[k] = (covered[k - 1] ?? 0) + (edgeNear(edges, x, y, c, n, weakest) ? 1 : 0);
    }
    return { cos: c, sin: n, off: p.off, from: -reach, covered };
  });
}

/** How far along a line a point of it lies, as `covered` counts. */
const placeOn = (line: Line, at: Point): number => round(-at[0] * line.sin + at[1] * line.cos - line.from);

/** What share of a line between two of its points is edge, 0…1. */
export function coverBetween(line: Line, a: Point, b: Point): number {
  const p = placeOn(line, a);
  const q = placeOn(line, b);
  const long = abs(q - p);
  return long < 1 ? 0 : abs((line.covered[q] ?? 0) - (line.covered[p] ?? 0)) / long;
}

/** Where two lines cross; nothing for parallels. */
export function crossing(a: Line, b: Line): Point | undefined {
  const det = a.cos * b.sin - a.sin * b.cos;
  if (abs(det) < 1e-6) return undefined;
  return [(a.off * b.sin - b.off * a.sin) / det, (b.off * a.cos - a.off * b.cos) / det];
}
