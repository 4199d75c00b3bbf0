// A small invented shop to be tortured: every kind of record, some of each.
import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from '../../src/records/defaults';
import { SHAPE_VERSION } from '../../src/records/schemas';
import type { AnyStored, Bodies, Kind } from '../../src/records/types';

export const NOW = '2026-03-02T08:00:00';

export const record = <K extends Kind>(kind: K, id: string, body: Bodies[K]): AnyStored =>
  ({ kind, id, version: SHAPE_VERSION, revision: 1, savedAt: NOW, body }) as AnyStored;

const jpeg = (n: number): string =>
  Buffer.from([0xff, 0xd8, 0xff, 0xe0, ...Array.from({ length: 80 }, (_, i) => (i * 7 + n) % 256)]).toString(
    'base64',
  );

export const photo = (id: string, n: number): AnyStored =>
  record('picture', id, { name: `${id}.jpg`, widthPx: 8, heightPx: 6, jpeg: jpeg(n) });

/** So many pieces with a face, a photo, two damages and a log entry each. */
export function shopOf(pieces: number): AnyStored[] {
  const records: AnyStored[] = [record('shop', 'shop', DEFAULT_SHOP)];
  for (let i = 0; i < pieces; i++) {
    const [p, f, x] = [`p${i}`, `f${i}`, `x${i}`];
    records.push(
      record('piece', p, newPiece(`Piece ${i}`, NOW)),
      record('face', f, { ...newFace(p, 'Top'), picture: { id: x, widthPx: 8, heightPx: 6 } }),
      record('damage', `d${i}a`, newDamage(p, f, 1, 'gouge')),
      record('damage', `d${i}b`, newDamage(p, f, 2, 'dent')),
      record('log', `l${i}`, { pieceId: p, taskId: `${p}/intake`, title: 'Intake', doneAt: NOW, actualMin: 20, note: '', pictures: [{ pictureId: x, role: 'before' }] }),
      record('veneer', `v${i}`, { name: `Sheet ${i}`, species: 'walnut', thicknessMm: 0.6, alongMm: 500, acrossMm: 200, note: '' }),
      photo(x, i),
    ); // prettier-ignore
  }
  return records;
}

export const asTexts = (records: readonly AnyStored[]): Record<string, string> =>
  Object.fromEntries(records.map((r) => [`${r.kind}/${r.id}`, JSON.stringify(r)]));

/** What a store says when the browser was ended. */
export class Killed extends Error {
  override name = 'Killed';
}

/**
 * A store as a browser has it: what one call writes is written whole or not at all. After so many writes every other one fails, or
 * the browser is ended and nothing more is written.
 */
export function fragile(items: Record<string, string>, { failAt = Infinity, killAt = Infinity } = {}) {
  const data = new Map(Object.entries(items));
  let writes = 0;
  const write = (change: () => void): void => {
    writes++;
    if (writes >= killAt) throw new Killed('The browser was ended.');
    if (writes === failAt) throw new Error('QuotaExceededError');
    change();
  };
  const storage: AsyncStorage = {
    getItem: async (k) => data.get(k) ?? null,
    setItem: async (k, v) => write(() => data.set(k, v)),
    removeItem: async (k) => write(() => data.delete(k)),
    getMany: async (keys) => Object.fromEntries(keys.map((k) => [k, data.get(k) ?? null])),
    setMany: async (entries) => write(() => Object.entries(entries).forEach(([k, v]) => data.set(k, v))),
    removeMany: async (keys) => write(() => keys.forEach((k) => data.delete(k))),
    getAllKeys: async () => [...data.keys()],
    clear: async () => data.clear(),
  };
  return { storage, data };
}

/** What was done, and what of it was lost, came twice, or failed in words that are none of ours. */
export type Tally = { done: number; lost: number; doubled: number; foreign: string[] };
export const tally = (): Tally => ({ done: 0, lost: 0, doubled: 0, foreign: [] });
