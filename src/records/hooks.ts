import { useMemo } from 'react';
import useSWR, { mutate } from 'swr';
import { learnedFrom } from '@/core/figures';
import { browserStore, newId } from './browserStore';
import { changed, listKey, noteTrouble, useChanges } from './changes';
import type { Taken } from './backup';
import { beginPending, notePending, settled, storedUnder, withNotes } from './pending';
import { localNow } from './clock';
import { DEFAULT_SHOP, SHOP_ID } from './defaults';
import { SHAPE_VERSION } from './schemas';
import type { Loaded, SetAside } from './reading';
import type { AnyStored, Bodies, Colour, Kind, KnownShop, Picture, Shop, Stored, Veneer } from './types';

const pictureKey = (id: string): string => `picture/${id}`;

export type ListOf<K extends Kind> = {
  records: Stored<K>[];
  unreadable: number;
  loading: boolean;
  error?: Error;
};

/** Every page tells that the store cannot be read, rather than look as if nothing were there. */
async function told<T>(read: () => Promise<T>): Promise<T> {
  try {
    const found = await read();
    noteTrouble(undefined);
    return found;
  } catch (error) {
    noteTrouble(error instanceof Error ? error.message : String(error));
    throw error;
  }
}

/** What of some kinds could not be read and was set aside. */
export function useAside(kinds: readonly Kind[]): SetAside[] {
  const changes = useChanges();
  const { data = [] } = useSWR<SetAside[]>(['aside', changes], () => browserStore.listAside());
  return data.filter((a) => kinds.some((k) => a.key.startsWith(`${k}/`)));
}

async function listOf<K extends Kind>(kind: K): Promise<Loaded<K>> {
  void beginPending();
  return told(async () => withNotes(await browserStore.list(kind)));
}

/** Reads the records of a kind before a page asks for them; that they cannot be read is told when one does. */
export async function readEarly(kind: Exclude<Kind, 'picture'>): Promise<void> {
  // What is read beside a write would take its place on the page: the list as it was before.
  while (writing.size > 0) await Promise.allSettled(writing);
  await mutate(listKey(kind), () => listOf(kind), { revalidate: false }).catch(() => undefined);
}

/** All records of a kind. Pictures are loaded one by one instead. @param wanted false where a page has no use for them: a full shop takes a second to read */
export function useList<K extends Exclude<Kind, 'picture'>>(kind: K, wanted = true): ListOf<K> {
  const { data, error, isLoading } = useSWR<Loaded<K>, Error>(wanted ? listKey(kind) : null, () =>
    listOf(kind),
  );
  return {
    records: data?.records ?? [],
    unreadable: data?.unreadable ?? 0,
    loading: isLoading,
    ...(error ? { error } : {}),
  };
}

export function useOne<K extends Exclude<Kind, 'picture'>>(
  kind: K,
  id: string | undefined,
  wanted = true,
): { record?: Stored<K>; loading: boolean } {
  const { records, loading } = useList(kind, wanted);
  const record = records.find((r) => r.id === id);
  return record ? { record, loading } : { loading };
}

export function usePicture(id: string | undefined): { picture?: Picture; loading: boolean } {
  const { data, isLoading } = useSWR(id ? pictureKey(id) : null, () => browserStore.get('picture', id ?? ''));
  return data ? { picture: data.body, loading: isLoading } : { loading: isLoading };
}

/** The shop's settings, the defaults until the user has changed one, with what the log has taught. */
export function useShop(): { shop: KnownShop; record?: Stored<'shop'>; loading: boolean } {
  const { record, loading } = useOne('shop', SHOP_ID);
  const { records: log } = useList('log');
  const shop = useMemo(
    () => ({ ...(record?.body ?? DEFAULT_SHOP), learned: learnedFrom(log.map((l) => l.body)) }),
    [record, log],
  );
  return record ? { shop, record, loading } : { shop, loading };
}

type Changing<K extends Kind> = (list: Loaded<K>) => Loaded<K>;

/** Changes that are shown and not yet written. */
const writing = new Set<Promise<unknown>>();

/** Shows a change at once, writes it, and takes it back when the store refuses it. */
async function optimistic<K extends Kind, T>(
  kind: K,
  change: Changing<K>,
  write: () => Promise<T>,
): Promise<T> {
  let result: T | undefined;
  const shown = mutate<Loaded<K>>(
    listKey(kind),
    async () => {
      result = await write();
      return undefined;
    },
    {
      optimisticData: (current) => change(current ?? { records: [], unreadable: 0 }),
      populateCache: false,
      rollbackOnError: true,
      revalidate: true,
    },
  );
  writing.add(shown);
  await shown.finally(() => writing.delete(shown));
  await changed([kind]);
  return result as T;
}

/** @throws StoreError when the store refuses it; nothing is shown as saved then */
export async function createRecord<K extends Exclude<Kind, 'picture'>>(
  kind: K,
  body: Bodies[K],
  id: string = newId(),
): Promise<Stored<K>> {
  const shown: Stored<K> = { kind, id, version: SHAPE_VERSION, revision: 1, savedAt: localNow(), body };
  return optimistic<K, Stored<K>>(
    kind,
    (list) => ({ ...list, records: [...list.records, shown] }),
    () => browserStore.create(kind, id, body),
  );
}

/**
 * Changes fields of a record.
 *
 * @throws ConflictError when the same field was changed in another window; StoreError when the store refuses it
 */
export async function changeRecord<K extends Exclude<Kind, 'picture'>>(
  record: Stored<K>,
  patch: Partial<Bodies[K]>,
  force = false,
): Promise<Stored<K>> {
  const written = notePending(record, patch);
  const saved = await optimistic<K, Stored<K>>(
    record.kind,
    (list) => ({
      ...list,
      records: list.records.map((r) => (r.id === record.id ? { ...r, body: { ...r.body, ...patch } } : r)),
    }),
    () => browserStore.update(record.kind, record.id, storedUnder(record), patch, force),
  ).finally(written);
  settled(record, Object.keys(patch));
  return saved;
}

export async function changeShop(record: Stored<'shop'> | undefined, patch: Partial<Shop>): Promise<void> {
  if (record) {
    await changeRecord(record, patch);
    return;
  }
  // A second setting may be changed before the first has made the record.
  const there = await browserStore.get('shop', SHOP_ID);
  if (there) await changeRecord(there, patch);
  else await createRecord('shop', { ...DEFAULT_SHOP, ...patch }, SHOP_ID);
}

/** Pictures have no list; they are written once and never changed. */
export async function createPicture(body: Picture): Promise<string> {
  const record = await browserStore.create('picture', newId(), body);
  await mutate(pictureKey(record.id), record, { revalidate: false });
  return record.id;
}

const refresh = async (kinds: readonly Kind[]): Promise<void> => {
  await Promise.all(kinds.map((kind) => mutate(listKey(kind))));
  await changed(kinds);
};

/** Removes records together; the returned function puts them back. */
export async function removeRecords(
  refs: readonly { kind: Kind; id: string }[],
): Promise<() => Promise<void>> {
  const removed = await browserStore.remove(refs);
  const kinds = [...new Set(removed.map((r) => r.kind))];
  await refresh(kinds);
  return () => putBack(removed);
}

/** Whatever shows records of these kinds reads them again. */
export const renewKinds = refresh;

/** After a backup was taken in, or taken back. */
export async function renewAfter({ kinds, pictures }: Taken): Promise<void> {
  await Promise.all(pictures.map((id) => mutate(pictureKey(id))));
  await refresh(kinds);
}

/** Puts back what was removed; what has come back another way meanwhile keeps what was changed in it. */
export async function putBack(records: readonly AnyStored[]): Promise<void> {
  await browserStore.restore(records);
  await refresh([...new Set(records.map((r) => r.kind))]);
}

/** Writes imported records, all or none. */
export async function importRecords(records: readonly AnyStored[]): Promise<void> {
  await browserStore.putAll(records);
  await Promise.all(records.filter((r) => r.kind === 'picture').map((r) => mutate(pictureKey(r.id))));
  await refresh([...new Set(records.map((r) => r.kind))]);
}

/** Takes new records in, all or none; the returned function takes them out again. */
async function takeIn(records: readonly AnyStored[]): Promise<() => Promise<unknown>> {
  await importRecords(records);
  return () => removeRecords(records);
}

/** Puts veneers onto the shelf, all or none; the returned function takes them off again. */
export const importVeneers = async (bodies: readonly Veneer[]): Promise<() => Promise<unknown>> =>
  takeIn(bodies.map((body) => browserStore.prepared('veneer', newId(), body)));

/** Puts colours onto the shelf, all or none; the returned function takes them off again. */
export const importColours = async (bodies: readonly Colour[]): Promise<() => Promise<unknown>> =>
  takeIn(bodies.map((body) => browserStore.prepared('colour', newId(), body)));
