import { deltaE00, labFromRgb, type Lab } from '../colour';
import { seededRandom } from '../check';
import type { Coat } from './coats';
import { boardColour, fitBoards, predicted, PRIOR, type Board } from './fit';

const PRODUCTS: Coat[] = [
  { id: 'brown', kind: 'dye', lab: labFromRgb(178, 128, 84), strength: 0.5 },
  { id: 'red', kind: 'toner', lab: labFromRgb(210, 140, 110), strength: 0.4 },
  { id: 'umber', kind: 'glaze', lab: labFromRgb(84, 60, 40), strength: 0.15 },
];
const BY_ID = new Map(PRODUCTS.map((p) => [p.id, p]));
const WOODS: Lab[] = [
  [80, 5, 20],
  [70, 9, 26],
  [62, 12, 28],
];

/** Normal numbers by Box and Muller, from a seed. */
const normals = (seed: number): (() => number) => {
  const random = seededRandom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
};

/** Products as they truly are, drawn from what is known before. */
const truth = (normal: () => number): Map<string, Lab> =>
  new Map(
    PRODUCTS.map((p) => {
      const all = PRIOR.strength.value * normal();
      const lean = (): number => all + PRIOR.colour.value * normal();
      return [p.id, [lean(), lean(), lean()] as const];
    }),
  );

const COATS = [
  [{ id: 'brown', coats: 1 }],
  [
    { id: 'brown', coats: 2 },
    { id: 'umber', coats: 1 },
  ],
  [
    { id: 'brown', coats: 1 },
    { id: 'red', coats: 2 },
  ],
  [
    { id: 'umber', coats: 2 },
    { id: 'red', coats: 1 },
  ],
  [
    { id: 'brown', coats: 1 },
    { id: 'umber', coats: 1 },
    { id: 'red', coats: 1 },
  ],
];
const plans = (count: number, seed: number): Omit<Board, 'measured'>[] => {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  return Array.from({ length: count }, () => ({
    ground: pick(WOODS) ?? [70, 9, 26],
    coats: pick(COATS) ?? [],
  }));
};
const made = (
  plan: Omit<Board, 'measured'>,
  gains: Map<string, Lab>,
  sd: number,
  normal: () => number,
): Board => {
  const [l, a, b] = boardColour(plan, BY_ID, gains);
  return { ...plan, measured: [l + sd * normal(), a + sd * normal(), b + sd * normal()] };
};
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

test('known products come back out of noisy boards, within the error that is stated', async () => {
  const normal = normals(1);
  let inside = 0;
  let all = 0;
  for (let trial = 0; trial < 60; trial++) {
    const gains = truth(normal);
    const boards = plans(8, trial + 1).map((p) => made(p, gains, 1.2, normal));
    const fit = await fitBoards({ products: PRODUCTS, boards, photoSd: 1.2 });
    for (const p of fit.products)
      for (const i of [0, 1, 2] as const) {
        all++;
        if (Math.abs(p.gain[i] - (gains.get(p.id)?.[i] ?? NaN)) < 1.96 * p.gainSd[i]) inside++;
      }
  }
  // Of the 95 % intervals 95 % hold the truth; 540 of them give that to about 2 % either way.
  expect(inside / all).toBeGreaterThan(0.9);
  expect(inside / all).toBeLessThan(0.985);
});

test('after three boards new boards are predicted at least twice as well', async () => {
  const normal = normals(2);
  const before: number[] = [];
  const after: number[] = [];
  for (let trial = 0; trial < 25; trial++) {
    const gains = truth(normal);
    const three = [COATS[1], COATS[2], COATS[4]].map((coats, i) =>
      made({ ground: WOODS[i] ?? [70, 9, 26], coats: coats ?? [] }, gains, 1.2, normal),
    );
    const fit = await fitBoards({ products: PRODUCTS, boards: three });
    for (const plan of plans(6, 100 + trial)) {
      const real = boardColour(plan, BY_ID, gains);
      before.push(deltaE00(boardColour(plan, BY_ID, new Map()), real));
      after.push(deltaE00(predicted(plan, PRODUCTS, fit).lab, real));
    }
  }
  expect(mean(before)).toBeGreaterThan(3);
  expect(mean(after)).toBeLessThan(mean(before) / 2);
});

test('the spread of a prediction covers what a new board turns out to be', async () => {
  const normal = normals(3);
  let inside = 0;
  let all = 0;
  for (let trial = 0; trial < 40; trial++) {
    const gains = truth(normal);
    const fit = await fitBoards({
      products: PRODUCTS,
      boards: plans(5, 300 + trial).map((p) => made(p, gains, 1.2, normal)),
    });
    for (const plan of plans(4, 500 + trial)) {
      const { lab, sd } = predicted(plan, PRODUCTS, fit);
      const real = boardColour(plan, BY_ID, gains);
      for (const i of [0, 1, 2] as const) {
        all++;
        if (Math.abs(lab[i] - real[i]) < 1.96 * sd[i] + 1e-9) inside++;
      }
    }
  }
  expect(inside / all).toBeGreaterThan(0.9);
  expect(inside / all).toBeLessThanOrEqual(0.97);
});

test('one bad photo does not spoil the rest, and is named', async () => {
  const normal = normals(4);
  const gains = truth(normal);
  const good = plans(9, 7).map((p) => made(p, gains, 1, normal));
  const spoilt = good.map((b, i): Board => (i === 3 ? { ...b, measured: [b.measured[0] + 30, 0, -20] } : b));
  const clean = await fitBoards({ products: PRODUCTS, boards: good });
  const robust = await fitBoards({ products: PRODUCTS, boards: spoilt });
  expect(robust.doubtful).toEqual([3]);
  expect(clean.doubtful).toEqual([]);
  for (const plan of plans(6, 8)) {
    const real = boardColour(plan, BY_ID, gains);
    const off = deltaE00(predicted(plan, PRODUCTS, robust).lab, real);
    expect(off).toBeLessThan(deltaE00(predicted(plan, PRODUCTS, clean).lab, real) + 1.5);
  }
});

test('without boards nothing is learned, and the spread is what was known before', async () => {
  const fit = await fitBoards({ products: PRODUCTS, boards: [] });
  for (const p of fit.products) {
    expect(p.gain).toEqual([0, 0, 0]);
    expect(p.gainSd[0]).toBeCloseTo(Math.hypot(PRIOR.strength.value, PRIOR.colour.value), 9);
    expect(p.boards).toBe(0);
  }
});

test('a board with an unknown product is refused by name', async () => {
  await expect(
    fitBoards({
      products: PRODUCTS,
      boards: [{ ground: [70, 5, 20], coats: [{ id: 'gone', coats: 1 }], measured: [50, 5, 20] }],
    }),
  ).rejects.toThrow('names “gone”');
});

test('nothing is predicted of a product that the fit does not know, rather than another’s spread taken', async () => {
  const fit = await fitBoards({ products: PRODUCTS.slice(0, 1), boards: [] });
  const board = { ground: [70, 9, 26] as const, coats: [{ id: 'umber', coats: 1 }] };
  expect(() => predicted(board, PRODUCTS, fit)).toThrow('“umber”');
});
