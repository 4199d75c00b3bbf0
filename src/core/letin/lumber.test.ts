import { seededRandom } from '../check';
import { lumberPlan, type LumberInput } from './lumber';

const board = (id: string, alongMm: number, acrossMm: number, thickMm: number, species = 'oak') => ({ id, species, alongMm, acrossMm, thickMm }); // prettier-ignore
const plan = (over: Partial<LumberInput>) =>
  lumberPlan({
    blanks: { alongMm: 100, acrossMm: 40, thickMm: 18, count: 1 },
    boards: [board('a', 600, 120, 20)],
    species: 'oak',
    kerfMm: 1,
    ...over,
  });

test('by hand: five blocks of 100 × 40 from 120 mm of width lie two and two and one, 303 mm are cut off', () => {
  // 120 mm hold two rows (40 + 1 + 40 = 81; a third would end at 122), so three columns of 100 + 1.
  const { takes, missing } = plan({ blanks: { alongMm: 100, acrossMm: 40, thickMm: 18, count: 5 } });
  expect(missing).toBe(0);
  expect(takes[0]).toMatchObject({
    columns: 3,
    rows: 2,
    layers: 1,
    cutOffMm: 303,
    leftMm: 297,
    thickerMm: 2,
  });
  expect(takes[0]?.places).toEqual([
    { alongMm: 0, acrossMm: 0 },
    { alongMm: 0, acrossMm: 41 },
    { alongMm: 101, acrossMm: 0 },
    { alongMm: 101, acrossMm: 41 },
    { alongMm: 202, acrossMm: 0 },
  ]);
});

test('a thick board is resawn: three slices of 6 mm with two kerfs from 20 mm', () => {
  const { takes } = plan({ blanks: { alongMm: 100, acrossMm: 110, thickMm: 6, count: 3 } });
  expect(takes[0]).toMatchObject({ layers: 3, columns: 1, count: 3, thickerMm: 0 });
});

test('the wood wanted goes first, then the board of which least is spent; what one lacks the next gives', () => {
  const boards = [
    board('walnut', 300, 50, 20, 'walnut'),
    board('wide', 900, 200, 30),
    board('small', 130, 50, 20),
  ];
  expect(plan({ boards }).takes.map((t) => t.id)).toEqual(['small']);
  const two = plan({ boards: [boards[0], boards[2]].flatMap((b) => b ?? []), blanks: { alongMm: 100, acrossMm: 40, thickMm: 18, count: 4 } }); // prettier-ignore
  expect(two.takes.map((t) => [t.id, t.count, t.sameWood])).toEqual([
    ['small', 1, true],
    ['walnut', 2, false],
  ]);
  expect(two.missing).toBe(1);
});

test('a board that is too thin, too narrow or too short gives nothing, and nobody is sent to it', () => {
  for (const b of [board('thin', 600, 120, 17), board('narrow', 600, 39, 20), board('short', 99, 120, 20)])
    expect(plan({ boards: [b] })).toEqual({ takes: [], missing: 1 });
  expect(plan({ boards: [] })).toEqual({ takes: [], missing: 1 });
});

/** The most rectangles that fit, by trying every place of a grid of whole millimetres. Written apart from the rows above. */
function mostByTrying(wide: number, high: number, w: number, h: number): number {
  const taken = Array.from({ length: high }, () => Array.from({ length: wide }, () => false));
  const free = (x: number, y: number): boolean =>
    x + w <= wide &&
    y + h <= high &&
    Array.from({ length: h }, (_, dy) => dy).every((dy) => Array.from({ length: w }, (_, dx) => dx).every((dx) => !taken[y + dy]?.[x + dx])); // prettier-ignore
  const mark = (x: number, y: number, value: boolean): void => {
    for (let dy = 0; dy < h; dy++) taken[y + dy]?.fill(value, x, x + w);
  };
  let best = 0;
  const from = (at: number, count: number): void => {
    best = Math.max(best, count);
    for (let i = at; i < wide * high; i++) {
      const [x, y] = [i % wide, Math.floor(i / wide)];
      if (!free(x, y)) continue;
      mark(x, y, true);
      from(i + 1, count + 1);
      mark(x, y, false);
    }
  };
  from(0, 0);
  return best;
}

test('as many blocks as any arrangement gives, tried at every place of small boards', () => {
  const random = seededRandom(7);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  for (let n = 0; n < 60; n++) {
    const [long, wide, w, h] = [whole(3, 7), whole(3, 6), whole(2, 4), whole(2, 3)];
    const { missing } = plan({
      blanks: { alongMm: w, acrossMm: h, thickMm: 10, count: 30 },
      boards: [board('a', long, wide, 10)],
      kerfMm: 0,
    });
    expect(30 - missing).toBe(mostByTrying(long, wide, w, h));
  }
});

test('blocks lie inside what is cut off and never on one another', () => {
  const random = seededRandom(11);
  for (let n = 0; n < 300; n++) {
    const blanks = { alongMm: 20 + 180 * random(), acrossMm: 10 + 90 * random(), thickMm: 18, count: 1 + Math.floor(12 * random()) }; // prettier-ignore
    const from = board('a', 100 + 900 * random(), 40 + 300 * random(), 20);
    const [take] = plan({ blanks, boards: [from], kerfMm: 1.2 }).takes;
    if (!take) continue;
    expect(take.cutOffMm + take.leftMm).toBeLessThanOrEqual(from.alongMm + 1e-6);
    take.places.forEach((p, i) => {
      expect(p.alongMm + blanks.alongMm).toBeLessThanOrEqual(take.cutOffMm + 1e-6);
      expect(p.acrossMm + blanks.acrossMm).toBeLessThanOrEqual(from.acrossMm + 1e-6);
      for (const q of take.places.slice(i + 1)) {
        const apart = Math.abs(p.alongMm - q.alongMm) >= blanks.alongMm || Math.abs(p.acrossMm - q.acrossMm) >= blanks.acrossMm; // prettier-ignore
        expect(apart).toBe(true);
      }
    });
  }
});
