import { lookIn } from './look';
import { revisionsOf } from './revisions';
import type { AnyStored } from './types';

jest.mock('./storage', () => ({ storage: {} }));
// Its channel to other windows would keep this process alive.
jest.mock('./changes', () => ({ LOOK: 'look' }));

const shop = (body: unknown): string => JSON.stringify({ kind: 'shop', id: 'shop', body });

test.each<[string, string | null, string, string, string]>([
  ['nothing stored', null, 'system', 'mm', 'C'],
  ['a shop by lamplight in inches', shop({ theme: 'lamplight', lengthUnit: 'in', temperatureUnit: 'F' }), 'lamplight', 'in', 'F'],
  ['values that are none', shop({ theme: 'neon', lengthUnit: 'ell', temperatureUnit: 7 }), 'system', 'mm', 'C'],
  ['text that is no JSON', '{', 'system', 'mm', 'C'],
  ['another shape', '[1]', 'system', 'mm', 'C'],
  ['a body that is none', shop(null), 'system', 'mm', 'C'],
])('%s', (_, text, theme, length, temperature) => {
  expect(lookIn(text)).toEqual({ theme, units: { length, temperature } });
}); // prettier-ignore

test('a key of records changes with whatever changes in them, and with nothing else', () => {
  const record = (id: string, revision: number, savedAt = '2026-03-02T08:00:00') =>
    ({ kind: 'piece', id, version: 3, revision, savedAt, body: {} }) as unknown as AnyStored;
  const key = revisionsOf([record('a', 1)], [record('b', 1)]);
  expect(revisionsOf([record('a', 1)], [record('b', 1)])).toBe(key);
  const others = [
    revisionsOf([record('a', 2)], [record('b', 1)]),
    revisionsOf([record('a', 1)], []),
    revisionsOf([record('a', 1), record('b', 1)], []),
    revisionsOf([record('a', 1)], [record('b', 1, '2026-03-02T09:00:00')]),
    revisionsOf([undefined], [record('b', 1)]),
  ];
  expect(new Set([key, ...others]).size).toBe(1 + others.length);
});
