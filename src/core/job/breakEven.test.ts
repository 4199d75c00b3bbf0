import type { Point } from '../geometry';
import { breakEven } from './breakEven';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { handsMin, planOf, type Job } from './plan';
import type { Damage, Face, Named, Piece } from './types';

const piece: Named<Piece> = {
  id: 'p',
  body: { ...newPiece('Washstand', '2026-03-02T08:00:00'), goal: 'lacquer' },
};
/** A face of 600 × 400 mm. */
const top: Face = {
  ...newFace('p', 'Top'),
  build: 'solidCore',
  picture: { id: 'x', widthPx: 1200, heightPx: 800 },
  scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]],
  veneerMm: 0.9,
}; // prettier-ignore
const square = (left: number, side: number): Point[] =>
  [[left, 100], [left + side, 100], [left + side, 100 + side], [left, 100 + side]].map(([x = 0, y = 0]): Point => [x / 600, y / 400]); // prettier-ignore
const loss = (number: number, over: Partial<Damage> = {}): Named<Damage> => ({
  id: `d${number}`,
  body: {
    ...newDamage('p', 'f', number, 'missingVeneer'),
    outline: square(200, 30),
    method: 'veneerPatch',
    ...over,
  },
});
const job = (damages: Named<Damage>[], face: Face = top): Job => ({
  piece,
  faces: [{ id: 'f', body: face }],
  damages,
  shop: { ...DEFAULT_SHOP, learned: {} },
});
const losses = (count: number): Named<Damage>[] => Array.from({ length: count }, (_, i) => loss(i + 1));

test('the minutes are those of the steps that the bench books, alike patches together', () => {
  const five = job(losses(5));
  const found = breakEven(five, 'f');
  const booked = planOf(five).tasks.filter((t) => t.places);
  expect(booked.some((t) => t.places?.length === 5)).toBe(true);
  expect(found?.patches.min).toBe(handsMin(booked));
  expect(found).toMatchObject({
    losses: 5,
    seamMm: expect.closeTo(600, 6),
    lossMm2: expect.closeTo(4500, 6),
  });
  const [first] = losses(1);
  const sheet = job([{ id: 'd1', body: { ...(first as Named<Damage>).body, method: 'reveneer' } }]);
  expect(found?.sheet.min).toBe(handsMin(planOf(sheet).tasks.filter((t) => t.places)));
});

test('a larger face makes the sheet dearer and leaves the patches as they are', () => {
  const wide: Face = {
    ...top,
    scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 1200, heightMm: 800 },
  }; // prettier-ignore
  const small = loss(1);
  const same = loss(1, { outline: square(200, 15) });
  const [here, there] = [breakEven(job([small]), 'f'), breakEven(job([same], wide), 'f')];
  expect(here?.lossMm2).toBeCloseTo(there?.lossMm2 ?? 0, 6);
  expect(there?.patches.min).toBe(here?.patches.min);
  // By hand: 0.72 m² more at 300 min/m² to prepare and 100 to scrape are 288 min, and its glue and clamps.
  expect((there?.sheet.min ?? 0) - (here?.sheet.min ?? 0)).toBeGreaterThan(288);
});

test('at the turn a sheet takes less time, with one loss fewer it does not; the losses that are there count as themselves', () => {
  const turn = breakEven(job(losses(2)), 'f')?.turnsAt ?? 0;
  expect(turn).toBeGreaterThan(2);
  const at = (count: number) => breakEven(job(losses(count)), 'f'); // prettier-ignore
  expect(at(turn)).toMatchObject({ cheaper: 'sheet', turnsAt: turn });
  expect(at(turn - 1)).toMatchObject({ cheaper: 'patches', turnsAt: turn });
});

test('solid wood, a face without size, and a face that has lost nothing ask nothing', () => {
  expect(breakEven(job(losses(2), { ...top, build: 'solid' }), 'f')).toBeUndefined();
  expect(breakEven(job(losses(2), newFace('p', 'Top')), 'f')).toBeUndefined();
  expect(breakEven(job([loss(1, { kind: 'liftedEdge' })]), 'f')).toBeUndefined();
  expect(breakEven(job(losses(2)), 'other')).toBeUndefined();
});

test('a patch that was chosen counts as such; what was chosen to be filled counts as a patch let in', () => {
  const min = (method: Damage['method']) => breakEven(job([loss(1, { method })]), 'f')?.patches.min ?? 0;
  // Taken from the piece itself, the donor place is lifted and closed beside it: 40 and 30 minutes more.
  expect(min('harvestedPatch')).toBe(min('veneerPatch') + 70);
  expect(min('bareFiller')).toBe(min('veneerPatch'));
  expect(min(undefined)).toBe(min('veneerPatch'));
});
