import { readGrain } from './grainIn';

/** Lines of a wave across one direction, and noise of another wave across it. */
function lined(grainDeg: number, noise: number) {
  const [width, height] = [120, 90];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  const a = (grainDeg * Math.PI) / 180;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const across = -x * Math.sin(a) + y * Math.cos(a);
      const along = x * Math.cos(a) + y * Math.sin(a);
      data.fill(128 + 50 * Math.sin(across / 2) + noise * Math.sin(along / 2), 4 * (y * width + x), 4 * (y * width + x) + 3); // prettier-ignore
    }
  return readGrain({ data, width, height }, 0.5, [[2, 2], [58, 2], [58, 43], [2, 43]]); // prettier-ignore
}

test.each([0, 25, 90, 140])('lines at %d° are read there, and as straight as can be', (degrees) => {
  const read = lined(degrees, 0);
  const off = Math.abs(((read.degrees - degrees + 270) % 180) - 90);
  expect(off).toBeLessThan(1);
  expect(read.coherence).toBeGreaterThan(0.97);
  expect(read.coherence).toBeLessThanOrEqual(1);
});

test('waves that run both ways alike are no grain: by the slopes of both, (50² − 25²) / (50² + 25²) is left', () => {
  expect(lined(25, 25).coherence).toBeCloseTo(0.6, 1);
  expect(lined(25, 50).coherence).toBeLessThan(0.1);
});

test.each([
  [
    'right',
    [
      [2, 2],
      [58, 2],
      [58, 43],
      [2, 43],
    ],
    (x: number) => x >= 116,
  ],
  [
    'left',
    [
      [2, 2],
      [58, 2],
      [58, 43],
      [2, 43],
    ],
    (x: number) => x < 4,
  ],
  [
    'below',
    [
      [2, 2],
      [58, 2],
      [58, 43],
      [2, 43],
    ],
    (_: number, y: number) => y >= 86,
  ],
  [
    'above',
    [
      [2, 2],
      [58, 2],
      [58, 43],
      [2, 43],
    ],
    (_: number, y: number) => y < 4,
  ],
] as const)('what lies %s of the part does not bend its grain', (_, within, beyond) => {
  const [width, height] = [120, 90];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  // Faint lines on a slant, and beyond the part a step that is fifty times as steep.
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data.fill(beyond(x, y) ? 255 : 90 + 4 * Math.sin((x + y) / 3), 4 * (y * width + x), 4 * (y * width + x) + 3); // prettier-ignore
  const read = readGrain(
    { data, width, height },
    0.5,
    within.map(([x, y]) => [x, y]),
  );
  expect(Math.abs(read.degrees - 135)).toBeLessThan(2);
});
