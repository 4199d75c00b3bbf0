import { findCorners } from './corners';

test('all four corners of a board on an even floor are found, between pixels', async () => {
  const [width, height] = [300, 200];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data.fill(x >= 70 && x < 240 && y >= 50 && y < 140 ? 200 : 70, 4 * (y * width + x), 4 * (y * width + x) + 3); // prettier-ignore
  const { corners } = await findCorners({ image: { data, width, height } });
  for (const [x, y] of [
    [70, 50],
    [240, 50],
    [240, 140],
    [70, 140],
  ] as const) {
    const off = Math.min(...corners.map(({ at }) => Math.hypot(at[0] * width - x, at[1] * height - y)));
    expect(off).toBeLessThan(0.15);
  }
});
