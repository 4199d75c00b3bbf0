import { evenLight } from './evenLight';

const LINEAR = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const BYTE = (l: number): number => 255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * l ** (1 / 2.4) - 0.055);

test('a lamp at one side is taken out of a board of one colour: it comes out as bright as it was on the mean', () => {
  const [width, height] = [120, 80];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  const lamp = (x: number): number => 0.1 * Math.exp((1.2 * x) / width);
  for (let i = 0; i < width * height; i++) data.fill(BYTE(lamp((i % width) + 0.5)), 4 * i, 4 * i + 3);
  const whole = [[0, 0], [width, 0], [width, height], [0, height]] as const; // prettier-ignore
  const { picture, uneven } = evenLight({ data, width, height }, whole);
  const light = Array.from({ length: width * height }, (_, i) => LINEAR((picture.data[4 * i] ?? 0) / 255));
  const spread = Math.max(...light) / Math.min(...light);
  // It was e^1.2 = 3.3 times as bright at one end; a byte of 256 leaves some hundredths.
  expect(spread).toBeLessThan(1.04);
  expect(uneven).toBeGreaterThan(1.8);
  // The geometric mean of 0.1 and 0.332.
  expect(light[0]).toBeGreaterThan(0.175);
  expect(light[0]).toBeLessThan(0.19);
});
