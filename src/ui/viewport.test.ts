import fc from 'fast-check';
import { between, fit, pan, toContent, toScreen, zoomAt } from './viewport';

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

test('a picture drawn for one view, shifted and stretched, stands as it would in the other', () => {
  fc.assert(
    fc.property(number(-200, 200), number(-200, 200), number(0.3, 4), (dx, dy, factor) => {
      const drawn = fit({ width: 600, height: 450 }, { width: 390, height: 500 });
      const view = pan(zoomAt(drawn, { x: 100, y: 60 }, factor, drawn.k), dx, dy);
      const { x, y, scale } = between(drawn, view);
      const before = toScreen(drawn, [123, 45]);
      const wanted = toScreen(view, [123, 45]);
      expect(x + scale * before.x).toBeCloseTo(wanted.x, 6);
      expect(y + scale * before.y).toBeCloseTo(wanted.y, 6);
    }),
  );
});
