// Damages made up on real and generated wood: losses that show the core, old fills, stains, each with its outline.
import { veneerFigure } from '../../demo/figure';
import { seededRandom } from '../core/check';
import { contains, distanceToBoundary, type Point } from '../core/geometry';
import type { Raster } from '../core/picture';
import { REAL_WOOD, woodPhoto } from './wood';

const SIDE = 360;
const woods = REAL_WOOD.map(woodPhoto);

export type DamageScene = { picture: Raster; outline: Point[]; tap: Point };

/** A face with one damage, its outline in px, and a tap somewhere inside it. */
export function sceneOfDamage(seed: number): DamageScene {
  const random = seededRandom(seed);
  const between = (a: number, b: number): number => a + (b - a) * random();
  const base = seed % 2 ? generated(seed) : cut(woods[Math.floor(random() * woods.length)], random);
  const middle: Point = [between(0.35, 0.65) * SIDE, between(0.35, 0.65) * SIDE];
  const [long, wide, turn] = [between(28, 80), between(16, 50), between(0, Math.PI)];
  const ripples = [between(0, 6), between(0, 6)];
  const outline = Array.from({ length: 40 }, (_, i): Point => {
    const t = (2 * Math.PI * i) / 40;
    const ripple =
      1 + 0.12 * Math.sin(3 * t + (ripples[0] ?? 0)) + 0.07 * Math.sin(5 * t + (ripples[1] ?? 0));
    const [x, y] = [long * ripple * Math.cos(t), wide * ripple * Math.sin(t)];
    return [
      middle[0] + x * Math.cos(turn) - y * Math.sin(turn),
      middle[1] + x * Math.sin(turn) + y * Math.cos(turn),
    ];
  });
  // Core pale, filler flat, burn dark: in the light of a wood of this brightness they differ from it all.
  const kind = ['core', 'fill', 'burn'][seed % 3];
  const fill = [between(170, 215), between(140, 180), between(100, 140)];
  const data = Uint8ClampedArray.from(base.data);
  const wave = between(0.2, 0.8);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const o = 4 * (y * SIDE + x);
      const at: Point = [x + 0.5, y + 0.5];
      const noise = 14 * (random() - 0.5);
      if (contains(outline, at)) {
        const rim = distanceToBoundary(at, outline) < 2 && kind === 'core' ? 0.6 : 1;
        const grain = kind === 'core' ? 0.94 + 0.06 * Math.sin(y * wave) : 1;
        for (let c = 0; c < 3; c++)
          data[o + c] = kind === 'burn' ? 26 + 0.18 * (base.data[o + c] ?? 0) : (fill[c] ?? 0) * rim * grain;
      }
      for (let c = 0; c < 3; c++) data[o + c] = (data[o + c] ?? 0) + noise;
    }
  const tap: Point = [middle[0] + between(-0.3, 0.3) * wide, middle[1] + between(-0.3, 0.3) * wide];
  return { picture: { width: SIDE, height: SIDE, data }, outline, tap };
}

const generated = (seed: number): Raster =>
  veneerFigure(
    {
      seed,
      kind: seed % 4 === 1 ? 'straight' : 'burr',
      ground: [150, 98, 58],
      line: [104, 64, 38],
      periodMm: 14,
    },
    SIDE,
    SIDE,
    0.5,
  );

function cut(photo: Raster | undefined, random: () => number): Raster {
  const data = new Uint8ClampedArray(4 * SIDE * SIDE).fill(120);
  if (!photo) return { width: SIDE, height: SIDE, data };
  const left = Math.floor(random() * (photo.width - SIDE));
  const top = Math.floor(random() * (photo.height - SIDE));
  for (let y = 0; y < SIDE; y++)
    data.set(
      photo.data.subarray(4 * ((y + top) * photo.width + left), 4 * ((y + top) * photo.width + left + SIDE)),
      4 * y * SIDE,
    );
  return { width: SIDE, height: SIDE, data };
}
