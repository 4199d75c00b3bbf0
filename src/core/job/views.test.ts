import { strokeAt } from './views';

test('a stroke lies along its direction, as long as was asked, with its place in the middle', () => {
  const [[ax, ay], [bx, by]] = strokeAt([40, 25], 30, 20);
  expect([(ax + bx) / 2, (ay + by) / 2]).toEqual([expect.closeTo(40, 9), expect.closeTo(25, 9)]);
  expect(Math.hypot(bx - ax, by - ay)).toBeCloseTo(20, 9);
  expect((Math.atan2(by - ay, bx - ax) * 180) / Math.PI).toBeCloseTo(30, 9);
});
