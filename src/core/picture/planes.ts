import type { Raster } from './warp';

const { floor, max, min } = Math;

/** One number a pixel, in rows from the top left. */
export type Plane = { data: Float32Array; width: number; height: number };
/** Red, green and blue as planes of one size; lightness beside them. */
export type Planes = {
  channels: readonly [Plane, Plane, Plane];
  bright: Plane;
  /** 1 where the picture shows something, 0 beyond the edge of a face that was redrawn. */
  shown: Plane;
};

/** Lightness of a pixel as a photo's is commonly taken: 0.3, 0.6 and 0.1 of red, green and blue. */
export const brightness = (red: number, green: number, blue: number): number =>
  0.3 * red + 0.6 * green + 0.1 * blue;

/** {@link brightness} of the pixel whose four bytes begin at `o`. */
export const brightAt = (data: ArrayLike<number>, o: number): number =>
  brightness(data[o] ?? 0, data[o + 1] ?? 0, data[o + 2] ?? 0);

const plane = (width: number, height: number): Plane => ({
  data: new Float32Array(width * height),
  width,
  height,
});

export function planesOf({ data, width, height }: Raster): Planes {
  const [r, g, b] = [plane(width, height), plane(width, height), plane(width, height)];
  for (let i = 0; i < width * height; i++) {
    r.data[i] = data[4 * i] ?? 0;
    g.data[i] = data[4 * i + 1] ?? 0;
    b.data[i] = data[4 * i + 2] ?? 0;
  }
  const shown = plane(width, height);
  for (let i = 0; i < width * height; i++) shown.data[i] = (data[4 * i + 3] ?? 0) / 255;
  return { channels: [r, g, b], bright: brightOf(r, g, b), shown };
}

/** A plane made smaller by a factor of at least one: each of its pixels is the mean of what it covers. */
export function shrink(from: Plane, by: number): Plane {
  if (by === 1) return from;
  const rows = plane(from.width, max(1, floor(from.height / by)));
  const out = plane(max(1, floor(from.width / by)), rows.height);
  // Down first, then across.
  for (let y = 0; y < rows.height; y++)
    covered(y, by, from.height, (k, share) => {
      const a = k * from.width;
      const b = y * from.width;
      for (let x = 0; x < from.width; x++) rows.data[b + x] = (rows.data[b + x] ?? 0) + share * (from.data[a + x] ?? 0); // prettier-ignore
    });
  const columns = Array.from({ length: out.width }, (_, x) => {
    const list: { k: number; share: number }[] = [];
    covered(x, by, from.width, (k, share) => list.push({ k, share }));
    return list;
  });
  for (let x = 0; x < out.width; x++)
    for (const { k, share } of columns[x] ?? [])
      for (let y = 0; y < out.height; y++) {
        const o = y * out.width + x;
        out.data[o] = (out.data[o] ?? 0) + share * (rows.data[y * from.width + k] ?? 0);
      }
  return out;
}

/** Which pixels one of the smaller plane covers, and how much each counts. */
function covered(i: number, by: number, length: number, each: (k: number, share: number) => void): void {
  const from = i * by;
  const to = min(length, (i + 1) * by);
  for (let k = floor(from); k < to && k < length; k++) each(k, (min(to, k + 1) - max(from, k)) / (to - from));
}

export function shrinkAll(planes: Planes, by: number): Planes {
  if (by === 1) return planes;
  const [r, g, b] = planes.channels;
  const [red, green, blue] = [shrink(r, by), shrink(g, by), shrink(b, by)];
  return {
    channels: [red, green, blue],
    bright: brightOf(red, green, blue),
    shown: shrink(planes.shown, by),
  };
}

function brightOf(r: Plane, g: Plane, b: Plane): Plane {
  const out = plane(r.width, r.height);
  for (let i = 0; i < out.data.length; i++)
    out.data[i] = brightness(r.data[i] ?? 0, g.data[i] ?? 0, b.data[i] ?? 0);
  return out;
}

/** The value between pixels, their middles at half pixels; the rim goes on outside. */
export function between({ data, width, height }: Plane, x: number, y: number): number {
  // No lists here: this is asked millions of times.
  const px = min(width - 1, max(0, x - 0.5));
  const py = min(height - 1, max(0, y - 0.5));
  const x0 = floor(px);
  const y0 = floor(py);
  const x1 = min(width - 1, x0 + 1);
  const o0 = y0 * width;
  const o1 = min(height - 1, y0 + 1) * width;
  const fx = px - x0;
  const top = (data[o0 + x0] ?? 0) * (1 - fx) + (data[o0 + x1] ?? 0) * fx;
  const bottom = (data[o1 + x0] ?? 0) * (1 - fx) + (data[o1 + x1] ?? 0) * fx;
  return top + (bottom - top) * (py - y0);
}
