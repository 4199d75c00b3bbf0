import { deltaE00 } from '../colour';
import { lightnessShare } from './search';

test('greys differ by what lightness alone makes of it, as the whole formula says', () => {
  for (const [a, b] of [
    [20, 24],
    [50, 50.5],
    [70, 92],
    [4, 60],
  ] as const)
    // prettier-ignore
    expect(lightnessShare(a, b)).toBeCloseTo(deltaE00([a, 0, 0], [b, 0, 0]), 9);
});
