import { deltaE00, labFromRgb, type Lab } from '../colour';
import { chooseCoats } from './choose';
import { layColour, type Coat } from './coats';

const PRODUCTS: Coat[] = [
  { id: 'golden', kind: 'dye', lab: labFromRgb(215, 162, 92), strength: 0.5 },
  { id: 'brown', kind: 'dye', lab: labFromRgb(181, 132, 80), strength: 0.5 },
  { id: 'umber', kind: 'glaze', lab: labFromRgb(90, 70, 48), strength: 0.08 },
  { id: 'red', kind: 'toner', lab: labFromRgb(220, 154, 134), strength: 0.3 },
  { id: 'green', kind: 'toner', lab: labFromRgb(195, 205, 162), strength: 0.3 },
  { id: 'blond', kind: 'clear', lab: labFromRgb(250, 243, 226), strength: 0.6 },
];
const START: Lab = [72, 8, 24];
const GOAL: Lab = [48, 14, 28];

test('the best set of dye, glaze and toner is the best of laying each set by itself', async () => {
  const { choices } = await chooseCoats({
    start: START,
    goal: GOAL,
    products: PRODUCTS,
    mostCoats: 6,
    clear: 'blond',
    top: 3,
  });
  const ofKind = (kind: string): (Coat | undefined)[] => [
    undefined,
    ...PRODUCTS.filter((p) => p.kind === kind),
  ];
  let best = Infinity;
  for (const dye of ofKind('dye'))
    for (const glaze of ofKind('glaze'))
      for (const toner of ofKind('toner')) {
        const layers = [dye, glaze, toner].flatMap((c) => (c ? [c] : []));
        const clear = PRODUCTS.filter((p) => p.id === 'blond').map((c) => ({ ...c, leastCoats: 1 }));
        best = Math.min(
          best,
          (await layColour({ start: START, goal: GOAL, layers: [...layers, ...clear], mostCoats: 6 }))
            .deltaE00,
        );
      }
  expect(choices[0]?.deltaE00).toBeCloseTo(best, 9);
  expect(choices.map((c) => c.deltaE00)).toEqual([...choices.map((c) => c.deltaE00)].sort((a, b) => a - b));
  for (const { steps, final } of choices) {
    expect(steps[steps.length - 1]?.id).toBe('blond');
    expect(deltaE00(final, GOAL)).toBeLessThan(deltaE00(START, GOAL));
  }
});

test('of many products the rest is left out and told; a clear that is none is refused', async () => {
  const many = Array.from({ length: 12 }, (_, i): Coat => ({
    id: `t${i}`,
    kind: 'toner',
    lab: [80, 5, 10 + i],
    strength: 0.2,
  }));
  const { notes } = await chooseCoats({ start: START, goal: GOAL, products: many, mostCoats: 3, top: 1 });
  expect(notes).toEqual(['Of each kind 9 were tried; 3 more were left out.']);
  await expect(
    chooseCoats({ start: START, goal: GOAL, products: PRODUCTS, mostCoats: 3, clear: 'red', top: 1 }),
  ).rejects.toThrow('“red” is no clear finish');
});
