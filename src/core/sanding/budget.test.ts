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

test('what is taken and what is left make up what was there; edges lose two to three times as much', () => {
  const b = sandingBudget(0.9);
  expect(b.removedMm + b.leftMm).toBeCloseTo(0.9, 9);
  expect(b.steps.reduce((s, x) => s + x.removedMm, 0)).toBeCloseTo(b.removedMm, 9);
  const ratio = (0.9 - b.leftAtEdgeMm) / b.removedMm;
  expect(ratio).toBeGreaterThanOrEqual(2);
  expect(ratio).toBeLessThanOrEqual(3);
});

test('warns before the veneer is through', () => {
  expect(sandingBudget(0.3).warning).toContain('too thin');
  expect(sandingBudget(0.45).warning).toContain('Edges');
  expect(sandingBudget(0.9).warning).toBeUndefined();
});

test.each([0, 40])('refuses a veneer of %d mm', (mm) => {
  expect(() => sandingBudget(mm)).toThrow('The veneer thickness is');
});
