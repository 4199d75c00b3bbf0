import cv from '@techstark/opencv-js';
import { homographyFrom, type Point } from '../geometry';
import { seededRandom } from '../check';
import { warp, type Raster } from './warp';

beforeAll(async () => {
  if (!cv.Mat) await new Promise<void>((resolve) => (cv.onRuntimeInitialized = resolve));
});

function scene(width: number, height: number): Raster {
  const random = seededRandom(3);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const x = i % width;
    const y = Math.floor(i / width);
    data.set([127 + 100 * Math.sin(x / 9), 127 + 100 * Math.cos(y / 7), 40 + random() * 20, 255], i * 4);
  }
  return { data, width, height };
}

const CORNERS: Point[] = [[40, 30], [250, 20], [280, 190], [20, 170]]; // prettier-ignore

test('a squared-up picture is the same as opencv draws, within the rounding of its fixed-point blending', async () => {
  const source = scene(300, 200);
  const [w, h] = [240, 160];
  const square: Point[] = [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore
  const ours = await warp(source, homographyFrom(square, CORNERS), w, h);
  // opencv counts places from pixel centres, we from corners; its map is shifted by half a pixel on both sides.
  const half = (p: Point): number[] => [p[0] - 0.5, p[1] - 0.5];
  const from = cv.matFromArray(4, 1, cv.CV_32FC2, CORNERS.flatMap(half));
  const to = cv.matFromArray(4, 1, cv.CV_32FC2, square.flatMap(half));
  const input = new cv.Mat(source.height, source.width, cv.CV_8UC4);
  input.data.set(source.data);
  const output = new cv.Mat();
  cv.warpPerspective(
    input,
    output,
    cv.getPerspectiveTransform(from, to),
    new cv.Size(w, h),
    cv.INTER_LINEAR,
    cv.BORDER_REPLICATE,
  );
  let worst = 0;
  let sum = 0;
  ours.data.forEach((v, i) => {
    const d = Math.abs(v - (output.data[i] ?? 0));
    worst = Math.max(worst, d);
    sum += d;
  });
  expect(worst).toBeLessThanOrEqual(3);
  expect(sum / ours.data.length).toBeLessThan(0.5);
});

test('it can be stopped and says how far it is', async () => {
  const stop = new AbortController();
  const seen: number[] = [];
  const job = { signal: stop.signal, progress: (f: number) => { seen.push(f); if (f > 0.3) stop.abort(); } }; // prettier-ignore
  await expect(warp(scene(50, 50), [1, 0, 0, 0, 1, 0, 0, 0, 1], 40, 1000, job)).rejects.toThrow(/abort/i);
  expect(seen[0]).toBe(0);
});

test('a size that is none is refused', async () => {
  await expect(warp(scene(5, 5), [1, 0, 0, 0, 1, 0, 0, 0, 1], 0, 10)).rejects.toThrow(
    'The width of the rectified picture is 0 px',
  );
});
