import { seededRandom } from '../src/core/check';
import type { Raster } from '../src/core/picture';

export type Rgb = readonly [number, number, number];

export type Figure = {
  seed: number;
  kind: 'straight' | 'flame' | 'burr';
  ground: Rgb;
  line: Rgb;
  /** Distance of the figure lines, mm. */
  periodMm: number;
};

/** Smooth noise between -1 and 1 on a grid of seeded values. */
function noise(seed: number): (x: number, y: number) => number {
  const values = Array.from({ length: 4096 }, seededRandom(seed));
  const at = (x: number, y: number): number => (values[((x * 73) ^ (y * 179)) & 4095] ?? 0) * 2 - 1;
  const ease = (t: number): number => t * t * (3 - 2 * t);
  return (x, y) => {
    const [xi, yi] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [ease(x - xi), ease(y - yi)];
    const top = at(xi, yi) * (1 - u) + at(xi + 1, yi) * u;
    const bottom = at(xi, yi + 1) * (1 - u) + at(xi + 1, yi + 1) * u;
    return top * (1 - v) + bottom * v;
  };
}

/** How much figure line (0…1) there is at a place, in mm; the grain runs along x. */
function lineShare(
  { kind, periodMm }: Figure,
  n: (x: number, y: number) => number,
  x: number,
  y: number,
): number {
  const sway = 9 * n(x / 140, y / 60) + 3 * n(x / 45 + 7, y / 22);
  if (kind === 'straight') return 0.5 + 0.5 * Math.sin(((y + sway) / periodMm) * 2 * Math.PI);
  if (kind === 'flame') {
    const arch = ((y - 60) ** 2 / 90 + x * 0.5) / periodMm;
    return 0.5 + 0.5 * Math.sin((arch + sway / periodMm) * 2 * Math.PI * 0.5);
  }
  // Swirls: lines of a field whose places are themselves carried about.
  const u = x + 16 * n(x / 34, y / 34) + 6 * n(x / 11 + 9, y / 11);
  const v = y + 16 * n(x / 34 + 50, y / 34 + 50) + 6 * n(x / 11 + 70, y / 11);
  return 0.5 + 0.5 * Math.sin(((n(u / 26, v / 26) * 34 + sway * 0.3) / periodMm) * 2 * Math.PI);
}

/** Generated veneer: a ground with darker figure lines, pores and a little unevenness. The same seed gives the same leaf. */
export function veneerFigure(figure: Figure, width: number, height: number, mmPerPixel: number): Raster {
  const data = new Uint8ClampedArray(width * height * 4);
  const n = noise(figure.seed);
  const pores = noise(figure.seed + 1);
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      const [x, y] = [i * mmPerPixel, j * mmPerPixel];
      const share = lineShare(figure, n, x, y) ** 1.6;
      const pore = pores(x / 5, y / 0.5) > 0.72 ? 0.86 : 1;
      const uneven = 1 + 0.05 * n(x / 70 + 3, y / 70);
      const o = (j * width + i) * 4;
      for (let c = 0; c < 3; c++) {
        const g = figure.ground[c as 0 | 1 | 2];
        const l = figure.line[c as 0 | 1 | 2];
        data[o + c] = (g + (l - g) * share) * pore * uneven;
      }
      data[o + 3] = 255;
    }
  }
  return { data, width, height };
}
