import { laidOn } from './coarse';

test('an outline is flipped left for right first, then turned clockwise as seen, and keeps its size', () => {
  const near = ([x, y]: readonly [number, number], to: readonly [number, number]): void => {
    expect(x).toBeCloseTo(to[0], 9);
    expect(y).toBeCloseTo(to[1], 9);
  };
  // On a picture y runs down: a quarter turn clockwise takes right to down.
  near(laidOn([10, 0], { degrees: 90, flipped: false }), [0, 10]);
  near(laidOn([10, 0], { degrees: 90, flipped: true }), [0, -10]);
  near(laidOn([3, 4], { degrees: 180, flipped: false }), [-3, -4]);
  const [x, y] = laidOn([3, 4], { degrees: 37, flipped: true });
  expect(Math.hypot(x, y)).toBeCloseTo(5, 9);
});
