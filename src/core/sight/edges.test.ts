import { planesOf } from '../picture';
import { edgesOf } from './edges';

test('an upright edge is a line of crests from the first row that has neighbours to the last, and none beside it', () => {
  const [width, height] = [14, 12];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.fill(x < 7 ? 60 : 190, 4 * (y * width + x), 4 * (y * width + x) + 3);
  const { crest } = edgesOf(planesOf({ data, width, height }));
  const rows = Array.from({ length: height }, (_, y) =>
    Array.from({ length: width }, (_x, x) => x).filter((x) => (crest[y * width + x] ?? 0) > 0),
  );
  expect(rows[0]).toEqual([]);
  expect(rows[height - 1]).toEqual([]);
  // One crest a row: the two columns beside the step are as steep, and the second is taken.
  for (const row of rows.slice(1, -1)) expect(row).toEqual([7]);
});
