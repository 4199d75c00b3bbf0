import type { Found } from './coarse';
import { between, type Planes } from '../picture';
import type { Ring } from './ring';

/** Places of the ring that are compared: their weight, where they lie from the middle, and the three colours there. */
export type Samples = {
  w: Float64Array;
  dx: Float64Array;
  dy: Float64Array;
  colours: [Float64Array, Float64Array, Float64Array];
};

/** At most so many places of the ring, evenly spread. */
export function samplesOf(target: Planes, ring: Ring, most: number): Samples {
  const { data, width } = ring.weights;
  const places: number[] = [];
  data.forEach((w, o) => {
    if (w > 0) places.push(o);
  });
  const step = Math.max(1, places.length / most);
  const taken = Array.from(
    { length: Math.min(places.length, most) },
    (_, i) => places[Math.floor(i * step)] ?? 0,
  );
  return {
    w: Float64Array.from(taken, (o) => data[o] ?? 0),
    dx: Float64Array.from(taken, (o) => (o % width) + 0.5 - ring.middle[0]),
    dy: Float64Array.from(taken, (o) => Math.floor(o / width) + 0.5 - ring.middle[1]),
    colours: [0, 1, 2].map((c) =>
      Float64Array.from(taken, (o) => target.channels[c]?.data[o] ?? 0),
    ) as Samples['colours'],
  };
}

/** Less of the ring than this on the donor's picture tells nothing. */
const LEAST_SEEN = 0.5;

/** How alike ring and donor are there, −1…1, each colour with its mean and its contrast taken out. */
export function alike({ w, dx, dy, colours }: Samples, donor: Planes, at: Found): number {
  const n = w.length;
  const { width, height } = donor.bright;
  const a = (at.degrees * Math.PI) / 180;
  const cos = Math.cos(a);
  const sin = Math.sin(a);
  const side = at.flipped ? -1 : 1;
  let together = 0;
  let weight = 0;
  for (let c = 0; c < 3; c++) {
    const plane = donor.channels[c];
    const target = colours[c];
    if (!plane || !target) continue;
    let seen = 0;
    let all = 0;
    let st = 0;
    let si = 0;
    let stt = 0;
    let sii = 0;
    let sti = 0;
    for (let k = 0; k < n; k++) {
      const wk = w[k] ?? 0;
      all += wk;
      const fx = side * (dx[k] ?? 0);
      const fy = dy[k] ?? 0;
      const x = at.x + fx * cos - fy * sin;
      const y = at.y + fx * sin + fy * cos;
      if (x < 0 || y < 0 || x > width || y > height) continue;
      const t = target[k] ?? 0;
      const i = between(plane, x, y);
      seen += wk;
      st += wk * t;
      si += wk * i;
      stt += wk * t * t;
      sii += wk * i * i;
      sti += wk * t * i;
    }
    if (seen < LEAST_SEEN * all) return -1;
    const vt = stt - (st * st) / seen;
    const vi = sii - (si * si) / seen;
    const strength = Math.sqrt(Math.max(0, vt));
    if (vi > 1e-9 && vt > 1e-9) together += (strength * (sti - (st * si) / seen)) / Math.sqrt(vt * vi);
    weight += strength;
  }
  return weight > 0 ? together / weight : 0;
}

/** Climbs from a place to the best near it: shifts and turns tried in all directions, then finer. @param allowed whether the patch can be cut there */
export function climb(
  samples: Samples,
  donor: Planes,
  from: Found,
  step: { px: number; degrees: number },
  least: { px: number; degrees: number },
  allowed: (at: Found) => boolean,
): Found {
  // From where it cannot be cut every place where it can is better.
  let best = { ...from, score: allowed(from) ? alike(samples, donor, from) : -2 };
  let { px, degrees } = step;
  while (px >= least.px || degrees >= least.degrees) {
    let moved = true;
    for (let round = 0; moved && round < 12; round++) {
      moved = false;
      for (const [mx, my, mt] of MOVES) {
        const next = {
          ...best,
          x: best.x + mx * px,
          y: best.y + my * px,
          degrees: best.degrees + mt * degrees,
        };
        const score = alike(samples, donor, next);
        if (score > best.score && allowed(next)) {
          best = { ...next, score };
          moved = true;
        }
      }
    }
    px /= 2;
    degrees /= 2;
  }
  return best;
}

const MOVES: readonly (readonly [number, number, number])[] = [
  [1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0], [1, 1, 0], [-1, -1, 0], [1, -1, 0], [-1, 1, 0], [0, 0, 1], [0, 0, -1],
]; // prettier-ignore
