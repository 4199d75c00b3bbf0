import {
  boundingBox,
  centroidOf,
  containment,
  lineAngle,
  offsetOutline,
  sides,
  type Point,
  type Polygon,
} from '../geometry';
import { memory, sourced } from '../sources';
import type { Plane, Planes } from '../picture';

const { max, min, sqrt } = Math;

/** A pixel half of which lies beyond the face's edge is no wood. */
const WHOLLY_SHOWN = 0.98;

/** How much a place on the ring counts, as an image of its own over the target. */
export type Ring = {
  weights: Plane;
  /** Way of the grain in the ring, degrees clockwise from the x axis, and how surely, 0…1. */
  grainDeg: number;
  coherence: number;
  /** From the outline's middle to the farthest place of the ring. px */
  reachPx: number;
  middle: Point;
};

/** A seam along the grain hides itself; one across it is seen. */
const ALONG_COUNTS = sourced(
  0.35,
  memory('a seam along the grain shows about a third as much as one across it'),
);
/** The rim of a loss is bruised and dirty: so much of the ring's width is not looked at. */
const RIM_SHARE = sourced(0.06, memory('the rim of a loss'));
/** At the ring's outer end a place counts so much less than at the seam. */
const OUTER_COUNTS = sourced(0.4, memory('what lies near the seam is compared first'));

/** Way of the grain where weights are, by the structure tensor of the brightness. */
export function grainOf(bright: Plane, weights: Plane): { grainDeg: number; coherence: number } {
  const { data, width, height } = bright;
  let [xx, xy, yy] = [0, 0, 0];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const o = y * width + x;
      const w = weights.data[o] ?? 0;
      // A slope across the rim of the ring is that of the rim.
      if (
        w === 0 ||
        !weights.data[o - 1] ||
        !weights.data[o + 1] ||
        !weights.data[o - width] ||
        !weights.data[o + width]
      )
        continue;
      const dx = (data[o + 1] ?? 0) - (data[o - 1] ?? 0);
      const dy = (data[o + width] ?? 0) - (data[o - width] ?? 0);
      xx += w * dx * dx;
      xy += w * dx * dy;
      yy += w * dy * dy;
    }
  const coherence = xx + yy === 0 ? 0 : Math.hypot(xx - yy, 2 * xy) / (xx + yy);
  // The grain runs square to the steepest way.
  return { grainDeg: (0.5 * Math.atan2(2 * xy, xx - yy) * 180) / Math.PI + 90, coherence };
}

/** The way each side of an outline runs, laid out once for many points. */
type Sides = {
  ax: Float64Array;
  ay: Float64Array;
  bx: Float64Array;
  by: Float64Array;
  angleDeg: Float64Array;
};

function sidesOf(outline: Polygon): Sides {
  const list = sides(outline);
  return {
    ax: Float64Array.from(list, ([a]) => a[0]),
    ay: Float64Array.from(list, ([a]) => a[1]),
    bx: Float64Array.from(list, ([, b]) => b[0]),
    by: Float64Array.from(list, ([, b]) => b[1]),
    angleDeg: Float64Array.from(list, ([a, b]) => lineAngle(a, b)),
  };
}

/** The nearest side to a point, by its number, and how far it is; the answer is written into `to`. */
function nearestSide(
  { ax, ay, bx, by }: Sides,
  x: number,
  y: number,
  to: { side: number; distance: number },
): void {
  let best = Infinity;
  for (let i = 0; i < ax.length; i++) {
    const dx = (bx[i] ?? 0) - (ax[i] ?? 0);
    const dy = (by[i] ?? 0) - (ay[i] ?? 0);
    const px = x - (ax[i] ?? 0);
    const py = y - (ay[i] ?? 0);
    const t = max(0, min(1, (px * dx + py * dy) / max(1e-12, dx * dx + dy * dy)));
    const d = (px - t * dx) ** 2 + (py - t * dy) ** 2;
    if (d < best) {
      best = d;
      to.side = i;
    }
  }
  to.distance = sqrt(best);
}

/**
 * The ring of sound wood round an outline, near the seam more than far from it, and more where the seam crosses the grain.
 *
 * @param outlinePx, ringPx in pixels of this plane
 * @param leaveOut other damages, px
 * @param within the face: what the picture shows beyond it is no wood
 */
export function ringOf(
  { bright, shown }: Pick<Planes, 'bright' | 'shown'>,
  outlinePx: Polygon,
  ringPx: number,
  leaveOut: readonly Polygon[] = [],
  within?: Polygon,
): Ring {
  const { width, height } = bright;
  const weights: Plane = { data: new Float32Array(width * height), width, height };
  const box = boundingBox(outlinePx);
  const middle = centroidOf(outlinePx);
  const rimPx = Math.max(0.75, RIM_SHARE.value * ringPx);
  const rim = sidesOf(outlinePx);
  const nearest = { side: 0, distance: 0 };
  const inPatch = containment(outlinePx);
  // The worn rim of the face is left out with what lies beyond it.
  const onFace = within ? containment(offsetOutline(within, -rimPx)[0] ?? within) : undefined;
  const others = leaveOut.map((o) => containment(offsetOutline(o, rimPx)[0] ?? o));
  const near: { o: number; distance: number; angleDeg: number }[] = [];
  let reachPx = 0;
  for (
    let y = Math.max(0, Math.floor(box.top - ringPx));
    y < Math.min(height, Math.ceil(box.bottom + ringPx));
    y++
  )
    for (
      let x = Math.max(0, Math.floor(box.left - ringPx));
      x < Math.min(width, Math.ceil(box.right + ringPx));
      x++
    ) {
      const p: Point = [x + 0.5, y + 0.5];
      nearestSide(rim, p[0], p[1], nearest);
      const { distance, side } = nearest;
      if ((shown.data[y * width + x] ?? 0) < WHOLLY_SHOWN) continue;
      if (distance < rimPx || distance > ringPx || inPatch(p[0], p[1])) continue;
      if (onFace && !onFace(p[0], p[1])) continue;
      let other = false;
      for (const within of others) other ||= within(p[0], p[1]);
      if (other) continue;
      near.push({ o: y * width + x, distance, angleDeg: rim.angleDeg[side] ?? 0 });
      weights.data[y * width + x] = 1;
      reachPx = Math.max(reachPx, Math.hypot(p[0] - middle[0], p[1] - middle[1]));
    }
  const { grainDeg, coherence } = grainOf(bright, weights);
  for (const { o, distance, angleDeg } of near) {
    const across = Math.abs(Math.sin(((angleDeg - grainDeg) * Math.PI) / 180));
    const seam = 1 - coherence * (1 - ALONG_COUNTS.value) * (1 - across);
    weights.data[o] = seam * (1 - (1 - OUTER_COUNTS.value) * (distance / ringPx));
  }
  return { weights, grainDeg, coherence, reachPx, middle };
}
