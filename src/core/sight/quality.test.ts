import { REAL_WOOD, woodPhoto } from '../../testing/wood';
import type { Raster } from '../picture';
import { photoQuality, qualityWords, QUALITY_LIMITS } from './quality';

/** The mean of a square round each pixel. */
function blurred({ data, width, height }: Raster, reach: number): Raster {
  const out = new Uint8ClampedArray(data.length).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++) {
        let sum = 0;
        let count = 0;
        for (let v = Math.max(0, y - reach); v <= Math.min(height - 1, y + reach); v++)
          for (let u = Math.max(0, x - reach); u <= Math.min(width - 1, x + reach); u++) {
            sum += data[4 * (v * width + u) + c] ?? 0;
            count++;
          }
        out[4 * (y * width + x) + c] = sum / count;
      }
  return { data: out, width, height };
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
