// The composite that follows a finger: a frame from what is laid out once, beside one that lays everything out again,
// `node --import tsx benchmarks/live.ts`.
import { performance } from 'node:perf_hooks';
import type { Point } from '../src/core/geometry';
import { patcherOf } from '../src/core/spot';
import { woodPhoto } from '../src/testing/wood';

/** A view of 140 mm at 0.2 mm a point, a patch of 100 × 60 mm, a sheet of 512 points. */
const [SIDE, MM] = [700, 0.2] as const;
const OUTLINE: Point[] = [[20, 40], [120, 40], [110, 100], [10, 100]]; // prettier-ignore
const FACE: Point[] = [[0, 0], [140, 0], [140, 140], [0, 140]]; // prettier-ignore
const FRAMES = 60;

function main(): void {
  const wood = woodPhoto('worn-floor.png');
  const data = new Uint8ClampedArray(4 * SIDE * SIDE);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const from = 4 * ((y % 512) * 512 + (x % 512));
      data.set(wood.data.subarray(from, from + 4), 4 * (y * SIDE + x));
    }
  const face = { data, width: SIDE, height: SIDE };
  const layOut = () => patcherOf(face, MM, OUTLINE, FACE, 14, wood, 0.4);
  const at = (i: number) => ({ xMm: 60 + i, yMm: 90, degrees: i / 10, flipped: i % 2 === 1 });
  const timed = (frame: (i: number) => void): number[] =>
    Array.from({ length: FRAMES }, (_, i) => {
      const start = performance.now();
      frame(i);
      return performance.now() - start;
    }).sort((a, b) => a - b);
  const patcher = layOut();
  const middle = (list: number[]): number => list[Math.floor(list.length / 2)] ?? 0;
  for (const toned of [false, true]) {
    const kept = timed((i) => void patcher.with(at(i), toned));
    const anew = timed((i) => void layOut().with(at(i), toned));
    console.log(
      `${toned ? 'colour brought near' : 'as it is cut'}: median ${middle(kept).toFixed(1)} ms, slowest ${(kept.at(-1) ?? 0).toFixed(1)} ms a frame; ` +
        `laid out anew ${middle(anew).toFixed(1)} ms, ${(middle(anew) / middle(kept)).toFixed(1)} times`,
    );
  }
}

main();
