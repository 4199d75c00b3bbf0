import { spoiltFiles } from './files';
import { merges } from './merges';
import { failingWrites, kills, twoWindows } from './writes';

// The small forms; `npm run torture` has the large ones.
test.each([
  ['spoilt files', () => spoiltFiles(240)],
  ['failing writes', () => failingWrites(240)],
  ['ended browsers', () => kills(56)],
  ['two windows', () => twoWindows(60)],
  ['devices that hand files to each other', () => merges(8, 5)],
])(
  '%s: nothing lost, and no foreign error',
  async (_, torture) => {
    const { done, lost, doubled, foreign } = await torture();
    expect(done).toBeGreaterThan(5);
    expect([lost, doubled, [...new Set(foreign)]]).toEqual([0, 0, []]);
  },
  120_000,
);
