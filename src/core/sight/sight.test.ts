import type { Point } from '../geometry';
import { planesOf, type Raster } from '../picture';
import { edgeNear, edgesOf, smooth } from './edges';
import { judge, worthOf, type Quad } from './judge';
import { coverBetween, crossing, linesOf } from './lines';
import { settled } from './refine';
import { knownWords, proposalWords } from './words';

const [WIDE, TALL] = [160, 120];
/** A light rectangle on a dark ground, its edges between pixels; the first pixel reaches from 0 to 1. */
const BOX = { left: 40.3, top: 30.6, right: 120.4, bottom: 85.2 };
const CORNERS: Quad = [
  [BOX.left, BOX.top],
  [BOX.right, BOX.top],
  [BOX.right, BOX.bottom],
  [BOX.left, BOX.bottom],
];

function boxed(): Raster {
  const data = new Uint8ClampedArray(4 * WIDE * TALL).fill(255);
  const share = (from: number, to: number, at: number): number =>
    Math.max(0, Math.min(to, at + 1) - Math.max(from, at));
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      const inside = share(BOX.left, BOX.right, x) * share(BOX.top, BOX.bottom, y);
      data.fill(60 + 140 * inside, 4 * (y * WIDE + x), 4 * (y * WIDE + x) + 3);
    }
  return { width: WIDE, height: TALL, data };
}

const sharp = planesOf(boxed());
const [r, g, b] = sharp.channels;
const planes = { ...sharp, channels: [smooth(r), smooth(g), smooth(b)] as const };
const edges = edgesOf(planes);
const WEAK = 20;

test('smoothing keeps the mean, and a crest lies on the edge and nowhere else', () => {
  const mean = (data: Float32Array): number => data.reduce((s, v) => s + v, 0) / data.length;
  expect(mean(planes.channels[0].data)).toBeCloseTo(mean(r.data), 1);
  expect(edgeNear(edges, 80, BOX.top, 0, 1, WEAK)).toBe(true);
  expect(edgeNear(edges, BOX.left, 60, 1, 0, WEAK)).toBe(true);
  // The middle has none, and an edge that runs the other way is not one.
  expect(edgeNear(edges, 80, 58, 0, 1, WEAK)).toBe(false);
  expect(edgeNear(edges, 80, BOX.top, 1, 0, WEAK)).toBe(false);
});

test('the four sides are among the lines, covered between the corners and not beyond', () => {
  const lines = linesOf(edges, WEAK);
  const level = lines.filter((l) => Math.abs(l.cos) < 0.02).map((l) => l.off / l.sin);
  const upright = lines.filter((l) => Math.abs(l.sin) < 0.02).map((l) => l.off / l.cos);
  for (const y of [BOX.top, BOX.bottom]) expect(level.some((v) => Math.abs(v - y) < 1.5)).toBe(true);
  for (const x of [BOX.left, BOX.right]) expect(upright.some((v) => Math.abs(v - x) < 1.5)).toBe(true);
  const top = lines.find((l) => Math.abs(l.cos) < 0.02 && Math.abs(l.off / l.sin - BOX.top) < 1.5);
  expect(top && coverBetween(top, [44, BOX.top], [116, BOX.top])).toBeGreaterThan(0.95);
  expect(top && coverBetween(top, [2, BOX.top], [34, BOX.top])).toBe(0);
});

test('lines cross where algebra has them, parallels nowhere', () => {
  const line = (degrees: number, off: number) => ({
    cos: Math.cos((degrees * Math.PI) / 180),
    sin: Math.sin((degrees * Math.PI) / 180),
    off,
    from: 0,
    covered: new Int32Array(1),
  });
  expect(crossing(line(0, 12), line(90, 7))?.map((v) => Math.round(v * 1e9) / 1e9)).toEqual([12, 7]);
  expect(crossing(line(40, 1), line(40, 9))).toBeUndefined();
});

test('the true outline is worth more than one that is too large, too small or shifted', () => {
  const worth = (quad: Quad): number => worthOf(judge(quad, edges, planes, WEAK));
  const moved = (dx: number, dy: number, out: number): Quad => {
    const at = ([x, y]: Point, i: number): Point => [
      x + dx + (i === 0 || i === 3 ? -out : out),
      y + dy + (i < 2 ? -out : out),
    ];
    return [at(CORNERS[0], 0), at(CORNERS[1], 1), at(CORNERS[2], 2), at(CORNERS[3], 3)];
  };
  expect(worth(CORNERS)).toBeGreaterThan(0.6);
  for (const wrong of [moved(0, 0, 8), moved(0, 0, -8), moved(12, 0, 0), moved(0, 9, 0)])
    expect(worth(wrong)).toBeLessThan(worth(CORNERS) / 2);
});

test('a rough outline settles onto the edges to a quarter of a pixel', () => {
  const rough: Quad = [[43, 28], [118, 33], [123, 83], [38, 88]]; // prettier-ignore
  // The middle of the first pixel, nought here, lies half a pixel in from the corner of the picture.
  settled(settled(rough, sharp), sharp).forEach(([x, y], i) => {
    expect(Math.abs(x + 0.5 - (CORNERS[i]?.[0] ?? NaN))).toBeLessThan(0.25);
    expect(Math.abs(y + 0.5 - (CORNERS[i]?.[1] ?? NaN))).toBeLessThan(0.25);
  });
});

test('what was found is said with what to do', () => {
  expect(knownWords({ corners: [], worth: 0 }, 'card')).toMatch(
    /^No bank or identity card .*stay where they are/,
  );
  expect(knownWords({ corners: [[0, 0]], worth: 0.5 }, 'face')).toContain('edges that were found');
  expect(knownWords({ corners: [[0, 0]], worth: 0.25 }, 'face')).toContain('which are faint');
  expect(proposalWords(0)).toContain('nothing was marked');
  expect(proposalWords(9)).toContain('Undo takes it back');
});
