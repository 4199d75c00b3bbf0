import { EVEN_STEP, evenForPlan } from '.';

test('each product is a step of the plan: its parts, ten minutes a coat and part, half an hour after each coat', () => {
  const plan = {
    steps: [
      { productId: 'amber', on: [{ partId: 'leg', coats: 1 }, { partId: 'rail', coats: 3 }] },
      { productId: 'red', on: [{ partId: 'leg', coats: 2 }] },
    ],
    parts: [], goal: 'top', before: 9, after: 2, reached: true, words: '',
  }; // prettier-ignore
  const name = (id: string): string => id;
  expect(evenForPlan(plan, name, name, (id) => id === 'leg')).toEqual([
    { phase: 'blend', title: `${EVEN_STEP}amber`, detail: 'One thin coat on leg, 3 thin coats on rail. Look between the coats.', attendedMin: 40, waitMin: 90, lays: { colourId: 'amber', on: [{ faceId: 'leg', coats: 1 }, { coats: 3 }] } },
    { phase: 'blend', title: `${EVEN_STEP}red`, detail: '2 thin coats on leg. Look between the coats.', attendedMin: 20, waitMin: 60, lays: { colourId: 'red', on: [{ faceId: 'leg', coats: 2 }] } },
  ]); // prettier-ignore
});
