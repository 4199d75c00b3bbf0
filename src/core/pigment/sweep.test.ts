import { deltaE00, type Lab } from '../colour';
import { layColour, type Coat } from './coats';
import { laidByHand, sweepOf } from './sweep';

const DYE: Coat = { id: 'dye', kind: 'dye', lab: [70, 16, 40], strength: 0.4 };
const TONER: Coat = { id: 'toner', kind: 'toner', lab: [60, 20, 30], strength: 0.3 };
const START: Lab = [72, 8, 24];
const GOAL: Lab = [50, 16, 32];

test('coats by hand give what the search gives for the same coats', async () => {
  const found = await layColour({ start: START, goal: GOAL, layers: [DYE, TONER], mostCoats: 6 });
  const coats = (id: string): number => found.steps.find((s) => s.id === id)?.coats ?? 0;
  const hand = laidByHand(START, GOAL, [
    { coat: DYE, coats: coats('dye') },
    { coat: TONER, coats: coats('toner') },
  ]);
  expect(hand.deltaE00).toBeCloseTo(found.deltaE00, 9);
  expect(hand.steps.map((s) => s.coats)).toEqual(found.steps.map((s) => s.coats));
});

test('no coat is the wood as it is, within what its spectrum gives back; a sweep grows darker coat by coat and holds the recipe', () => {
  const bare = laidByHand(START, GOAL, [{ coat: DYE, coats: 0 }]);
  expect(bare.steps).toEqual([]);
  expect(deltaE00(bare.final, START)).toBeLessThan(0.1);
  const wanted = [{ coat: DYE, coats: 2 }, { coat: TONER, coats: 3 }]; // prettier-ignore
  const sweep = sweepOf(START, GOAL, wanted, 'toner', 6);
  expect(sweep.map((s) => s.coats)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  sweep.slice(1).forEach((s, i) => expect(s.lab[0]).toBeLessThan(sweep[i]?.lab[0] ?? 0));
  expect(sweep[3]?.lab).toEqual(laidByHand(START, GOAL, wanted).final);
});
