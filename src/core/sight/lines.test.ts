import type { Edges } from './edges';
import { linesOf } from './lines';

/** An upright edge of so many pixels in an empty picture of 200 × 150 px, whose diagonal is 250. */
function edge(lengthPx: number, strength: number): Edges {
  const [width, height] = [200, 150];
  const empty = (): Float32Array => new Float32Array(width * height);
  const edges = { width, height, dx: empty(), dy: empty(), crest: empty() };
  for (let y = 40; y < 40 + lengthPx; y++) {
    edges.dx[y * width + 90] = strength;
    edges.crest[y * width + 90] = strength;
  }
  return edges;
}

test.each([4, 25, 400])(
  'an edge just strong enough (%d) is a line from a fortieth of the diagonal on',
  (strength) => {
    expect(linesOf(edge(4, strength), strength)).toEqual([]);
    const [line, ...more] = linesOf(edge(12, strength), strength);
    expect(more).toEqual([]);
    expect([Math.abs((line?.off ?? 0) - 90) < 2, Math.abs(line?.sin ?? 1) < 0.08]).toEqual([true, true]);
  },
);
