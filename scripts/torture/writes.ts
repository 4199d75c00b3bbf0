// Writes that fail, browsers that are ended, windows that work against each other: nothing that was there may be lost.
import { seededRandom } from '../../src/core/check';
import { readBackup, takeBackup, writeBackup } from '../../src/records/backup';
import { StoreError } from '../../src/records/errors';
import { goesWith } from '../../src/records/links';
import { readText } from '../../src/records/migrate';
import { createStore, type Exclusively, type Store } from '../../src/records/store';
import type { AnyStored, Kind } from '../../src/records/types';
import { asTexts, fragile, Killed, NOW, photo, shopOf, tally, type Tally } from './shop';

const KINDS: Exclude<Kind, 'picture'>[] = [
  'piece',
  'face',
  'damage',
  'veneer',
  'colour',
  'board',
  'lumber',
  'log',
  'shop',
];
const HERE = { now: NOW, device: 'torture' };

/** One change of some kind of record, by its number. */
async function change(store: Store, records: readonly AnyStored[], n: number): Promise<unknown> {
  const own = records.filter((r) => r.kind === KINDS[n % KINDS.length]);
  const r = own[n % own.length];
  if (!r) return undefined;
  switch (n % 4) {
    case 0:
      return store.create(r.kind, `new${n}`, r.body);
    case 1:
      return store.updateFields(
        r.kind,
        r.id,
        { ...r.body },
        { ...('note' in r.body ? { note: `n${n}` } : {}) },
      );
    case 2:
      return store.remove([{ kind: r.kind, id: r.id }]);
    default:
      return store.putAll(records.slice(0, 5));
  }
}

/** Every write fails once; before and after it the store holds whole records, and what failed is told as ours. */
export async function failingWrites(count: number): Promise<Tally> {
  const result = tally();
  const shop = shopOf(3);
  const texts = asTexts(shop);
  for (let n = 0; n < count; n++) {
    result.done++;
    const { storage, data } = fragile(texts, { failAt: 1 });
    const store = createStore(storage, { now: () => NOW });
    let done = false;
    try {
      await change(store, shop, n);
      done = true;
    } catch (error) {
      if (!(error instanceof StoreError)) result.foreign.push(String(error));
    }
    // A deletion that was done though its marks had no room is what was asked for.
    const isKept = (k: string): boolean => data.get(k) === texts[k] || (n % 4 === 2 && done && !data.has(k));
    if (!Object.keys(texts).every(isKept)) result.lost++;
  }
  return result;
}

/** The browser is ended in the middle of saving, changing or reading a backup in. */
export async function kills(count: number): Promise<Tally> {
  const result = tally();
  const shop = shopOf(4);
  const other = [...shopOf(6), ...Array.from({ length: 20 }, (_, i) => photo(`extra${i}`, i))];
  const source = createStore(fragile(asTexts(other)).storage, { now: () => NOW });
  const { blob } = await writeBackup(source, { savedAt: NOW });
  for (let n = 0; n < count; n++) {
    result.done++;
    const { storage, data } = fragile(asTexts(shop), { killAt: 1 + (n % 7) });
    const store = createStore(storage, { now: () => NOW });
    const before = [...data.keys()].filter((k) => !k.startsWith('picture/'));
    try {
      if (n % 2 === 0) await takeBackup(store, await readBackup(blob, 'other'), {}, HERE);
      else await change(store, shop, n);
    } catch (error) {
      if (!(error instanceof StoreError) && !(error instanceof Killed)) result.foreign.push(String(error));
    }
    // The next start: all that was there is there, and what came is whole or has not come.
    const next = createStore(fragile(Object.fromEntries(data)).storage, { now: () => NOW });
    const { unreadable } = await next.listAll(KINDS);
    const left = [...data.keys()].filter((k) => !k.startsWith('picture/'));
    const removed = n % 2 === 1 && n % 4 === 2 ? 1 : 0;
    const came = left.length - before.length;
    const isWhole = n % 2 === 0 ? came === 0 || left.length >= asWhole(other, before) : true;
    if (Object.keys(unreadable).length > 0 || left.length + removed < before.length || !isWhole)
      result.lost++;
  }
  return result;
}

const asWhole = (records: readonly AnyStored[], before: readonly string[]): number =>
  new Set([...before, ...records.filter((r) => r.kind !== 'picture').map((r) => `${r.kind}/${r.id}`)]).size;

/** Two windows over one store: one deletes and undoes, the other changes and exports. Whatever comes of it reads back whole. */
export async function twoWindows(rounds: number): Promise<Tally> {
  const result = tally();
  const random = seededRandom(5);
  const { storage, data } = fragile(asTexts(shopOf(5)));
  let queue: Promise<unknown> = Promise.resolve();
  const exclusively: Exclusively = (work) => {
    const next = queue.then(work);
    queue = next.catch(() => undefined);
    return next;
  };
  const window = (device: string): Store =>
    createStore(storage, { now: () => NOW, exclusively, device: () => device });
  const [a, b] = [window('a'), window('b')];
  for (let n = 0; n < rounds; n++) {
    result.done++;
    const i = Math.floor(random() * 5);
    const refs = [
      { kind: 'piece' as const, id: `p${i}` },
      { kind: 'face' as const, id: `f${i}` },
    ];
    const face = await b.get('face', `f${i}`);
    const outcomes = await Promise.allSettled([
      a
        .remove(random() < 0.5 ? refs : refs.slice(1))
        .then((gone) => (random() < 0.7 ? a.restore(gone) : undefined)),
      face ? b.updateFields('face', face.id, { ...face.body }, { name: `Top ${n}` }) : undefined,
      b.create('damage', `n${n}`, shopDamage(i, n)),
    ]);
    for (const o of outcomes)
      if (o.status === 'rejected' && !(o.reason instanceof StoreError)) result.foreign.push(String(o.reason));
    // Nothing hangs on what is gone, whichever window was first.
    const names = new Set(data.keys());
    for (const [key, text] of data) {
      const read = key.startsWith('deleted/') ? undefined : readText(text);
      if (read?.ok && goesWith(read.record).some((name) => !names.has(name))) result.lost++;
    }
    // Whoever is missing comes back for the next round.
    if (n % 10 === 9) {
      const { blob } = await writeBackup(a, { savedAt: NOW });
      const back = await readBackup(blob, 'round');
      if (back.unreadable.length > 0) result.lost++;
      const empty = createStore(fragile({}).storage, { now: () => NOW });
      await takeBackup(empty, back, {}, HERE);
      const { unreadable } = await empty.listAll(KINDS);
      if (Object.keys(unreadable).length > 0) result.lost++;
      await a.putAll(shopOf(5));
      for (const key of [...data.keys()].filter((k) => k.startsWith('damage/n'))) data.delete(key);
    }
  }
  for (const [key, text] of data)
    if (!key.startsWith('deleted/') && !readText(text).ok) result.foreign.push(`${key} cannot be read`);
  return result;
}

function shopDamage(i: number, n: number) {
  const [found] = shopOf(i + 1).filter((r) => r.kind === 'damage' && r.id === `d${i}a`);
  if (found?.kind !== 'damage') throw new Error('The shop has no such damage.');
  return { ...found.body, number: 1 + (n % 900) };
}
