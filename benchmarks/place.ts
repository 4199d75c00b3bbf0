// The best spot on a sheet: the search beside a masked search of an independent computer-vision library in the same run,
// `node --import tsx benchmarks/place.ts`.
import cv from '@techstark/opencv-js';
import { contains, type Point } from '../src/core/geometry';
import { seededRandom } from '../src/core/check';
import { placePatch, type PlaceInput } from '../src/core/spot';
import { woodPhoto } from '../src/testing/wood';

const [WIDE, TALL, PATCH, RING, TOLERANCE] = [1600, 1250, 200, 30, 10] as const;
const [X, Y] = [300, 450] as const;

function sheet(): PlaceInput {
  const photos = [woodPhoto('worn-floor.png'), woodPhoto('knotty-planks.png')];
  const random = seededRandom(5);
  const data = new Uint8ClampedArray(4 * WIDE * TALL).fill(255);
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      const photo = photos[x < WIDE / 2 ? 0 : 1];
      const from = 4 * ((Math.floor(y * 0.6) % 512) * 512 + (Math.floor(x * 0.6) % 512));
      for (let c = 0; c < 3; c++)
        data[4 * (y * WIDE + x) + c] = (photo?.data[from + c] ?? 0) + 10 * (random() - 0.5);
    }
  const side = PATCH + 2 * RING + 20;
  const target = new Uint8ClampedArray(4 * side * side).fill(255);
  const [left, top] = [X - RING - 10, Y - RING - 10];
  for (let y = 0; y < side; y++)
    target.set(
      data.subarray(4 * ((y + top) * WIDE + left), 4 * ((y + top) * WIDE + left + side)),
      4 * y * side,
    );
  const at = RING + 10;
  return {
    target: {
      image: { width: side, height: side, data: target },
      outline: [[at, at], [at + PATCH, at], [at + PATCH, at + PATCH], [at, at + PATCH]],
      ringMm: RING,
    },
    donor: { image: { width: WIDE, height: TALL, data }, outline: [[0, 0], [WIDE, 0], [WIDE, TALL], [0, TALL]] },
    mmPerPixel: 1,
    grainToleranceDegrees: TOLERANCE,
    flips: true,
    top: 5,
  }; // prettier-ignore
}

/** Every whole degree and both faces, the ring as mask; the best of all places. */
function masked({ target, donor }: PlaceInput): { x: number; y: number } {
  const gray = (image: { width: number; height: number; data: Uint8ClampedArray }): cv.Mat => {
    const from = cv.matFromImageData({ ...image, colorSpace: 'srgb' } as ImageData);
    const to = new cv.Mat();
    cv.cvtColor(from, to, cv.COLOR_RGBA2GRAY);
    to.convertTo(to, cv.CV_32F);
    from.delete();
    return to;
  };
  const { width: side } = target.image;
  const ring = new cv.Mat(side, side, cv.CV_32F);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const edge = Math.min(x, y, side - 1 - x, side - 1 - y);
      ring.data32F[y * side + x] = edge < 10 || contains(target.outline, [x + 0.5, y + 0.5] as Point) ? 0 : 1;
    }
  const [whole, part] = [gray(donor.image), gray(target.image)];
  let best = { score: -Infinity, x: 0, y: 0 };
  for (const flip of [false, true])
    for (let degrees = -TOLERANCE; degrees <= TOLERANCE; degrees++) {
      const turn = cv.getRotationMatrix2D(new cv.Point(side / 2, side / 2), -degrees, 1);
      const [t, m, result] = [new cv.Mat(), new cv.Mat(), new cv.Mat()];
      const size = new cv.Size(side, side);
      cv.warpAffine(part, t, turn, size);
      cv.warpAffine(ring, m, turn, size);
      if (flip) {
        cv.flip(t, t, 1);
        cv.flip(m, m, 1);
      }
      cv.matchTemplate(whole, t, result, cv.TM_CCOEFF_NORMED, m);
      const { maxVal, maxLoc } = cv.minMaxLoc(result, new cv.Mat());
      if (maxVal > best.score && Number.isFinite(maxVal))
        best = { score: maxVal, x: maxLoc.x + side / 2, y: maxLoc.y + side / 2 };
      for (const mat of [turn, t, m, result]) mat.delete();
    }
  return best;
}

async function main(): Promise<void> {
  if (!cv.Mat) await new Promise<void>((resolve) => (cv.onRuntimeInitialized = resolve));
  const input = sheet();
  const before = process.memoryUsage().rss;
  const times: number[] = [];
  let found = { xMm: 0, yMm: 0 };
  for (let i = 0; i < 3; i++) {
    const begun = performance.now();
    found = (await placePatch(input)).placements[0] ?? found;
    times.push(performance.now() - begun);
  }
  const grown = (process.memoryUsage().rss - before) / 1e6;
  const ours = times.sort((a, b) => a - b)[1] ?? NaN;
  const begun = performance.now();
  const theirs = masked(input);
  const other = performance.now() - begun;
  const off = (x: number, y: number): string => Math.hypot(x - X - PATCH / 2, y - Y - PATCH / 2).toFixed(2);
  console.log(`| A patch of ${PATCH} pixels on a sheet of ${(WIDE * TALL) / 1e6} megapixels, ±${TOLERANCE}°, both faces | ${(ours / 1000).toFixed(1)} s, ${off(found.xMm, found.yMm)} pixels off, memory grown by ${grown.toFixed(0)} MB | opencv (wasm), each whole degree with the ring as mask ${(other / 1000).toFixed(0)} s, ${off(theirs.x, theirs.y)} pixels off | 1/${(other / ours).toFixed(0)} |`); // prettier-ignore
}

void main();
