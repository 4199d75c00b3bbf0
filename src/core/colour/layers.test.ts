import fc from 'fast-check';
import { blendPlan } from './layers';
import { deltaE00, labFromRgb, type Lab } from './lab';
import { tonesAround, tonesOf, tonesOfSwatch, tonesWithin, type Tones } from './tones';
import type { Raster } from '../picture';

const tones = (ground: Lab, mean: Lab, line: Lab): Tones => ({
  ground,
  mean,
  line,
  coherence: 0.5,
  pixels: 1000,
});
const OLD = tones([58, 18, 34], [50, 17, 31], [40, 15, 26]);
const PALE = tones([74, 8, 24], [68, 8, 23], [60, 8, 22]);

test('a pale veneer is brought to the old wood with little left', () => {
  const plan = blendPlan(OLD, PALE, 'lacquer');
  expect(plan.steps.map((s) => s.id)).toEqual(['dye', 'lines', 'seal', 'glaze', 'toner']);
  expect(plan.bareDifference).toBeGreaterThan(12);
  expect(plan.residual).toBeLessThan(1);
  expect(plan.tooDark).toBe(false);
});

test('a dark veneer is told to be too dark, and the rest is not coloured away', () => {
  const plan = blendPlan(OLD, tones([38, 14, 20], [33, 13, 18], [25, 11, 14]), 'shellac');
  expect(plan.tooDark).toBe(true);
  expect(plan.steps.find((s) => s.id === 'dye')).toBeUndefined();
  expect(plan.residual).toBeGreaterThan(10);
});

test('no layer ever lightens', () => {
  const channel = fc.integer({ min: 60, max: 240 });
  const anyTones = fc.tuple(channel, channel, channel).map(([r, g, b]): Tones => {
    const at = (k: number): Lab => labFromRgb(r * k, g * k, b * k);
    return tones(at(1), at(0.9), at(0.75));
  });
  let coloured = 0;
  fc.assert(
    fc.property(anyTones, anyTones, (old, bare) => {
      for (const { before, after } of blendPlan(old, bare, 'oil').steps) {
        if (!before || !after) continue;
        coloured++;
        expect(after[0]).toBeLessThanOrEqual(before[0] + 1e-6);
      }
    }),
  );
  expect(coloured).toBeGreaterThan(100);
});

const board = (paint: (x: number, y: number) => [number, number, number]): Raster => {
  const [width, height] = [200, 100];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) data.set([...paint(x, y), 255], (y * width + x) * 4);
  }
  return { data, width, height };
};

test('tones are read in the ring round the damage and nowhere else', () => {
  const inRing = (x: number, y: number): boolean => Math.hypot(x - 100, y - 50) < 36;
  const inDamage = (x: number, y: number): boolean => Math.abs(x - 100) < 12 && Math.abs(y - 50) < 12;
  const picture = board((x, y) =>
    inDamage(x, y) ? [10, 10, 200] : inRing(x, y) ? [150, 90, 50] : [250, 250, 250],
  );
  const square = [[90, 40], [110, 40], [110, 60], [90, 60]] as const; // prettier-ignore
  const face = [[0, 0], [200, 0], [200, 100], [0, 100]] as const; // prettier-ignore
  const read = tonesAround(picture, 1, square, [], face);
  expect(deltaE00(read.line, tonesOf(Array<Lab>(200).fill([45.2, 20.5, 33])).line)).toBeLessThan(3);
  expect(read.mean[0]).toBeLessThan(55);
});

test('a place to be toned in is read inside its outline alone, its rim left out', () => {
  const square = [[80, 30], [120, 30], [120, 70], [80, 70]] as const; // prettier-ignore
  const face = [[0, 0], [200, 0], [200, 100], [0, 100]] as const; // prettier-ignore
  // A rim of one millimetre inside the outline is dirty; without it the place is one colour.
  const pale = board((x, y) => (x >= 81 && x < 119 && y >= 31 && y < 69 ? [200, 170, 120] : [20, 20, 20]));
  const read = tonesWithin(pale, 1, square, face);
  expect(deltaE00(read.mean, labFromRgb(200, 170, 120))).toBeLessThan(0.01);
  expect(deltaE00(read.line, labFromRgb(200, 170, 120))).toBeLessThan(0.01);
  expect(() => tonesWithin(pale, 1, [[80, 30], [85, 30], [85, 35]], face)).toThrow('picture points'); // prettier-ignore
});

test('ground and lines of a striped swatch', () => {
  const read = tonesOfSwatch(board((_, y) => (y % 10 < 3 ? [90, 55, 30] : [170, 120, 70])));
  expect(read.ground[0] - read.line[0]).toBeGreaterThan(20);
  expect(read.coherence).toBeGreaterThan(0.95);
  const dots = tonesOfSwatch(
    board((x, y) => ((Math.floor(x / 5) + Math.floor(y / 5)) % 2 ? [90, 55, 30] : [170, 120, 70])),
  );
  expect(dots.coherence).toBeLessThan(0.2);
});

test('too little wood to read is said', () => {
  expect(() => tonesOf([[50, 0, 0]])).toThrow('Only 1 picture points of sound wood');
});
