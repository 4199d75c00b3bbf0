import { deltaE00, labFromLinear, linearOf, type Lab } from './lab';
import { coverOf, recolouredPlace, resolvedMm, seenFrom, type ToneRow } from './look';

type Rgb = readonly [number, number, number];
const drawn = (width: number, height: number, of: (x: number, y: number) => Rgb) => {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([...of(x, y), 255], 4 * (y * width + x));
  return { width, height, data };
};
const at = (p: { width: number; data: Uint8ClampedArray }, x: number, y: number): Rgb => {
  const o = 4 * (y * p.width + x);
  return [p.data[o] ?? 0, p.data[o + 1] ?? 0, p.data[o + 2] ?? 0];
};
const WHITE: Rgb = [255, 255, 255];
const BLACK: Rgb = [0, 0, 0];
const PALE: Rgb = [220, 220, 220];
const DARK: Rgb = [40, 40, 40];
/** A film that takes the same share of light everywhere. */
const filter = (to: Lab): ToneRow[] => [{ share: 0, light: [0, 0, 0] }, { share: 1, light: linearOf(to) }]; // prettier-ignore
/** IEC 61966-2-1, written out. */
const light = (v: number): number => (v <= 10.31475 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4);

test('one minute of arc: 0.29 mm at a metre (ISO 8596)', () => {
  // An arc of a 60th of a degree on a circle of one metre.
  expect(resolvedMm(1000)).toBeCloseTo((2 * Math.PI * 1000) / (360 * 60), 4);
  expect(resolvedMm(1600)).toBeCloseTo(0.4654, 3);
});

test('stripes finer than the eye tells run together into the mean of their light; wider ones stay', () => {
  const fine = seenFrom(
    drawn(200, 40, (x) => (x % 2 === 0 ? PALE : DARK)),
    0.1,
    1,
  );
  const mean = (light(220) + light(40)) / 2;
  for (const x of [60, 61, 100, 133]) expect(light(at(fine, x, 20)[0])).toBeCloseTo(mean, 1);
  const wide = seenFrom(
    drawn(200, 40, (x) => (Math.floor(x / 50) % 2 === 0 ? PALE : DARK)),
    0.1,
    1,
  );
  expect(at(wide, 25, 20)[0]).toBeGreaterThan(215);
  expect(at(wide, 75, 20)[0]).toBeLessThan(45);
});

test('a spot of light becomes a bell of the width asked for; what is finer than a pixel is left', () => {
  const spot = drawn(121, 121, (x, y) => (Math.abs(x - 60) < 2 && Math.abs(y - 60) < 2 ? WHITE : BLACK));
  expect(seenFrom(spot, 0.1, 0.01)).toBe(spot);
  const seen = seenFrom(spot, 0.1, 2);
  const row = Array.from({ length: 121 }, (_, x) => light(at(seen, x, 60)[0]));
  const wide = 0.1 * row.filter((v) => v >= Math.max(...row) / 2).length;
  expect(wide).toBeGreaterThan(1.65);
  expect(wide).toBeLessThan(2.45);
});

test('a place takes another colour on the whole and keeps its figure; what is round it stays', () => {
  const picture = drawn(100, 100, (x) => (x % 10 < 2 ? [120, 80, 50] : [190, 140, 90]));
  const outline = [[2, 2], [8, 2], [8, 8], [2, 8]] as const; // prettier-ignore
  const cover = coverOf(100, 100, 0.1, outline);
  // By area: 60 × 60 pixels less the rim of six, which rises from 0 to 1.
  expect(cover.reduce((a, b) => a + b, 0)).toBeGreaterThan(48 * 48);
  expect(cover.reduce((a, b) => a + b, 0)).toBeLessThan(60 * 60);
  const to: Lab = [48, 19, 27];
  const then = recolouredPlace(picture, cover, filter(to));
  expect(at(then, 10, 50)).toEqual(at(picture, 10, 50));
  const inner = Array.from({ length: 40 }, (_, i) => 30 + i);
  const mean = (k: 0 | 1 | 2): number =>
    inner.reduce((sum, x) => sum + light(at(then, x, 50)[k]), 0) / inner.length;
  expect(deltaE00(labFromLinear([mean(0), mean(1), mean(2)]), to)).toBeLessThan(0.7);
  // A film takes the same share of light from the lines as from the ground.
  const share = (k: 0 | 1 | 2): number[] =>
    [50, 55].map((x) => light(at(then, x, 50)[k]) / light(at(picture, x, 50)[k]));
  for (const k of [0, 1, 2] as const) expect(share(k)[0]).toBeCloseTo(share(k)[1] ?? 0, 1);
});

test('nothing of a place outside the picture is painted', () => {
  const picture = drawn(20, 20, () => PALE);
  const cover = coverOf(20, 20, 1, [[30, 30], [40, 30], [40, 40]]); // prettier-ignore
  expect(recolouredPlace(picture, cover, filter([20, 0, 0])).data).toEqual(picture.data);
});

test('what hides makes lines and ground alike; between the rows it goes straight', () => {
  const picture = drawn(100, 100, (x) => (x % 10 < 2 ? [120, 80, 50] : [190, 140, 90]));
  const cover = new Float32Array(100 * 100).fill(1);
  const paint = linearOf([52, 10, 20]);
  const flat = recolouredPlace(picture, cover, [{ share: 0, light: paint }, { share: 1, light: paint }]); // prettier-ignore
  expect(at(flat, 31, 50)).toEqual(at(flat, 37, 50));
  expect(deltaE00(labFromLinear([light(at(flat, 31, 50)[0]), light(at(flat, 31, 50)[1]), light(at(flat, 31, 50)[2])]), [52, 10, 20])).toBeLessThan(0.5); // prettier-ignore
  // Half hidden: the step from line to ground is half as high as the film alone would leave it.
  const half = recolouredPlace(picture, cover, [{ share: 0, light: [0.1, 0.1, 0.1] }, { share: 1, light: [0.2, 0.2, 0.2] }, { share: 4, light: [0.5, 0.5, 0.5] }]); // prettier-ignore
  const mean = 0.2 * light(120) + 0.8 * light(190);
  for (const [x, own] of [[31, 120], [37, 190]] as const) expect(light(at(half, x, 50)[0])).toBeCloseTo(0.1 + (0.1 * light(own)) / mean, 2); // prettier-ignore
  expect(() => recolouredPlace(picture, cover, [])).toThrow(RangeError);
});

test('a point of a picture belongs to the place its middle lies in', () => {
  // 4 × 4 points of a millimetre; the place covers those whose middles lie between 1 and 3 mm.
  const cover = coverOf(4, 4, 1, [[1, 1], [3, 1], [3, 3], [1, 3]]); // prettier-ignore
  const taken = [...cover].flatMap((c, i) => (c > 0 ? [[i % 4, Math.floor(i / 4)]] : []));
  expect(taken).toEqual([[1, 1], [2, 1], [1, 2], [2, 2]]); // prettier-ignore
});
