import fc from 'fast-check';
import { labFromRgb } from '../colour';
import type { Point } from '../geometry';
import type { Raster } from '../picture';
import {
  cardAround,
  cardWords,
  centreWords,
  readCentre,
  rankStock,
  STOCK_WEIGHTS,
  woodCard,
  type StockCard,
  type WoodCard,
} from '.';

const MM = 0.25;
/** Stripes of two browns, their middles so far apart, running so many degrees clockwise. */
function stripes(degrees: number, periodMm: number, dark = 0.5, size = 200): Raster {
  const data = new Uint8ClampedArray(4 * size * size);
  const a = (degrees * Math.PI) / 180;
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const across = (-(x + 0.5) * Math.sin(a) + (y + 0.5) * Math.cos(a)) * MM;
      const wave = 0.5 + 0.5 * Math.cos((2 * Math.PI * across) / periodMm);
      data.set([190 - 80 * dark * wave * 2, 150 - 70 * dark * wave * 2, 100 - 50 * dark * wave * 2, 255], 4 * (y * size + x)); // prettier-ignore
    }
  return { data, width: size, height: size };
}

test('generated stripes: their way within 1°, their distance within 5 %', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 179 }), fc.double({ min: 2, max: 9, noNaN: true }), (degrees, periodMm) => {
      const card = woodCard(stripes(degrees, periodMm), MM);
      const off = Math.abs(((card.grainDeg - degrees + 270) % 180) - 90);
      expect(off).toBeLessThan(1);
      expect(card.coherence).toBeGreaterThan(0.95);
      expect(Math.abs((card.periodMm ?? 0) / periodMm - 1)).toBeLessThan(0.05);
    }),
    { numRuns: 25 },
  ); // prettier-ignore
});

test('a known mixture of two tones: seven tenths light, three tenths dark', () => {
  const size = 100;
  const data = new Uint8ClampedArray(4 * size * size);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++)
      data.set(y % 10 < 7 ? [200, 160, 110, 255] : [110, 70, 40, 255], 4 * (y * size + x));
  const { tones, contrast, shares, grainDeg } = woodCard({ data, width: size, height: size }, 0.5);
  for (const [seen, rgb] of [
    [tones.ground, [200, 160, 110]],
    [tones.line, [110, 70, 40]],
  ] as const)
    // prettier-ignore
    labFromRgb(rgb[0], rgb[1], rgb[2]).forEach((v, i) => expect(seen[i]).toBeCloseTo(v, 3));
  expect(contrast).toBeCloseTo(labFromRgb(200, 160, 110)[0] - labFromRgb(110, 70, 40)[0], 3);
  expect(shares.ground).toBeCloseTo(0.7, 2);
  expect(shares.line).toBeCloseTo(0.3, 2);
  expect(Math.min(grainDeg, 180 - grainDeg)).toBeLessThan(1);
});

test('only what is wood counts, dark specks are pores, and a picture too small is refused', () => {
  const raster = stripes(0, 4);
  const half: Point[] = [[0, 0], [50, 0], [50, 25], [0, 25]]; // prettier-ignore
  for (let y = 100; y < 200; y++) for (let x = 0; x < 200; x++) raster.data.set([20, 20, 200, 255], 4 * (y * 200 + x)); // prettier-ignore
  expect(woodCard(raster, MM, half).tones.mid[2]).toBeGreaterThan(0);
  const flat = stripes(0, 4, 0);
  expect(woodCard(flat, MM).pores).toBe('none');
  for (let i = 0; i < 200 * 200; i += 9) flat.data.set([60, 40, 20, 255], 4 * i);
  expect(woodCard(flat, MM).pores).toBe('coarse');
  expect(() => woodCard(stripes(0, 4, 0.5, 10), MM)).toThrow('Take a closer one');
});

const TARGET: WoodCard = {
  grainDeg: 0,
  coherence: 0.8,
  periodMm: 6,
  strength: 0.7,
  contrast: 18,
  pores: 'fine',
  tones: { ground: [60, 14, 26], mid: [52, 15, 25], line: [42, 14, 20] },
  shares: { ground: 0.4, mid: 0.3, line: 0.3 },
};
const like = (id: string, over: Partial<StockCard> = {}): StockCard => ({ ...TARGET, id, thicknessMm: 0.9, ...over }); // prettier-ignore
const moved = (by: number): WoodCard['tones'] => ({
  ground: [TARGET.tones.ground[0] + by, 14, 26],
  mid: [TARGET.tones.mid[0] + by, 15, 25],
  line: [TARGET.tones.line[0] + by, 14, 20],
});
const rank = (stock: StockCard[], school: 'conserve' | 'clear' | 'paint' = 'clear') => rankStock({ target: TARGET, stock, thicknessMm: 0.9, school }).ranked; // prettier-ignore

// Common practice, each pair alike but for one thing: the first is the better.
test.each([
  ['lighter before darker by as much', { tones: moved(8) }, { tones: moved(-8) }],
  ['the right figure in a lighter tone before the right tone with no figure', { tones: moved(6) }, { contrast: 2, coherence: 0.2 }],
  ['one sheet of paper before three', { thicknessMm: 0.75 }, { thicknessMm: 0.35 }],
  ['pores like the old ones', {}, { pores: 'coarse' as const }],
  ['stripes at the same distance', {}, { periodMm: 15 }],
])('%s', (...[, better, worse]: [string, Partial<StockCard>, Partial<StockCard>]) => {
  expect(rank([like('worse', worse), like('better', better)]).map((r) => r.id)).toEqual(['better', 'worse']);
}); // prettier-ignore

test('the same wood scores all points but for the shaving, parts add up, and what is too small scores none', () => {
  const [same] = rank([like('same')]);
  expect(same?.score).toBeGreaterThan(95);
  expect(same?.deltaE00).toBe(0);
  for (const weights of Object.values(STOCK_WEIGHTS))
    expect(Object.values(weights).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  const small = rankStock({ target: { ...TARGET, alongMm: 200 }, stock: [like('small', { alongMm: 100 })], thicknessMm: 0.9, school: 'clear' }).ranked[0]; // prettier-ignore
  expect(small).toMatchObject({ score: 0, parts: { fit: 0 } });
  expect(() => rank([])).toThrow('nothing in the stock');
});

test('the conserve school asks for the cut, and paint asks for height before figure', () => {
  const sawn = rankStock({ target: { ...TARGET, cut: 'sawn' }, stock: [like('knife', { cut: 'knife' }), like('sawn', { cut: 'sawn' })], thicknessMm: 0.9, school: 'conserve' }).ranked; // prettier-ignore
  expect(sawn.map((r) => r.id)).toEqual(['sawn', 'knife']);
  const thin = like('thin', { thicknessMm: 0.4 });
  const plain = like('plain', { contrast: 0, coherence: 0.1 });
  expect(rank([thin, plain], 'paint')[0]?.id).toBe('plain');
  expect(rank([thin, plain], 'clear')[0]?.id).toBe('thin');
});

test('in words: straight stripes in level wood, and a burr', () => {
  const length = (mm: number): string => `${mm.toFixed(0)} mm`;
  expect(cardWords({ ...TARGET, grainDeg: 178 }, length)).toBe(
    'Its grain runs one way, 2° off level in the photo, stripes 6 mm apart, strong lines, fine pores.',
  );
  const { periodMm: _none, ...burr } = TARGET;
  expect(cardWords({ ...burr, coherence: 0.1, contrast: 4, pores: 'none' }, length)).toBe(
    'Its grain runs all ways, as in a burr, hardly any lines, no pores to be seen.',
  );
});

test('a burr has no stripes to stand apart; without a scale pores are told as unknown, half a score', () => {
  const burr = { ...TARGET, coherence: 0.1 };
  const other = rankStock({ target: burr, stock: [{ ...like('other', { coherence: 0.1 }), periodMm: 40 }], thicknessMm: 0.9, school: 'clear' }).ranked[0]; // prettier-ignore
  expect(other?.parts.figure).toBeCloseTo(1, 9);
  const { pores: _pores, ...unscaled } = like('unscaled');
  const seen = rank([unscaled])[0];
  expect(seen?.parts.pore).toBe(0.5);
  expect(seen?.why.join()).toContain('pores and stripes are not compared');
});

test('the card round a damage: the same wood as without it, though the damage and its neighbour are white', () => {
  const plain = stripes(20, 8);
  const white = new Uint8ClampedArray(plain.data);
  const box = (x0: number, y0: number, x1: number, y1: number): void => {
    for (let y = y0; y < y1; y++) for (let x = x0; x < x1; x++) white.set([250, 250, 250], 4 * (y * plain.width + x)); // prettier-ignore
  };
  box(40, 40, 60, 60);
  box(70, 20, 80, 30);
  const outline = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [[x0, y0], [x1, y0], [x1, y1], [x0, y1]].map(([x = 0, y = 0]) => [x * 0.5, y * 0.5]); // prettier-ignore
  const face = outline(0, 0, plain.width, plain.height);
  const card = cardAround(
    { ...plain, data: white },
    0.5,
    outline(40, 40, 60, 60),
    [outline(70, 20, 80, 30)],
    face,
  );
  const whole = woodCard(plain, 0.5);
  expect(Math.abs(card.grainDeg - whole.grainDeg)).toBeLessThan(2);
  expect(card.tones.ground[0]).toBeCloseTo(whole.tones.ground[0], 0);
  expect(card.tones.line[0]).toBeCloseTo(whole.tones.line[0], 0);
});

test('the middle of a drawn sunburst is found within a hundredth of its width; straight grain has none', () => {
  const size = 420;
  const burst = (cx: number, cy: number): Raster => {
    const data = new Uint8ClampedArray(4 * size * size);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) {
        const wave = 0.5 + 0.5 * Math.cos(48 * Math.atan2(y + 0.5 - cy, x + 0.5 - cx));
        data.set([190 - 60 * wave, 150 - 50 * wave, 100 - 40 * wave, 255], 4 * (y * size + x));
      }
    return { data, width: size, height: size };
  };
  const face: Point[] = [[0, 0], [210, 0], [210, 210], [0, 210]]; // prettier-ignore
  for (const [cx, cy] of [
    [210, 210],
    [150, 260],
    [300, 120],
  ] as const) {
    const { at, agreement } = readCentre(burst(cx, cy), 0.5, face);
    expect(agreement).toBeLessThanOrEqual(1);
    expect(Math.hypot(at[0] - cx / 2, at[1] - cy / 2)).toBeLessThan(2.1);
    expect(agreement).toBeGreaterThan(0.97);
    expect(centreWords({ at, agreement })).toContain('runs to this place');
  }
  expect(() => readCentre(stripes(30, 6), 0.5, [[0, 0], [100, 0], [100, 100], [0, 100]])).toThrow('No grain that runs to one place'); // prettier-ignore
});

test('grain whose lines meet far away, and are nearly alike here, is no sunburst', () => {
  const size = 200;
  const data = new Uint8ClampedArray(4 * size * size).fill(255);
  // Rays from a point six pictures below: over the picture they turn by a few degrees.
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const a = Math.atan2(x - 100, 1300 - y);
      data.fill(128 + 60 * Math.sin(a * 700), 4 * (y * size + x), 4 * (y * size + x) + 3);
    }
  expect(() => readCentre({ data, width: size, height: size }, 0.5, [[0, 0], [100, 0], [100, 100], [0, 100]])).toThrow('No grain that runs to one place'); // prettier-ignore
});

test('the card round a damage sees as much wood above as below and beside it', () => {
  const size = 400;
  const data = new Uint8ClampedArray(4 * size * size).fill(255);
  // Light above the middle, dark below it; the damage is in the middle.
  for (let y = 0; y < size; y++) data.fill(y < size / 2 ? 190 : 90, 4 * y * size, 4 * (y + 1) * size);
  for (let o = 3; o < data.length; o += 4) data[o] = 255;
  const damage: Point[] = [[45, 45], [55, 45], [55, 55], [45, 55]]; // prettier-ignore
  const card = cardAround({ data, width: size, height: size }, MM, damage, [], [[0, 0], [100, 0], [100, 100], [0, 100]]); // prettier-ignore
  const [light, dark] = [labFromRgb(190, 190, 190)[0], labFromRgb(90, 90, 90)[0]];
  expect(Math.abs(card.tones.ground[0] - light)).toBeLessThan(2);
  expect(Math.abs(card.tones.line[0] - dark)).toBeLessThan(2);
});
