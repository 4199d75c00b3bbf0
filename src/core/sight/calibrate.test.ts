import Color from 'colorjs.io';
import { deltaE00, labFromRgb } from '../colour';
import type { Point } from '../geometry';
import type { Raster } from '../picture';
import { calibrate, calibrationWords, CHART, recoloured } from './calibrate';
import { evenLight } from './evenLight';

const WIDE = 360;
const TALL = 240;

/** Fields of the chart as sRGB bytes by a second colour library. */
const FIELDS = CHART.fields.map(({ x, y, z }) => new Color('xyz-d50', [x / 100, y / 100, z / 100]).to('srgb').coords.map((c) => Math.min(255, Math.max(0, 255 * (c ?? 0))))); // prettier-ignore

const decode = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const encode = (l: number): number =>
  l <= 0.0031308 ? 12.92 * l : 1.055 * Math.max(0, l) ** (1 / 2.4) - 0.055;

/** The chart filling a picture, seen through a camera that mixes its channels so, each row a row of sums. */
function photographed(camera: readonly (readonly number[])[], turned = 0): Raster {
  const data = new Uint8ClampedArray(4 * WIDE * TALL);
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      const [px, py] = turned === 2 ? [WIDE - 1 - x, TALL - 1 - y] : [x, y];
      const field = FIELDS[6 * Math.floor((py * 4) / TALL) + Math.floor((px * 6) / WIDE)] ?? [0, 0, 0];
      const light = field.map((v) => decode(v / 255));
      const seen = camera.map((row) => 255 * encode(row.reduce((s, k, i) => s + k * (light[i] ?? 0), 0)));
      data.set([...seen, 255], 4 * (y * WIDE + x));
    }
  return { data, width: WIDE, height: TALL };
}
const CORNERS: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
/** Lamp light and mixed channels. */
const LAMP = [[1.02, 0.08, 0.0], [0.04, 0.72, 0.05], [0.02, 0.06, 0.42]]; // prettier-ignore
const near = (picture: Raster): number => {
  const differences = FIELDS.map((f, i) => {
    const o = 4 * (Math.floor(((Math.floor(i / 6) + 0.5) * TALL) / 4) * WIDE + Math.floor((((i % 6) + 0.5) * WIDE) / 6));
    const [r = 0, g = 0, b = 0] = picture.data.subarray(o, o + 3);
    return deltaE00(labFromRgb(r, g, b), labFromRgb(f[0] ?? 0, f[1] ?? 0, f[2] ?? 0));
  });
  return differences.reduce((a, b) => a + b, 0) / differences.length;
}; // prettier-ignore

test('a chart photographed in lamp light: its fields come back to what a second library says they are', () => {
  const photo = photographed(LAMP);
  const found = calibrate({ image: photo, card: 'chart', corners: CORNERS });
  expect(found.before).toBeGreaterThan(8);
  expect(found.after).toBeLessThan(1);
  expect(near(photo)).toBeGreaterThan(8);
  expect(near(recoloured(photo, found.matrix))).toBeLessThan(1);
  expect(calibrationWords(found, 'chart')).toMatch(/^The fields were \d+\.\d ΔE00 off on average; now 0\.\d/);
});

test('a chart that lies upside down is read so and told', () => {
  const found = calibrate({ image: photographed(LAMP, 2), card: 'chart', corners: CORNERS });
  expect(found.turned).toBe(2);
  expect(found.after).toBeLessThan(1);
  expect(calibrationWords(found, 'chart')).toContain('upside down');
});

test('half covered, burnt out, not grey, or corners on one spot: told, with what to do', () => {
  const covered = photographed(LAMP);
  for (let y = 0; y < TALL / 2; y++) for (let x = 0; x < WIDE; x++) covered.data.set([90, 60, 40, 255], 4 * (y * WIDE + x)); // prettier-ignore
  expect(() => calibrate({ image: covered, card: 'chart', corners: CORNERS })).toThrow(/fields are not as they should be/); // prettier-ignore
  const white = photographed([[9, 9, 9], [9, 9, 9], [9, 9, 9]]); // prettier-ignore
  expect(() => calibrate({ image: white, card: 'grey', corners: CORNERS })).toThrow('burnt out');
  const red = photographed([[0.3, 0.1, 0.1], [0.04, 0.04, 0.04], [0.03, 0.03, 0.03]]); // prettier-ignore
  expect(() => calibrate({ image: red, card: 'grey', corners: CORNERS })).toThrow('not grey');
  expect(() => calibrate({ image: red, card: 'grey', corners: [[0, 0], [0, 0], [1, 1], [0, 1]] })).toThrow('one spot'); // prettier-ignore
});

test('a grey card of 18 %: after it grey is grey, L* 49.5, by hand', () => {
  const data = new Uint8ClampedArray(4 * 60 * 60);
  for (let i = 0; i < 3600; i++) data.set([150, 120, 90, 255], 4 * i);
  const found = calibrate({ image: { data, width: 60, height: 60 }, card: 'grey', corners: CORNERS });
  const [r = 0, g = 0, b = 0] = recoloured({ data, width: 60, height: 60 }, found.matrix).data;
  expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThanOrEqual(1);
  // 116 · 0.18^(1/3) − 16.
  expect(labFromRgb(r, g, b)[0]).toBeCloseTo(49.5, 0);
});

test('a lamp at one side is taken out: stripes that were even are even again, and how uneven it was is told', () => {
  const data = new Uint8ClampedArray(4 * WIDE * TALL);
  const stripe = (y: number): number => 0.3 + 0.04 * Math.sin(y / 4);
  const lamp = (x: number, y: number): number => Math.exp(0.35 * (x / WIDE) - 0.15 * (y / TALL) + 0.1 * (x / WIDE) ** 2);
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      const l = stripe(y) * lamp(x, y);
      data.set([1, 0.7, 0.45].map((c) => 255 * encode(c * l)), 4 * (y * WIDE + x));
      data[4 * (y * WIDE + x) + 3] = 255;
    }
  const face: Point[] = [[0, 0], [WIDE, 0], [WIDE, TALL], [0, TALL]];
  const { picture, uneven } = evenLight({ data, width: WIDE, height: TALL }, face);
  expect(uneven).toBeCloseTo(Math.exp(0.45 + 0.15) - 1, 1);
  // Along one stripe the light no longer changes.
  const along = [10, 90, 180, 270, 350].map((x) => picture.data[4 * (120 * WIDE + x)] ?? 0);
  expect(Math.max(...along) - Math.min(...along)).toBeLessThanOrEqual(4);
  const was = [10, 350].map((x) => data[4 * (120 * WIDE + x)] ?? 0);
  expect((was[1] ?? 0) - (was[0] ?? 0)).toBeGreaterThan(20);
  expect(() => evenLight({ data, width: WIDE, height: TALL }, [[0, 0], [2, 0], [2, 2]])).toThrow('Too little wood');
}); // prettier-ignore

test.each([1, 3])('a chart that stands on its side, %d quarter turns, is read as it lies', (turned) => {
  const flat = photographed(LAMP);
  const data = new Uint8ClampedArray(flat.data.length);
  // The picture turned by a quarter: columns become rows.
  for (let y = 0; y < WIDE; y++)
    for (let x = 0; x < TALL; x++) {
      const [fx, fy] = turned === 1 ? [y, TALL - 1 - x] : [WIDE - 1 - y, x];
      data.set(flat.data.subarray(4 * (fy * WIDE + fx), 4 * (fy * WIDE + fx) + 4), 4 * (y * TALL + x));
    }
  const found = calibrate({ image: { data, width: TALL, height: WIDE }, card: 'chart', corners: CORNERS });
  expect([1, 3]).toContain(found.turned);
  expect(found.after).toBeLessThan(1);
});
