import { conditionOf, type Counted } from './condition';

const lifted: Counted = { id: 'a', kind: 'liftedEdge', areaMm2: 5000, show: true };
const scratch: Counted = { id: 'b', kind: 'scratch', areaMm2: 40, show: true };
const hidden: Counted = { id: 'c', kind: 'liftedEdge', areaMm2: 9000, show: false };

test('a face without damage is whole', () => {
  expect(conditionOf([], 250_000)).toMatchObject({ score: 100, count: 0, share: 0, worst: [] });
});

test('the score follows the formula that is shown, by hand', () => {
  // 8 for the lifted edge, 2 for the scratch, 40 × 5040 / 252 000 = 0.8 for the area.
  expect(conditionOf([lifted, scratch], 252_000).score).toBe(Math.round(100 - 8 - 2 - 0.8));
  // Half the points on a hidden face; without a scale the area does not count.
  expect(conditionOf([hidden], 0)).toMatchObject({ score: 96, share: 0 });
});

test('the gravest comes first, of equals the larger; kinds are counted', () => {
  const c = conditionOf([scratch, hidden, lifted, { ...lifted, id: 'd', areaMm2: 8000 }], 1e6);
  expect(c.worst.map((d) => d.id)).toEqual(['d', 'a', 'c', 'b']);
  expect(c.byKind).toEqual([
    { kind: 'liftedEdge', count: 3 },
    { kind: 'scratch', count: 1 },
  ]);
  expect(c.byGravity).toEqual({ 1: 1, 2: 0, 3: 3 });
});

test('it never falls below nothing, and never rises with another damage', () => {
  const many = Array.from({ length: 60 }, (_, i): Counted => ({ ...lifted, id: String(i) }));
  expect(conditionOf(many, 1e6).score).toBe(0);
  for (let n = 1; n < 12; n++)
    expect(conditionOf(many.slice(0, n), 1e6).score).toBeLessThan(
      conditionOf(many.slice(0, n - 1), 1e6).score,
    );
});
