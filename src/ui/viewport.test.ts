import fc from 'fast-check';
import { fit, pan, toContent, toScreen, zoomAt } from './viewport';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('zooming keeps the spot under the finger where it is', () => {
  fc.assert(
    fc.property(number(0, 400), number(0, 600), number(0.2, 5), (x, y, factor) => {
      const v = fit({ width: 600, height: 450 }, { width: 390, height: 500 });
      const before = toContent(v, { x, y });
      const after = toContent(zoomAt(v, { x, y }, factor, v.k), { x, y });
      expect(after[0]).toBeCloseTo(before[0], 6);
      expect(after[1]).toBeCloseTo(before[1], 6);
    }),
  );
});

test('there and back', () => {
  const v = pan({ x: 3, y: 4, k: 2 }, 10, -10);
  expect(toContent(v, toScreen(v, [7, 9]))).toEqual([7, 9]);
});

test('the whole content is in sight', () => {
  const v = fit({ width: 600, height: 450 }, { width: 390, height: 500 });
  expect(toScreen(v, [0, 0]).x).toBeGreaterThanOrEqual(0);
  expect(toScreen(v, [600, 450]).x).toBeLessThanOrEqual(390);
});
