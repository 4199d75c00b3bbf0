import { deltaE00, type Lab } from '../colour';
import type { Coat } from './coats';
import { evenOut } from './even';
import { laidByHand } from './sweep';

const RED: Coat = { id: 'red', kind: 'toner', lab: [66, 26, 24], strength: 0.25 };
const BROWN: Coat = { id: 'brown', kind: 'toner', lab: [58, 12, 28], strength: 0.3 };
const CLEAR: Coat = { id: 'clear', kind: 'clear', lab: [99, 0, 1], strength: 1 };
const DARK: Lab = [42, 15, 24];
const PALE: Lab = [60, 10, 26];
const MID: Lab = [50, 13, 25];
const parts = [{ id: 'leg', lab: PALE }, { id: 'top', lab: DARK }, { id: 'rail', lab: MID }]; // prettier-ignore

/** Every number of coats of two products on every part, against every part, by hand: the smallest largest difference. */
function bruteForce(products: [Coat, Coat], most: number): number {
  let best = Infinity;
  for (const goal of parts) {
    const finals = parts.map((p) => {
      if (p === goal) return p.lab;
      let [near, lab] = [deltaE00(p.lab, goal.lab), p.lab];
      for (let a = 0; a <= most; a++)
        for (let b = 0; a + b <= most; b++) {
          const { final } = laidByHand(p.lab, goal.lab, [{ coat: products[0], coats: a }, { coat: products[1], coats: b }]); // prettier-ignore
          const past = final[0] < Math.min(goal.lab[0], p.lab[0]) - 0.3 || final[1] > Math.max(goal.lab[1], p.lab[1]) + 0.3; // prettier-ignore
          if (!past && deltaE00(final, goal.lab) < near) [near, lab] = [deltaE00(final, goal.lab), final];
        }
      return lab;
    });
    const apart = Math.max(...finals.flatMap((a, i) => finals.slice(i + 1).map((b) => deltaE00(a, b))));
    best = Math.min(best, apart);
  }
  return best;
}

test('three parts are brought as near to each other as any numbers of coats of two toners bring them', async () => {
  const plan = await evenOut({ parts, products: [RED, BROWN, CLEAR], mostCoats: 5, within: 3 });
  expect(plan.goal).toBe('top');
  expect(plan.after).toBeLessThan(plan.before / 2);
  expect(plan.after).toBeLessThan(bruteForce([RED, BROWN], 5) + 0.6);
  expect(plan.parts.find((p) => p.id === 'top')?.coats).toBe(0);
  expect(plan.steps.every((s) => s.on.every((o) => o.coats > 0))).toBe(true);
  // Its own steps, laid by hand, give its own colours.
  for (const { id, lab } of plan.parts) {
    const wanted = plan.steps.flatMap(({ productId, on }) => {
      const coat = [RED, BROWN].find((c) => c.id === productId);
      return coat ? [{ coat, coats: on.find((o) => o.partId === id)?.coats ?? 0 }] : [];
    });
    const start = parts.find((p) => p.id === id)?.lab ?? DARK;
    expect(deltaE00(laidByHand(start, DARK, wanted).final, lab)).toBeLessThan(0.2);
  }
});

test('parts that are alike get nothing; what cannot be reached is told with how near it comes; nothing to put on is refused', async () => {
  const alike = await evenOut({ parts: [{ id: 'a', lab: MID }, { id: 'b', lab: MID }], products: [RED], mostCoats: 4, within: 1 }); // prettier-ignore
  expect(alike).toMatchObject({ steps: [], reached: true, before: 0, after: 0 });
  const green: Lab = [55, -20, 30];
  const far = await evenOut({ parts: [{ id: 'a', lab: MID }, { id: 'b', lab: green }], products: [BROWN], mostCoats: 3, within: 1 }); // prettier-ignore
  expect(far.reached).toBe(false);
  expect(far.words).toContain(`${far.after.toFixed(1)} ΔE00`);
  await expect(evenOut({ parts, products: [CLEAR], mostCoats: 3, within: 1 })).rejects.toThrow('no dye, glaze or toner'); // prettier-ignore
});

test('products are tried alone and by twos, whatever their order on the shelf', async () => {
  const one = await evenOut({ parts, products: [RED, BROWN], mostCoats: 6, within: 2 });
  const other = await evenOut({ parts, products: [BROWN, RED], mostCoats: 6, within: 2 });
  expect(other.after).toBeCloseTo(one.after, 9);
});

test('two products beside each other in the list are tried together', async () => {
  // As the part looks under two coats of the one and two of the other.
  const under = laidByHand(PALE, DARK, [{ coat: RED, coats: 2 }, { coat: BROWN, coats: 2 }]).final; // prettier-ignore
  const both = await evenOut({ parts: [{ id: 'a', lab: PALE }, { id: 'b', lab: under }], products: [RED, BROWN], mostCoats: 5, within: 1 }); // prettier-ignore
  expect(new Set(both.steps.map((s) => s.productId))).toEqual(new Set(['red', 'brown']));
  expect(both.after).toBeLessThan(1);
});
