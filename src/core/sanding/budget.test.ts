import fc from 'fast-check';
import { sandingBudget } from './budget';

test('common practice: thin veneer starts no coarser than 150 and ends at 180 to 220', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.2, max: 1.19, noNaN: true }), fc.boolean(), (mm, paint) => {
      const b = sandingBudget(mm, 0, paint);
      expect(b.startGrit).toBeGreaterThanOrEqual(150);
      expect(b.endGrit).toBeGreaterThanOrEqual(180);
      expect(b.endGrit).toBeLessThanOrEqual(220);
    }),
  );
});

test('worked by hand: P150 takes 0.03 mm of fibres, each next grit a third of the grain before it (ISO 6344: 100 and 82 µm)', () => {
  const b = sandingBudget(0.9);
  expect(b.steps.map((s) => s.grit)).toEqual([150, 180, 220]);
  const [first, second, third] = b.steps.map((s) => s.removedMm);
  expect(first).toBeCloseTo(0.03, 6);
  expect(second).toBeCloseTo(0.3 * 0.1, 6);
  expect(third).toBeCloseTo(0.3 * 0.082, 6);
  expect(b.leftMm).toBeCloseTo(0.9 - 0.03 - 0.03 - 0.0246, 6);
  // Common practice: edges and corners lose two to three times as much.
  expect(b.leftAtEdgeMm).toBeCloseTo(0.9 - 2.5 * 0.0846, 6);
});

test('a patch that stands proud is taken down first, all of it by the first grit', () => {
  expect(sandingBudget(0.9, 0.2).steps[0]?.removedMm).toBeCloseTo(0.23, 6);
  expect(sandingBudget(0.9, 0.2).leftMm).toBeCloseTo(0.9 - 0.2 - 0.0846, 6);
});

test('warns before the veneer is through', () => {
  expect(sandingBudget(0.3).warning).toContain('too thin');
  expect(sandingBudget(0.45).warning).toContain('Edges');
  expect(sandingBudget(0.9).warning).toBeUndefined();
});

test.each([0, 40])('refuses a veneer of %d mm', (mm) => {
  expect(() => sandingBudget(mm)).toThrow('The veneer thickness is');
});
