import type { Point, Polygon } from '../geometry';
import { breathe, type JobContext } from '../check';
import { fourier, type Field } from './fft2';
import { between, type Plane } from '../picture';
import type { Ring } from './ring';

const { ceil, max, min, sqrt } = Math;

export type Turn = { degrees: number; flipped: boolean };
/** Where the middle of the outline lies on the donor, px of the plane that was searched. */
export type Found = Turn & { x: number; y: number; score: number };

/** A place of the outline laid onto the donor: flipped left for right about its middle first, then turned clockwise as seen. */
export function laidOn([dx, dy]: Point, { degrees, flipped }: Turn): Point {
  const a = (degrees * Math.PI) / 180;
  const x = flipped ? -dx : dx;
  return [x * Math.cos(a) - dy * Math.sin(a), x * Math.sin(a) + dy * Math.cos(a)];
}

const twoTo = (least: number): number => 2 ** ceil(Math.log2(max(2, least)));

export type CoarseInput = {
  target: Plane;
  ring: Ring;
  donor: Plane;
  turns: readonly Turn[];
  /** Whether the patch can be cut there. */
  allowed: (turn: Turn, at: Point) => boolean;
  keep: number;
  /** Two places nearer than this are one. px */
  apartPx: number;
};

/**
 * The places on the donor where what surrounds them looks most like the ring, for every turn: correlation of the two with their
 * means taken out and their contrasts made alike, weighted, worked out for all places at once by Fourier transforms.
 *
 * @source Lewis, J. P. (1995), Fast Normalized Cross-Correlation; with weights on the template
 */
export async function coarse(input: CoarseInput, job: JobContext = {}): Promise<Found[]> {
  const { target, ring, donor, turns, allowed, keep, apartPx } = input;
  const pad = ceil(ring.reachPx) + 1;
  const [width, height] = [twoTo(donor.width + 2 * pad), twoTo(donor.height + 2 * pad)];
  const { forward, inverse } = fourier(width, height);
  const size = 2 * width * height;
  const [plain, square] = [new Float64Array(size), new Float64Array(size)];
  const mean = donor.data.reduce((a, b) => a + b, 0) / donor.data.length;
  for (let y = 0; y < donor.height + 2 * pad; y++)
    for (let x = 0; x < donor.width + 2 * pad; x++) {
      const sx = min(donor.width - 1, max(0, x - pad));
      const sy = min(donor.height - 1, max(0, y - pad));
      const v = (donor.data[sy * donor.width + sx] ?? 0) - mean;
      plain[2 * (y * width + x)] = v;
      square[2 * (y * width + x)] = v * v;
    }
  const work: Field = new Float64Array(size);
  const [plainSpectrum, squareSpectrum]: [Field, Field] = [new Float64Array(size), new Float64Array(size)];
  forward(plain, plainSpectrum);
  forward(square, squareSpectrum);
  const side = 2 * pad + 1;
  // Brightness times weight: between pixels the two are read apart, so that the hole never mixes in.
  const weighted = { ...target, data: target.data.map((v, i) => v * (ring.weights.data[i] ?? 0)) };
  const [kernel, kernelSpectrum]: [Field, Field] = [new Float64Array(size), new Float64Array(size)];
  // What was transformed is not needed any more.
  const [sums, squares] = [plain, square];
  const best: Found[] = [];
  for (const [n, turn] of turns.entries()) {
    await breathe(job, n / turns.length);
    const { total, spread } = template(kernel, width, side, pad, weighted, ring, turn);
    if (spread <= 0) continue;
    forward(kernel, kernelSpectrum, side);
    product(plainSpectrum, kernelSpectrum, work);
    inverse(work, sums);
    product(squareSpectrum, kernelSpectrum, work);
    inverse(work, squares);
    const scores = new Float32Array(donor.width * donor.height);
    for (let y = 0; y < donor.height; y++)
      for (let x = 0; x < donor.width; x++) {
        // The template's corner lies here when its middle lies on the pixel.
        const o = 2 * (y * width + x);
        const s = sums[o] ?? 0;
        const varied = (squares[o] ?? 0) - (s * s) / total;
        scores[y * donor.width + x] =
          varied > 1e-6 * spread ? -(sums[o + 1] ?? 0) / sqrt(varied * spread) : 0;
      }
    const fits = (at: Point): boolean => allowed(turn, at);
    for (const p of peaks(scores, donor.width, donor.height, keep, fits)) best.push({ ...turn, ...p });
  }
  best.sort((a, b) => b.score - a.score);
  const taken: Found[] = [];
  for (const f of best) {
    if (taken.length >= keep) break;
    const same = (o: Found): boolean =>
      o.flipped === f.flipped &&
      Math.hypot(o.x - f.x, o.y - f.y) < apartPx &&
      Math.cos(((o.degrees - f.degrees) * Math.PI) / 180) > 0.9;
    // A neighbouring turn of the same place is refined from the better one.
    if (taken.filter(same).length < 2) taken.push(f);
  }
  return taken;
}

/** Weights and weighted brightness of the ring as it lies after a turn, in the corner of a field: w + i·w(T − mean). */
function template(
  kernel: Float64Array,
  width: number,
  side: number,
  pad: number,
  weighted: Plane,
  ring: Ring,
  turn: Turn,
): { total: number; spread: number } {
  kernel.fill(0);
  const a = (turn.degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  let [total, sum, square] = [0, 0, 0];
  const values = new Float64Array(side * side);
  for (let v = 0; v < side; v++)
    for (let u = 0; u < side; u++) {
      const dx = u - pad;
      const dy = v - pad;
      const back = dx * cos + dy * sin;
      const x = ring.middle[0] + (turn.flipped ? -back : back);
      const y = ring.middle[1] - dx * sin + dy * cos;
      if (x < 0 || y < 0 || x > weighted.width || y > weighted.height) continue;
      const w = between(ring.weights, x, y);
      if (w < 1e-3) continue;
      const value = between(weighted, x, y) / w;
      kernel[2 * (v * width + u)] = w;
      values[v * side + u] = value;
      total += w;
      sum += w * value;
      square += w * value * value;
    }
  const mean = total > 0 ? sum / total : 0;
  for (let v = 0; v < side; v++)
    for (let u = 0; u < side; u++) {
      const o = 2 * (v * width + u);
      kernel[o + 1] = (kernel[o] ?? 0) * ((values[v * side + u] ?? 0) - mean);
    }
  return { total, spread: square - total * mean * mean };
}

/** F(I) · conj F(K), whose inverse is the correlation with the real part and, negated, with the imaginary part of K. */
function product(a: Float64Array, b: Float64Array, to: Float64Array): void {
  for (let o = 0; o < to.length; o += 2) {
    const ar = a[o] ?? 0;
    const ai = a[o + 1] ?? 0;
    const br = b[o] ?? 0;
    const bi = b[o + 1] ?? 0;
    to[o] = ar * br + ai * bi;
    to[o + 1] = ai * br - ar * bi;
  }
}

/** The highest of the local maxima where the patch can be cut. */
function peaks(
  scores: Float32Array,
  width: number,
  height: number,
  most: number,
  fits: (at: Point) => boolean,
): { x: number; y: number; score: number }[] {
  const found: { x: number; y: number; score: number }[] = [];
  let floor = -Infinity;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const s = scores[y * width + x] ?? 0;
      if (s <= floor) continue;
      let top = true;
      for (let v = max(0, y - 1); top && v <= min(height - 1, y + 1); v++)
        for (let u = max(0, x - 1); u <= min(width - 1, x + 1); u++)
          if ((scores[v * width + u] ?? 0) > s) {
            top = false;
            break;
          }
      if (!top || !fits([x + 0.5, y + 0.5])) continue;
      found.push({ x: x + 0.5, y: y + 0.5, score: s });
      if (found.length > 4 * most) {
        found.sort((a, b) => b.score - a.score);
        found.length = 2 * most;
        floor = found[found.length - 1]?.score ?? floor;
      }
    }
  return found.sort((a, b) => b.score - a.score).slice(0, 2 * most);
}

/** An outline laid onto the donor. */
export const outlineOn = (outline: Polygon, middle: Point, turn: Turn, at: Point): Point[] =>
  outline.map(([x, y]): Point => {
    const [dx, dy] = laidOn([x - middle[0], y - middle[1]], turn);
    return [at[0] + dx, at[1] + dy];
  });
