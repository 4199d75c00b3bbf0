import fc from 'fast-check';
import {
  asRaster,
  between,
  brightAt,
  cheapestWay,
  planesOf,
  shrink,
  shrinkAll,
  type Plane,
  type Raster,
} from '.';

const picture = (width: number, height: number) => ({
  width,
  height,
  data: Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) => (i * 37 + 11) % 251),
});

test('each channel of a pixel comes into its own plane, lightness by its shares, what is shown by its fourth byte', () => {
  const { channels, bright, shown } = planesOf({
    width: 2,
    height: 1,
    data: Uint8ClampedArray.of(10, 20, 30, 255, 200, 100, 50, 0),
  });
  expect(channels.map((c) => [...c.data])).toEqual([
    [10, 200],
    [20, 100],
    [30, 50],
  ]);
  // 0.3, 0.6 and 0.1 of red, green and blue: common practice for the lightness of a photo.
  expect(bright.data[0]).toBeCloseTo(18, 4);
  expect(bright.data[1]).toBeCloseTo(125, 4);
  expect([...shown.data]).toEqual([1, 0]);
});

/** Mean of a plane over a part of it, by cutting each pixel into a hundred. */
function meanOver({ data, width, height }: Plane, left: number, top: number, right: number, bottom: number) {
  const FINE = 10;
  let [sum, count] = [0, 0];
  for (let y = 0; y < height * FINE; y++)
    for (let x = 0; x < width * FINE; x++) {
      const [px, py] = [(x + 0.5) / FINE, (y + 0.5) / FINE];
      if (px < left || px >= right || py < top || py >= bottom) continue;
      sum += data[Math.floor(y / FINE) * width + Math.floor(x / FINE)] ?? 0;
      count++;
    }
  return sum / count;
}

test('a smaller plane holds the mean of what each of its pixels covers, counted out in tenths of a pixel', () => {
  fc.assert(
    fc.property(fc.integer({ min: 4, max: 9 }), fc.integer({ min: 4, max: 9 }), fc.integer({ min: 10, max: 35 }), (w, h, tenths) => {
      const by = tenths / 10;
      const from = planesOf(picture(w, h)).channels[1];
      const small = shrink(from, by);
      expect([small.width, small.height]).toEqual([Math.max(1, Math.floor(w / by)), Math.max(1, Math.floor(h / by))]);
      for (let y = 0; y < small.height; y++)
        for (let x = 0; x < small.width; x++)
          expect(small.data[y * small.width + x]).toBeCloseTo(meanOver(from, x * by, y * by, (x + 1) * by, (y + 1) * by), 2);
    }),
    { numRuns: 25 },
  ); // prettier-ignore
});

test('all planes shrink alike, and lightness follows its channels', () => {
  const small = shrinkAll(planesOf(picture(8, 6)), 2);
  const [r, g, b] = small.channels;
  for (let i = 0; i < 12; i++)
    expect(small.bright.data[i]).toBeCloseTo(0.3 * (r.data[i] ?? 0) + 0.6 * (g.data[i] ?? 0) + 0.1 * (b.data[i] ?? 0), 3); // prettier-ignore
  expect(small.shown.width).toBe(4);
});

test('between pixels a value runs straight from one middle to the next, and the rim goes on outside', () => {
  const ramp: Plane = { width: 5, height: 4, data: Float32Array.from({ length: 20 }, (_, i) => 3 * (i % 5) + 7 * Math.floor(i / 5)) }; // prettier-ignore
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 4.5, noNaN: true }), fc.double({ min: 0.5, max: 3.5, noNaN: true }), (x, y) => {
      // A plane that rises evenly is found exactly.
      expect(between(ramp, x, y)).toBeCloseTo(3 * (x - 0.5) + 7 * (y - 0.5), 3);
    }),
  ); // prettier-ignore
  expect(between(ramp, -9, 2)).toBe(between(ramp, 0.5, 2));
  expect(between(ramp, 2, 99)).toBe(between(ramp, 2, 3.5));
});

describe('a picture at a door', () => {
  const size = (width: number, height: number, length = 4 * width * height) => ({
    width,
    height,
    data: new Uint8ClampedArray(length),
  });

  test('sixteen megapixels are searched, a row more is not', () => {
    expect(asRaster('The photo', size(4000, 4000)).width).toBe(4000);
    expect(() => asRaster('The photo', { width: 4000, height: 4001, data: new Uint8ClampedArray() })).toThrow(
      'The photo has 16 megapixels; at most 16 are searched',
    );
  });

  test.each([-1, 1])('%d byte too many is no picture', (more) => {
    expect(() => asRaster('The photo', size(3, 2, 24 + more))).toThrow('no picture of 3 × 2 pixels');
  });

  test('bytes may come as a plain list or in another kind of array, and are kept', () => {
    const bytes = [1, 2, 3, 4, 5, 6, 7, 8];
    for (const data of [bytes, Float32Array.from(bytes)])
      expect([...asRaster('x', { width: 2, height: 1, data: data as unknown as Raster['data'] }).data]).toEqual(bytes); // prettier-ignore
  });
});

test('the cheapest way through a band is the one that trying every way finds', () => {
  const [columns, rows] = [5, 4];
  const table = fc.array(fc.option(fc.integer({ min: 0, max: 20 }), { nil: Infinity, freq: 8 }), { minLength: columns * rows, maxLength: columns * rows }); // prettier-ignore
  fc.assert(
    fc.property(table, fc.integer({ min: 0, max: 9 }), (costs, climb) => {
      const at = (x: number, y: number): number => costs[y * columns + x] ?? Infinity;
      const cost = (way: readonly number[]): number =>
        way.reduce((s, y, x) => s + at(x, y) + (x === 0 || y === way[x - 1] ? 0 : climb), 0);
      const all = (way: number[]): number[][] =>
        way.length === columns
          ? [way]
          : Array.from({ length: rows }, (_, y) => y)
              .filter((y) => way.length === 0 || Math.abs(y - (way[way.length - 1] ?? 0)) <= 1)
              .flatMap((y) => all([...way, y]));
      const best = Math.min(...all([]).map(cost));
      const found = cheapestWay(columns, rows, at, climb);
      expect(found === undefined).toBe(best === Infinity);
      if (!found) return;
      expect(found).toHaveLength(columns);
      expect(found.every((y, x) => x === 0 || Math.abs(y - (found[x - 1] ?? 0)) <= 1)).toBe(true);
      expect(cost(found)).toBe(best);
    }),
  );
});

test('at its right rim a value is between its own row’s last pixels, not the next row’s first', () => {
  const rows: Plane = { width: 3, height: 2, data: Float32Array.of(1, 2, 3, 90, 91, 92) };
  expect(between(rows, 2.9, 0.5)).toBe(3);
  expect(between(rows, 2.9, 1.5)).toBe(92);
});

test('lightness takes three parts of red, six of green and one of blue', () => {
  expect(brightAt([0, 0, 0, 0, 10, 100, 200, 255], 4)).toBeCloseTo(3 + 60 + 20, 9);
});
