import { deltaE00, labFromLinear, linearOf, type Lab } from '../colour';
import type { Coat } from './coats';
import { figureAfter } from './figure';
import { laidByHand } from './sweep';

const START: Lab = [62, 12, 28];
const DYE: Coat = { id: 'dye', kind: 'dye', lab: [60, 18, 34], strength: 0.5 };
const GLAZE: Coat = { id: 'glaze', kind: 'glaze', lab: [31, 5, 16], strength: 0.08 };
const at = (rows: ReturnType<typeof figureAfter>, share: number) => rows.find((r) => r.share === share)?.light ?? [0, 0, 0]; // prettier-ignore
/** How much lighter the ground is than the lines, green light. */
const figure = (rows: ReturnType<typeof figureAfter>): number => at(rows, 1.35)[1] / at(rows, 0.5)[1];

test('without a coat every spot stays as it is; the mean becomes what the coats make of it', () => {
  const own = linearOf(START);
  for (const { share, light } of figureAfter(START, []))
    light.forEach((v, c) => expect(v).toBeCloseTo((own[c] ?? 0) * share, 4));
  const wanted = [{ coat: DYE, coats: 2 }, { coat: GLAZE, coats: 1 }]; // prettier-ignore
  const mean = labFromLinear([...at(figureAfter(START, wanted), 1)]);
  expect(deltaE00(mean, laidByHand(START, START, wanted).final)).toBeLessThan(1e-6);
});

test('a dye keeps the figure as it is (Beer–Lambert), a glaze takes from it coat by coat, what hides takes it all', () => {
  const bare = figure(figureAfter(START, []));
  expect(figure(figureAfter(START, [{ coat: DYE, coats: 3 }])) / bare).toBeCloseTo(1, 1);
  const glazed = [1, 3, 6].map((coats) => figure(figureAfter(START, [{ coat: GLAZE, coats }])));
  expect(glazed[0]).toBeLessThan(bare);
  expect(glazed[1]).toBeLessThan(glazed[0] ?? 0);
  expect(glazed[2]).toBeLessThan(glazed[1] ?? 0);
  const hidden = figureAfter(START, [{ coat: { ...GLAZE, strength: 5 }, coats: 4 }]);
  for (const { light } of hidden) expect(deltaE00(labFromLinear([...light]), GLAZE.lab)).toBeLessThan(0.5);
});

test('spots lighter than any wood are left out of a pale place, and rows go up', () => {
  const rows = figureAfter([92, 1, 10], [{ coat: DYE, coats: 1 }]);
  expect(rows.at(-1)?.share).toBeLessThanOrEqual(1.35);
  expect(rows.length).toBeGreaterThan(3);
  rows
    .slice(1)
    .forEach((r, i) => r.light.forEach((v, c) => expect(v).toBeGreaterThan(rows[i]?.light[c] ?? 1)));
});
