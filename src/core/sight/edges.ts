import { between, type Plane, type Planes } from '../picture';

const { abs, hypot, sqrt } = Math;

/** Slopes of the picture: of the channel that changes most, brightness per pixel, and which of these are crests. */
export type Edges = {
  width: number;
  height: number;
  dx: Float32Array;
  dy: Float32Array;
  /** Where it is a crest across the edge, how much the colour differs from one side of it to the other, else 0: grain and scratches differ little. */
  crest: Float32Array;
};

/** A plane smoothed by 1 4 6 4 1 both ways. */
export function smooth({ data, width, height }: Plane): Plane {
  const across = new Float32Array(width * height);
  const out = new Float32Array(width * height);
  const at = (v: number, n: number): number => (v < 0 ? 0 : v >= n ? n - 1 : v);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const row = y * width;
      across[row + x] =
        (6 * (data[row + x] ?? 0) +
          4 * ((data[row + at(x - 1, width)] ?? 0) + (data[row + at(x + 1, width)] ?? 0)) +
          (data[row + at(x - 2, width)] ?? 0) +
          (data[row + at(x + 2, width)] ?? 0)) /
        16;
    }
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      out[y * width + x] =
        (6 * (across[y * width + x] ?? 0) +
          4 * ((across[at(y - 1, height) * width + x] ?? 0) + (across[at(y + 1, height) * width + x] ?? 0)) +
          (across[at(y - 2, height) * width + x] ?? 0) +
          (across[at(y + 2, height) * width + x] ?? 0)) /
        16;
  return { data: out, width, height };
}

/** The value at a place of a picture whose whole numbers are the middles of its pixels, as the edges here count. */
export const valueAt = (p: Plane, x: number, y: number): number => between(p, x + 0.5, y + 0.5);

/** So far to either side of an edge its colours are taken, px. */
export const STEP_PX = 4;

/** How much the colour differs a little to either side of a pixel. */
function stepAcross(channels: Planes['channels'], x: number, y: number, nx: number, ny: number): number {
  let sum = 0;
  for (const p of channels) {
    const d = valueAt(p, x + STEP_PX * nx, y + STEP_PX * ny) - valueAt(p, x - STEP_PX * nx, y - STEP_PX * ny);
    sum += d * d;
  }
  return sqrt(sum);
}

/** The slopes of a picture by Sobel's weights, of the channel that changes most at each pixel. */
export function edgesOf({ channels }: Planes): Edges {
  const { width, height } = channels[0];
  const dx = new Float32Array(width * height);
  const dy = new Float32Array(width * height);
  const size = new Float32Array(width * height);
  for (const { data } of channels)
    for (let y = 1; y < height - 1; y++)
      for (let x = 1; x < width - 1; x++) {
        const o = y * width + x;
        const [nw, n, ne] = [data[o - width - 1] ?? 0, data[o - width] ?? 0, data[o - width + 1] ?? 0];
        const [sw, s, se] = [data[o + width - 1] ?? 0, data[o + width] ?? 0, data[o + width + 1] ?? 0];
        const gx = (ne + 2 * (data[o + 1] ?? 0) + se - nw - 2 * (data[o - 1] ?? 0) - sw) / 8;
        const gy = (sw + 2 * s + se - nw - 2 * n - ne) / 8;
        const g = hypot(gx, gy);
        if (g <= (size[o] ?? 0)) continue;
        size[o] = g;
        dx[o] = gx;
        dy[o] = gy;
      }
  const crest = new Float32Array(width * height);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const o = y * width + x;
      const g = size[o] ?? 0;
      if (g === 0) continue;
      // The neighbour along the slope, between two pixels.
      const [gx, gy] = [dx[o] ?? 0, dy[o] ?? 0];
      const [ax, ay] = [abs(gx), abs(gy)];
      const sx = gx >= 0 ? 1 : -1;
      const sy = gy >= 0 ? width : -width;
      const t = ax > ay ? ay / ax : ax / ay;
      const main = ax > ay ? sx : sy;
      const before = (1 - t) * (size[o - main] ?? 0) + t * (size[o - sx - sy] ?? 0);
      const after = (1 - t) * (size[o + main] ?? 0) + t * (size[o + sx + sy] ?? 0);
      if (g >= before && g > after) crest[o] = stepAcross(channels, x, y, gx / g, gy / g);
    }
  return { width, height, dx, dy, crest };
}

/** An edge lies at most so far from the line it belongs to, px, and runs within this of its direction (cosine). */
const NEAR = 2;
const ALONG = 0.9;

/** Whether an edge that runs across (nx, ny) passes near a point. */
export function edgeNear(
  edges: Edges,
  x: number,
  y: number,
  nx: number,
  ny: number,
  weakest: number,
): boolean {
  const { width, height, dx, dy, crest } = edges;
  for (let d = -NEAR; d <= NEAR; d++) {
    const px = (x + d * nx + 0.5) | 0;
    const py = (y + d * ny + 0.5) | 0;
    if (px < 0 || py < 0 || px >= width || py >= height) continue;
    const o = py * width + px;
    const g = crest[o] ?? 0;
    if (g < weakest) continue;
    if (abs((dx[o] ?? 0) * nx + (dy[o] ?? 0) * ny) > ALONG * hypot(dx[o] ?? 0, dy[o] ?? 0)) return true;
  }
  return false;
}

/** Crests weaker than this share of the strong ones are noise; grey levels a pixel at least. */
const WEAKEST = { share: 0.2, least: 8 };

/** The weakest crest that is taken for an edge: by the strength that a tenth of the crests reach. */
export function weakestOf({ crest }: Edges): number {
  const values = crest.filter((v) => v > 0).sort();
  return Math.max(WEAKEST.least, WEAKEST.share * (values[Math.floor(values.length * 0.9)] ?? 0));
}
