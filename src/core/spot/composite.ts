import { boundingBox, centroidOf, containment, type Polygon } from '../geometry';
import type { Turn } from './coarse';
import { planesOf, type Raster } from '../picture';

const { floor, max, min } = Math;

/** What lies beyond the face is left as paper. */
const PAPER = [246, 241, 230, 255] as const;
function onPaper({ data }: Raster): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(data);
  for (let o = 0; o < out.length; o += 4) if (!out[o + 3]) out.set(PAPER, o);
  return out;
}

/** Where the outline's middle lies on the sheet, mm, and how it is turned. */
export type PatchAt = Turn & { xMm: number; yMm: number };

/** A face with its patch laid out once, to be looked at with the patch from any place of the sheet. */
export type Patcher = {
  before: Raster;
  /** As it is cut; or with its mean colour brought to that of the wood round it. */
  with: (at: PatchAt, toned: boolean) => Raster;
};

/**
 * The face before, and with its patch from a spot of the sheet, as it would look.
 *
 * @param outline of the patch, `within`: of the face, mm; `ringMm`: so much of the wood round it is compared
 */
export function patcherOf(
  face: Raster,
  faceMm: number,
  outline: Polygon,
  within: Polygon,
  ringMm: number,
  sheet: Raster,
  sheetMm: number,
): Patcher {
  const planes = planesOf(sheet).channels.map((c) => c.data);
  const middle = centroidOf(outline);
  const box = boundingBox(outline);
  const inside = containment(outline);
  const onFace = containment(within);
  const { width, height } = face;
  const before = onPaper(face);
  const places: number[] = [];
  const fromMiddle: number[] = [];
  const ring = [0, 0, 0];
  let ringed = 0;
  for (
    let y = max(0, floor((box.top - ringMm) / faceMm));
    y < min(height, (box.bottom + ringMm) / faceMm);
    y++
  )
    for (
      let x = max(0, floor((box.left - ringMm) / faceMm));
      x < min(width, (box.right + ringMm) / faceMm);
      x++
    ) {
      const o = 4 * (y * width + x);
      const mx = (x + 0.5) * faceMm;
      const my = (y + 0.5) * faceMm;
      // What hangs over is trimmed off.
      if (!onFace(mx, my)) continue;
      if (inside(mx, my)) {
        places.push(o);
        fromMiddle.push(mx - middle[0], my - middle[1]);
      } else if (face.data[o + 3]) {
        ringed++;
        for (const c of [0, 1, 2]) ring[c] = (ring[c] ?? 0) + (face.data[o + c] ?? 0);
      }
    }
  const at = Int32Array.from(places);
  const off = Float64Array.from(fromMiddle);
  const drawn = (place: PatchAt, toned: boolean): Raster => {
    const out = new Uint8ClampedArray(before);
    sampled(planes, sheet, sheetMm, at, off, place, out);
    if (toned && ringed > 0)
      bringNear(
        out,
        at,
        ring.map((sum) => sum / ringed),
      );
    return { data: out, width, height };
  };
  return { before: { data: before, width, height }, with: drawn };
}

/** The colours of a sheet between its pixels, put where each place of the patch lies. */
function sampled(
  planes: readonly Float32Array[],
  { width, height }: Raster,
  sheetMm: number,
  at: Int32Array,
  off: Float64Array,
  { xMm, yMm, degrees, flipped }: PatchAt,
  out: Uint8ClampedArray,
): void {
  const a = (degrees * Math.PI) / 180;
  const cos = Math.cos(a) / sheetMm;
  const sin = Math.sin(a) / sheetMm;
  const left = flipped ? -1 : 1;
  const x0 = xMm / sheetMm - 0.5;
  const y0 = yMm / sheetMm - 0.5;
  const red = planes[0] ?? new Float32Array(0);
  const green = planes[1] ?? red;
  const blue = planes[2] ?? red;
  // No lists and no names from elsewhere in here: this runs a million times a second while a finger drags.
  for (let i = 0; i < at.length; i++) {
    const dx = left * (off[2 * i] ?? 0);
    const dy = off[2 * i + 1] ?? 0;
    let px = x0 + dx * cos - dy * sin;
    let py = y0 + dx * sin + dy * cos;
    if (px < 0) px = 0;
    else if (px > width - 1) px = width - 1;
    if (py < 0) py = 0;
    else if (py > height - 1) py = height - 1;
    const ix = px | 0;
    const iy = py | 0;
    const fx = px - ix;
    const fy = py - iy;
    const o = iy * width + ix;
    const r = ix < width - 1 ? o + 1 : o;
    const d = iy < height - 1 ? o + width : o;
    const q = r - o + d;
    const w1 = (1 - fx) * (1 - fy);
    const w2 = fx * (1 - fy);
    const w3 = (1 - fx) * fy;
    const w4 = fx * fy;
    const to = at[i] ?? 0;
    out[to] = w1 * (red[o] ?? 0) + w2 * (red[r] ?? 0) + w3 * (red[d] ?? 0) + w4 * (red[q] ?? 0);
    out[to + 1] = w1 * (green[o] ?? 0) + w2 * (green[r] ?? 0) + w3 * (green[d] ?? 0) + w4 * (green[q] ?? 0);
    out[to + 2] = w1 * (blue[o] ?? 0) + w2 * (blue[r] ?? 0) + w3 * (blue[d] ?? 0) + w4 * (blue[q] ?? 0);
  }
}

/** Dye and glaze take light away by shares: the mean of the patch becomes that of the wood round it. */
function bringNear(out: Uint8ClampedArray, at: Int32Array, wanted: readonly number[]): void {
  for (let c = 0; c < 3; c++) {
    let sum = 0;
    for (let i = 0; i < at.length; i++) sum += out[(at[i] ?? 0) + c] ?? 0;
    const share = (wanted[c] ?? 0) / max(1, sum / max(1, at.length));
    for (let i = 0; i < at.length; i++) {
      const o = (at[i] ?? 0) + c;
      out[o] = (out[o] ?? 0) * share;
    }
  }
}
