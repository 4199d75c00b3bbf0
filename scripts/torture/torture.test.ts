import { spoiltFiles } from './files';
import { failingWrites, kills, twoWindows } from './writes';

// The small forms; `npm run torture` has the large ones.
test.each([
  ['spoilt files', () => spoiltFiles(240)],
  ['failing writes', () => failingWrites(240)],
  ['ended browsers', () => kills(56)],
  ['two windows', () => twoWindows(60)],
])(
  '%s: nothing lost, and no foreign error',
  async (_, torture) => {
    const { done, lost, foreign } = await torture();
    expect(done).toBeGreaterThan(50);
    expect([lost, [...new Set(foreign)]]).toEqual([0, []]);
  },
  120_000,
);
