// A repair on its face in another colour, as it is seen standing, and the swatch of a mixture while its parts are dragged: each
// beside the same with every colour converted one by one, `node --import tsx benchmarks/look.ts`.
import { performance } from 'node:perf_hooks';
import { coverOf, linearOf, linearOfByte, recolouredPlace, resolvedMm, seenFrom, byteOfLinear, type Lab, type ToneRow } from '../src/core/colour'; // prettier-ignore
import type { Point } from '../src/core/geometry';
import { mixedByHand } from '../src/core/shelf';
import { woodPhoto } from '../src/testing/wood';

const MM = 0.2;
const OUTLINE: Point[] = [[15, 20], [85, 20], [75, 80], [10, 70]]; // prettier-ignore
const FRAMES = 40;
const STICKS = [
  { id: 'a', lab: [70, 12, 42] },
  { id: 'b', lab: [38, 18, 24] },
  { id: 'c', lab: [55, 9, 30] },
] as const;

const timed = (frame: (i: number) => void): { middle: number; slowest: number } => {
  const list = Array.from({ length: FRAMES }, (_, i) => {
    const start = performance.now();
    frame(i);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return { middle: list[FRAMES / 2] ?? 0, slowest: list.at(-1) ?? 0 };
};

/** The same filter without tables: every point through the colour library. */
function plain(picture: ReturnType<typeof woodPhoto>, cover: Float32Array, to: Lab) {
  const data = Uint8ClampedArray.from(picture.data);
  const goal = linearOf(to);
  for (let i = 0; i < cover.length; i++)
    if (cover[i])
      for (let c = 0; c < 3; c++)
        data[4 * i + c] = byteOfLinear(linearOfByte(data[4 * i + c] ?? 0) * (goal[c] ?? 0));
  return data;
}

function main(): void {
  const wood = woodPhoto('worn-floor.png');
  const cover = coverOf(wood.width, wood.height, MM, OUTLINE);
  const to = (i: number): Lab => [40 + (i % 7), 14, 25];
  const rows = (i: number): ToneRow[] => [{ share: 0, light: [0, 0, 0] }, { share: 1, light: linearOf(to(i)) }]; // prettier-ignore
  const look = timed((i) => void seenFrom(recolouredPlace(wood, cover, rows(i)), MM, resolvedMm(1600)));
  const each = timed(
    (i) => void seenFrom({ ...wood, data: plain(wood, cover, to(i)) }, MM, resolvedMm(1600)),
  );
  console.log(
    `look, ${wood.width} × ${wood.height} points: median ${look.middle.toFixed(1)} ms, slowest ${look.slowest.toFixed(1)} ms; point by point ${each.middle.toFixed(1)} ms, ${(each.middle / look.middle).toFixed(1)} times`,
  );
  const mix = timed(
    (i) =>
      void mixedByHand(
        STICKS.map(({ id }, k) => ({ colourId: id, parts: 1 + ((i + k) % 6) })),
        [50, 12, 28],
        STICKS,
      ),
  );
  console.log(
    `swatch of three parts: median ${mix.middle.toFixed(2)} ms, slowest ${mix.slowest.toFixed(2)} ms`,
  );
}

main();
