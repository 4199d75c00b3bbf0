import { REAL_WOOD, woodPhoto } from '../../testing/wood';
import type { Raster } from '../picture';
import { photoQuality, qualityWords, QUALITY_LIMITS } from './quality';

/** The mean of a square round each pixel, along rows first and then along columns. */
function blurred(image: Raster, reach: number): Raster {
  const { width, height } = image;
  const pass = (
    from: Float64Array,
    count: number,
    step: number,
    lines: number,
    next: number,
  ): Float64Array => {
    const out = new Float64Array(from.length);
    for (let line = 0; line < lines; line++)
      for (let k = 0; k < count; k++) {
        const [first, last] = [Math.max(0, k - reach), Math.min(count - 1, k + reach)];
        for (let c = 0; c < 4; c++) {
          let sum = 0;
          for (let i = first; i <= last; i++) sum += from[4 * (line * next + i * step) + c] ?? 0;
          out[4 * (line * next + k * step) + c] = sum / (last - first + 1);
        }
      }
    return out;
  };
  const rows = pass(Float64Array.from(image.data), width, 1, height, width);
  return { width, height, data: new Uint8ClampedArray(pass(rows, height, width, width, 1)) };
}

test.each([...REAL_WOOD])('%s is sharp, and the more it is blurred the more it is said', (name) => {
  const image = woodPhoto(name);
  const sharp = photoQuality({ image });
  const soft = photoQuality({ image: blurred(image, 1) });
  const softer = photoQuality({ image: blurred(image, 4) });
  expect(sharp.blur).toBeLessThan(soft.blur);
  expect(soft.blur).toBeLessThan(softer.blur);
  expect(qualityWords(sharp).some((w) => w.includes('blurred'))).toBe(false);
  expect(softer.blur).toBeGreaterThan(QUALITY_LIMITS.blur.value);
  expect(qualityWords(softer)[0]).toContain('The photo is blurred');
});

test('burnt and black shares are counted', () => {
  const [width, height] = [100, 50];
  const data = new Uint8ClampedArray(4 * width * height).fill(128);
  data.fill(255, 0, 4 * 500);
  data.fill(0, 4 * 500, 4 * 2500);
  const quality = photoQuality({ image: { width, height, data } });
  expect(quality.burnt).toBeCloseTo(0.1, 9);
  expect(quality.black).toBeCloseTo(0.4, 9);
  expect(qualityWords(quality).join(' ')).toMatch(
    /10 % of the photo is burnt out.*40 % of the photo is black/,
  );
});

test('an even picture is not called blurred', () => {
  const data = new Uint8ClampedArray(4 * 60 * 60).fill(128);
  expect(qualityWords(photoQuality({ image: { width: 60, height: 60, data } }))).toEqual([]);
});

test('the blur is what little a further blur takes away, reckoned by its definition (Crété-Roffet 2007, written apart)', () => {
  const [width, height, reach] = [40, 30, 4];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  const grey = (x: number, y: number): number => 60 + ((x * 31 + y * 17 + ((x * y) % 7) * 11) % 120);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.fill(grey(x, y), 4 * (y * width + x), 4 * (y * width + x) + 3); // prettier-ignore
  /** How much of the change from each place to the one before it along a line is left after a mean of nine. */
  const along = (count: number, lines: number, of: (k: number, line: number) => number): number => {
    const mean = (k: number, line: number): number => Array.from({ length: 2 * reach + 1 }, (_, d) => of(k + d - reach, line)).reduce((a, b) => a + b, 0) / (2 * reach + 1); // prettier-ignore
    let [change, left] = [0, 0];
    for (let line = 0; line < lines; line++)
      for (let k = reach + 1; k < count - reach; k++) {
        const own = Math.abs(of(k, line) - of(k - 1, line));
        change += own;
        left += Math.max(0, own - Math.abs(mean(k, line) - mean(k - 1, line)));
      }
    return 1 - left / change;
  };
  const byRows = along(width, height, grey);
  const byColumns = along(height, width, (k, line) => grey(line, k));
  const quality = photoQuality({ image: { width, height, data } });
  expect(Math.abs(quality.blur - Math.max(byRows, byColumns))).toBeLessThan(1e-4);
});
