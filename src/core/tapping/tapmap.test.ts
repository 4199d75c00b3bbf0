import { seededRandom } from '../check';
import { areaOfAll, contains, intersectionOf, unionOf, type Point, type Polygon } from '../geometry';
import { tapMap, type Tap } from './tapmap';

const PANEL: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const ellipse = (cx: number, cy: number, rx: number, ry: number): Polygon =>
  Array.from({ length: 48 }, (_, i): Point => [
    cx + rx * Math.cos((i * Math.PI) / 24),
    cy + ry * Math.sin((i * Math.PI) / 24),
  ]);

/** Loose regions as they happen; made up. */
const LOOSE: Record<string, Polygon[]> = {
  ellipse: [ellipse(230, 260, 150, 95)],
  'L along an edge': [[[0, 450], [0, 130], [105, 130], [105, 340], [330, 340], [330, 450]]], // prettier-ignore
  'two blisters': [ellipse(160, 140, 95, 75), ellipse(430, 310, 105, 80)],
};

const overlap = (a: readonly Polygon[], b: readonly Polygon[]): number => {
  const union = areaOfAll(unionOf([...a, ...b]));
  return union === 0 ? 0 : areaOfAll(intersectionOf(a, b)) / union;
};

/** A knuckle that mishears one tap in twenty. */
function listener(truth: readonly Polygon[], seed: number): (x: number, y: number) => Tap {
  const random = seededRandom(seed);
  return (x, y) => {
    const hollow = truth.some((p) => contains(p, [x, y]));
    return { x, y, hollow: random() < 0.05 ? !hollow : hollow };
  };
}

/** Taps where the map says, and how well the loose area is known after each; the mean of the last five evens out single taps. */
async function guided(truth: readonly Polygon[], count: number, seed: number): Promise<number[]> {
  const hear = listener(truth, seed);
  const taps: Tap[] = [];
  const known: number[] = [];
  let next = { x: 300, y: 225 };
  while (taps.length < count) {
    taps.push(hear(next.x, next.y));
    const map = await tapMap({ outline: PANEL, taps });
    known.push(overlap(map.looseOutlines, truth));
    next = map.next;
  }
  return known;
}

async function onGrid(
  truth: readonly Polygon[],
  columns: number,
  rows: number,
  seed: number,
): Promise<number> {
  const hear = listener(truth, seed);
  const taps = Array.from({ length: columns * rows }, (_, i) =>
    hear(((i % columns) + 0.5) * (600 / columns), (Math.floor(i / columns) + 0.5) * (450 / rows)),
  );
  return overlap((await tapMap({ outline: PANEL, taps })).looseOutlines, truth);
}

const mean = (values: number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const SEEDS = [1, 2];
const MINUTE = 60_000;

test.each([
  ['ellipse', 60],
  ['L along an edge', 60],
  ['two blisters', 80],
] as const)(
  '%s: %d guided taps, one in twenty misheard, overlap the truth by 0.85; as many on a grid know less',
  async (name, count) => {
    const truth = LOOSE[name] ?? [];
    const ends = await Promise.all(
      SEEDS.map(async (seed) => mean((await guided(truth, count, seed)).slice(-5))),
    );
    // Cells as square as they can be: the best a grid can do.
    const columns = Math.round(Math.sqrt((count * 600) / 450));
    const rows = Math.round(count / columns);
    const grids = await Promise.all(SEEDS.map((seed) => onGrid(truth, columns, rows, seed)));
    expect(mean(ends)).toBeGreaterThanOrEqual(0.85);
    expect(mean(ends)).toBeGreaterThan(mean(grids) + 0.03);
  },
  2 * MINUTE,
);

test('no taps: nothing is loose yet, and the first tap goes into the area', async () => {
  const map = await tapMap({ outline: PANEL, taps: [] });
  expect(map.looseOutlines).toEqual([]);
  expect(contains(PANEL, [map.next.x, map.next.y])).toBe(true);
});

test('a tap against many neighbours is outvoted; contradictory taps on one spot leave it open', async () => {
  const ring = Array.from({ length: 12 }, (_, i): Tap => ({
    x: 300 + 40 * Math.cos(i),
    y: 225 + 40 * Math.sin(i),
    hollow: false,
  }));
  const alone = await tapMap({
    outline: PANEL,
    taps: [...ring, { x: 300, y: 225, hollow: true }],
    errorShare: 0.2,
  });
  expect(alone.looseMm2).toBe(0);
  const both = [true, false].map((hollow): Tap => ({ x: 300, y: 225, hollow }));
  const one = await tapMap({ outline: PANEL, taps: both.slice(0, 1) });
  const two = await tapMap({ outline: PANEL, taps: both });
  expect(two.confidence).toBeLessThan(one.confidence + 0.2);
  expect(two.looseMm2).toBeLessThan(one.looseMm2);
});

test('the loose area stays inside what is tapped', async () => {
  const strip: Polygon = [[0, 0], [400, 0], [400, 60], [200, 60], [200, 200], [0, 200]]; // prettier-ignore
  const taps = [[20, 20], [380, 30], [100, 150], [30, 180]].map(([x = 0, y = 0]): Tap => ({ x, y, hollow: true })); // prettier-ignore
  const map = await tapMap({ outline: strip, taps });
  expect(areaOfAll(intersectionOf(map.looseOutlines, [strip]))).toBeCloseTo(map.looseMm2, 0);
});

test.each<[string, Parameters<typeof tapMap>[0], string]>([
  [
    'a tap outside',
    { outline: PANEL, taps: [{ x: 700, y: 10, hollow: true }] },
    'Tap 1 at 700, 10 mm lies outside the area',
  ],
  ['no area', { outline: [[0, 0], [1, 1]], taps: [] }, 'has 2 points'], // prettier-ignore
])('%s is refused', async (_, input, message) => {
  await expect(tapMap(input)).rejects.toThrow(message);
});

test('it can be stopped', async () => {
  const stop = new AbortController();
  stop.abort();
  await expect(tapMap({ outline: PANEL, taps: [] }, { signal: stop.signal })).rejects.toThrow(/abort/i);
});

test('taps that disagree at one spot are named, and neither is thrown away', async () => {
  const outline = [[0, 0], [300, 0], [300, 200], [0, 200]] as const; // prettier-ignore
  const taps = [{ x: 100, y: 100, hollow: true }, { x: 102, y: 101, hollow: false }, { x: 200, y: 100, hollow: false }]; // prettier-ignore
  const map = await tapMap({ outline, taps });
  expect(map.disputed).toEqual([{ x: 102, y: 101 }]);
});

test('a panel that sounds hollow all over is loose out to each of its edges, and surely so', async () => {
  const taps = Array.from({ length: 48 }, (_, i): Tap => ({ x: 37.5 + 75 * (i % 8), y: 37.5 + 75 * Math.floor(i / 8), hollow: true })); // prettier-ignore
  const map = await tapMap({ outline: PANEL, taps });
  const ends = map.looseOutlines.flat();
  expect(map.looseMm2 / areaOfAll([PANEL])).toBeGreaterThan(0.99);
  expect(Math.min(...ends.map(([, y]) => y))).toBeLessThan(2);
  expect(Math.max(...ends.map(([, y]) => y))).toBeGreaterThan(448);
});

test('how much is open is a share: all of it before the first tap, less after many', async () => {
  const before = await tapMap({ outline: PANEL, taps: [] });
  const hear = listener(LOOSE.ellipse ?? [], 3);
  const taps = Array.from({ length: 48 }, (_, i) => hear(37.5 + 75 * (i % 8), 37.5 + 75 * Math.floor(i / 8)));
  const after = await tapMap({ outline: PANEL, taps });
  for (const { openShare, confidence } of [before, after]) {
    expect(openShare).toBeGreaterThanOrEqual(0);
    expect(openShare).toBeLessThanOrEqual(1);
    expect(confidence).toBeGreaterThanOrEqual(0.5);
    expect(confidence).toBeLessThanOrEqual(1);
  }
  expect(after.openShare).toBeLessThan(before.openShare);
  expect(after.confidence).toBeGreaterThan(before.confidence);
});
