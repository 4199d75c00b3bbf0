import { seededRandom } from '../check';
import { chanceAbove, spreadBefore } from './spread';

test('the chance that a difference shows is what throwing it often gives', () => {
  const random = seededRandom(9);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const THROWS = 40_000;
  for (const [difference, sd, limit] of [
    [0, 1, 2],
    [1.5, 0.8, 2],
    [3, 2, 2],
    [6, 1, 2],
    [0.4, 2.5, 1],
  ] as const) {
    let above = 0;
    for (let i = 0; i < THROWS; i++)
      if (Math.hypot(difference + sd * normal(), sd * normal(), sd * normal()) > limit) above++;
    expect(Math.abs(chanceAbove(difference, sd, limit) - above / THROWS)).toBeLessThan(0.01);
  }
});

test('what is sure is sure, and a longer way is less sure', () => {
  expect(chanceAbove(5, 0.01, 2)).toBe(1);
  expect(chanceAbove(1, 0.01, 2)).toBe(0);
  expect(spreadBefore(20)).toBeGreaterThan(spreadBefore(2));
  // Never “0.0”: photo and swatch alone leave this much.
  expect(spreadBefore(0)).toBeGreaterThan(1.5);
});
