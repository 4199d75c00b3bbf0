import fc from 'fast-check';
import { REAL_WOOD, woodPhoto } from '../../testing/wood';
import { centroidOf, contains, type Point } from '../geometry';
import type { Raster } from '../picture';
import { outlineOn, placePatch, type PlaceInput } from '.';

const { floor, max, min } = Math;

/** Numbers between 0 and 1 from a seed (mulberry32, public domain). */
function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const blank = (width: number, height: number): Raster => ({ width, height, data: new Uint8ClampedArray(4 * width * height).fill(255) }); // prettier-ignore

/** Bilinear, written apart from the search. */
function read({ data, width, height }: Raster, x: number, y: number, c: number): number {
  const px = min(width - 1.001, max(0, x - 0.5));
  const py = min(height - 1.001, max(0, y - 0.5));
  const i = floor(px);
  const j = floor(py);
  const o = 4 * (j * width + i) + c;
  const top = (data[o] ?? 0) * (1 - px + i) + (data[o + 4] ?? 0) * (px - i);
  const bottom = (data[o + 4 * width] ?? 0) * (1 - px + i) + (data[o + 4 * width + 4] ?? 0) * (px - i);
  return top * (1 - py + j) + bottom * (py - j);
}

const MM_PER_PIXEL = 0.5;
const SIDE = 512;

type Trial = { input: PlaceInput; truth: { xMm: number; yMm: number; degrees: number; flipped: boolean } };

/**
 * A patch is cut out of a photo of wood; the sheet is that photo again, turned, perhaps its other face, tinted, darkened to one side
 * and noisy, among other wood.
 */
function trial(seed: number, flips: boolean): Trial {
  const random = seeded(seed);
  const name = REAL_WOOD[seed % REAL_WOOD.length] ?? REAL_WOOD[0];
  const wood = woodPhoto(name);
  const other = woodPhoto(REAL_WOOD[(seed + 1) % REAL_WOOD.length] ?? REAL_WOOD[0]);
  const middle: Point = [170 + 170 * random(), 170 + 170 * random()];
  const corners = 5 + floor(3 * random());
  const outlinePx = Array.from({ length: corners }, (_, i): Point => {
    const a = (2 * Math.PI * (i + 0.5 * random())) / corners;
    const r = 34 + 24 * random();
    return [middle[0] + r * Math.cos(a), middle[1] + r * Math.sin(a)];
  });
  const target = blank(SIDE, SIDE);
  target.data.set(wood.data);
  for (let y = floor(middle[1] - 60); y < middle[1] + 60; y++)
    for (let x = floor(middle[0] - 60); x < middle[0] + 60; x++)
      // What was there is gone: the core shows.
      if (contains(outlinePx, [x + 0.5, y + 0.5])) target.data.set([190, 160, 120, 255], 4 * (y * SIDE + x));
  const degrees = -9 + 18 * random();
  const flipped = flips && random() < 0.5;
  const gain = [0.8 + 0.4 * random(), 0.8 + 0.4 * random(), 0.8 + 0.4 * random()];
  const lift = [-20 + 40 * random(), -20 + 40 * random(), -20 + 40 * random()];
  const shade = -0.1 + 0.2 * random();
  const [dw, dh] = [1024, 700];
  const centre: Point = [256, 256];
  const to: Point = [230 + 540 * random(), 240 + 220 * random()];
  const a = (degrees * Math.PI) / 180;
  const cos = Math.cos(a);
  const sin = Math.sin(a);
  const donor = blank(dw, dh);
  for (let y = 0; y < dh; y++)
    for (let x = 0; x < dw; x++) {
      const dx = x + 0.5 - to[0];
      const dy = y + 0.5 - to[1];
      const back = dx * cos + dy * sin;
      const sx = centre[0] + (flipped ? -back : back);
      const sy = centre[1] - dx * sin + dy * cos;
      const inside = sx > 1 && sy > 1 && sx < SIDE - 1 && sy < SIDE - 1;
      for (let c = 0; c < 3; c++) {
        const v = inside ? read(wood, sx, sy, c) : read(other, (x * 1.3) % SIDE, (y * 1.3) % SIDE, c);
        const noise = 12 * (random() + random() + random() - 1.5);
        donor.data[4 * (y * dw + x) + c] = v * (gain[c] ?? 1) * (1 + shade * (x / dw - 0.5)) + (lift[c] ?? 0) + noise; // prettier-ignore
      }
    }
  // Where the middle of the outline comes to lie, by the same turn written out.
  const [mx, my] = centroidOf(outlinePx);
  const [px, py] = [flipped ? -(mx - centre[0]) : mx - centre[0], my - centre[1]];
  const truth = {
    xMm: (to[0] + px * Math.cos(a) - py * Math.sin(a)) * MM_PER_PIXEL,
    yMm: (to[1] + px * Math.sin(a) + py * Math.cos(a)) * MM_PER_PIXEL,
    degrees,
    flipped,
  };
  const mm = (p: Point): Point => [p[0] * MM_PER_PIXEL, p[1] * MM_PER_PIXEL];
  return {
    truth,
    input: {
      target: { image: target, outline: outlinePx.map(mm), ringMm: 12 },
      donor: { image: donor, outline: ([[0, 0], [dw, 0], [dw, dh], [0, dh]] as Point[]).map(mm) },
      mmPerPixel: MM_PER_PIXEL,
      grainToleranceDegrees: 10,
      flips,
      top: 5,
    },
  }; // prettier-ignore
}

const TRIALS = Number(process.env.PLACE_TRIALS ?? 10);

test('a patch cut out of a photo of wood is found again among other wood, turned, tinted and noisy: 1 mm and 0.5° in 95 %', async () => {
  const missed: string[] = [];
  for (let seed = 1; seed <= TRIALS; seed++) {
    const { input, truth } = trial(seed, seed % 2 === 0);
    const [best] = (await placePatch(input)).placements;
    const off = best ? Math.hypot(best.xMm - truth.xMm, best.yMm - truth.yMm) : Infinity;
    const turn = best ? Math.abs(best.degrees - truth.degrees) : Infinity;
    if (off > 1 || turn > 0.5 || best?.flipped !== truth.flipped)
      missed.push(`${seed}: ${off.toFixed(2)} mm, ${turn.toFixed(2)}°, ${best?.seamError.toFixed(3)}`);
  }
  expect(missed.length <= 0.05 * TRIALS ? [] : missed).toEqual([]);
}, 600_000);

test('the five spots are different, within the sheet, and the best is the first', async () => {
  const { input } = trial(2, true);
  const { placements } = await placePatch(input);
  expect(placements.length).toBeGreaterThan(2);
  for (const [i, p] of placements.entries()) {
    if (i > 0) expect(p.seamError).toBeGreaterThanOrEqual(placements[i - 1]?.seamError ?? 0);
    const lies = outlineOn(input.target.outline, centroidOf(input.target.outline), p, [p.xMm, p.yMm]);
    for (const v of lies) expect(contains(input.donor.outline, v)).toBe(true);
    for (const q of placements.slice(0, i)) expect(Math.hypot(q.xMm - p.xMm, q.yMm - p.yMm)).toBeGreaterThan(10); // prettier-ignore
  }
}, 60_000);

test('what is kept out is kept out, and what is left of the sheet holds the whole patch', async () => {
  const { input, truth } = trial(3, false);
  const closed = [[-20, -20], [20, -20], [20, 20], [-20, 20]].map(([x, y]): Point => [truth.xMm + (x ?? 0), truth.yMm + (y ?? 0)]); // prettier-ignore
  const { placements } = await placePatch({ ...input, donor: { ...input.donor, keepOut: [closed] } });
  for (const p of placements) expect(Math.hypot(p.xMm - truth.xMm, p.yMm - truth.yMm)).toBeGreaterThan(15);
  const strip: Point[] = [[0, 0], [512, 0], [512, 90], [0, 90]]; // prettier-ignore
  const inStrip = await placePatch({ ...input, donor: { ...input.donor, outline: strip } });
  for (const p of inStrip.placements)
    for (const [, y] of outlineOn(input.target.outline, centroidOf(input.target.outline), p, [p.xMm, p.yMm]))
      expect(y).toBeLessThanOrEqual(90.05);
}, 60_000);

test('other scales are made alike and said; what cannot be is refused in words', async () => {
  const { input, truth } = trial(4, false);
  const half = blank(SIDE / 2, SIDE / 2);
  for (let y = 0; y < SIDE / 2; y++)
    for (let x = 0; x < SIDE / 2; x++)
      for (let c = 0; c < 3; c++)
        half.data[4 * (y * (SIDE / 2) + x) + c] = [0, 1].flatMap((u) => [0, 1].map((v) => input.target.image.data[4 * ((2 * y + v) * SIDE + 2 * x + u) + c] ?? 0)).reduce((s, v) => s + v, 0) / 4; // prettier-ignore
  const found = await placePatch({ ...input, target: { ...input.target, image: half }, mmPerPixel: 1, donorMmPerPixel: 0.5 }); // prettier-ignore
  expect(found.notes[0]).toContain('different scales');
  expect(Math.hypot((found.placements[0]?.xMm ?? 0) - truth.xMm, (found.placements[0]?.yMm ?? 0) - truth.yMm)).toBeLessThan(1.5); // prettier-ignore
  const with_ = (over: Partial<PlaceInput>): Promise<unknown> => placePatch({ ...input, ...over });
  const tiny: Point[] = [[0, 0], [10, 0], [10, 10], [0, 10]]; // prettier-ignore
  await expect(with_({ donor: { ...input.donor, outline: tiny } })).rejects.toThrow(
    'larger than what is left',
  );
  const over = input.target.outline.map(([x, y]): Point => [x + 200, y]);
  await expect(with_({ target: { ...input.target, outline: over } })).rejects.toThrow('over the border');
  await expect(with_({ donor: { ...input.donor, image: { ...input.donor.image, width: 9000, height: 9000 } } })).rejects.toThrow('81 megapixels'); // prettier-ignore
  await expect(with_({ target: { ...input.target, image: { ...input.target.image, data: new Uint8ClampedArray(4) } } })).rejects.toThrow('four bytes'); // prettier-ignore
}, 60_000);

test('laying an outline on and back again gives it back', () => {
  const outline: Point[] = [[1, 2], [30, 4], [22, 31]]; // prettier-ignore
  fc.assert(
    fc.property(fc.double({ min: -180, max: 180, noNaN: true }), fc.boolean(), (degrees, flipped) => {
      const at = centroidOf(outline);
      const there = outlineOn(outline, at, { degrees, flipped }, at);
      const back = outlineOn(there, at, { degrees: flipped ? degrees : -degrees, flipped }, at);
      for (const [i, p] of back.entries()) {
        expect(p[0]).toBeCloseTo(outline[i]?.[0] ?? NaN, 9);
        expect(p[1]).toBeCloseTo(outline[i]?.[1] ?? NaN, 9);
      }
    }),
  );
});
