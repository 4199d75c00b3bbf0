import { planesOf } from '../picture';
import { sideBetween } from './refine';

test('an edge is found between pixels from what lies between its ends; what comes beyond them does not count', () => {
  const [width, height] = [400, 100];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  // From x = 150 to 250 the edge lies at y = 50.4 (the row on it is mixed), to either side of that three pixels lower.
  const level = (x: number, y: number): number => {
    const edge = x >= 150 && x < 250 ? 50.4 : 53.4;
    return 60 + 130 * Math.min(1, Math.max(0, y + 1 - edge));
  };
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.fill(level(x, y), 4 * (y * width + x), 4 * (y * width + x) + 3); // prettier-ignore
  const { p, d } = sideBetween(planesOf({ data, width, height }), [155, 50], [245, 50]);
  // A row's middle lies half a pixel below its beginning.
  expect(Math.abs(p[1] + 0.5 - 50.4)).toBeLessThan(0.1);
  expect(Math.abs(d[1] / d[0])).toBeLessThan(0.002);
});
