import { boundingBox, centroidOf, containment, type Polygon } from '../geometry';
import { laidOn, type Turn } from './coarse';
import { between, planesOf, type Raster } from '../picture';

const { floor, max, min } = Math;

/** What lies beyond the face is left as paper. */
const PAPER = [246, 241, 230, 255] as const;
function onPaper({ data }: Raster): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(data);
  for (let o = 0; o < out.length; o += 4) if (!out[o + 3]) out.set(PAPER, o);
  return out;
}

type Sum = { n: number; sum: [number, number, number] };
const add = (to: Sum, colour: (c: number) => number): void => {
  to.n++;
  for (const c of [0, 1, 2] as const) to.sum[c] += colour(c);
};

/**
 * The face before, and with its patch from a spot of the sheet, as it would look: as it is cut, and with its mean colour brought to that of
 * the wood round it.
 *
 * @param outline of the patch, `within`: of the face, mm; `ringMm`: so much of the wood round it is compared
 * @param at where the outline's middle lies on the sheet, mm, and how it is turned
 */
export function patched(
  face: Raster,
  faceMm: number,
  outline: Polygon,
  within: Polygon,
  ringMm: number,
  sheet: Raster,
  sheetMm: number,
  at: Turn & { xMm: number; yMm: number },
): { before: Raster; asCut: Raster; toned: Raster } {
  const colours = planesOf(sheet).channels;
  const middle = centroidOf(outline);
  const box = boundingBox(outline);
  const inside = containment(outline);
  const onFace = containment(within);
  const { width, height } = face;
  const before = onPaper(face);
  const asCut = new Uint8ClampedArray(before);
  const [patch, ring]: [Sum, Sum] = [
    { n: 0, sum: [0, 0, 0] },
    { n: 0, sum: [0, 0, 0] },
  ];
  const places: number[] = [];
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
      if (!inside(mx, my)) {
        if (face.data[o + 3]) add(ring, (c) => face.data[o + c] ?? 0);
        continue;
      }
      const [dx, dy] = laidOn([mx - middle[0], my - middle[1]], at);
      const sx = (at.xMm + dx) / sheetMm;
      const sy = (at.yMm + dy) / sheetMm;
      for (const [c, plane] of colours.entries()) asCut[o + c] = between(plane, sx, sy);
      add(patch, (c) => asCut[o + c] ?? 0);
      places.push(o);
    }
  const toned = new Uint8ClampedArray(asCut);
  for (const c of [0, 1, 2] as const) {
    // Dye and glaze take light away by shares.
    const share = patch.n > 0 && ring.n > 0 ? ring.sum[c] / ring.n / max(1, patch.sum[c] / patch.n) : 1;
    for (const o of places) toned[o + c] = (asCut[o + c] ?? 0) * share;
  }
  return {
    before: { data: before, width, height },
    asCut: { data: asCut, width, height },
    toned: { data: toned, width, height },
  };
}
