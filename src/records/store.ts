import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { createDeleter } from './deleting';
import { stamped } from './edits';
import { ConflictError, NewerError, StoreError } from './errors';
import { guarded } from './guard';
import { linksOfBody, type Link } from './links';
import { createReader, keyOf } from './reading';
import { BODY_SCHEMAS, SHAPE_VERSION } from './schemas';
import type { AnyStored, Bodies, Edits, Kind, Stored } from './types';

/** Runs a change alone: no other window reads or writes in between. */
export type Exclusively = <T>(work: () => Promise<T>) => Promise<T>;

export type Store = ReturnType<typeof createStore>;

const NEWER =
  'A newer version of the app has written in this browser, so this page only shows what is there and changes nothing. All that was saved is safe. Reload the page to get the newer version.';
/** What a record hangs on was taken away by another window. */
const GONE: Partial<Record<Kind, string>> = {
  piece:
    'The piece that this belongs to was deleted in another window, so it was not saved: it has no place to go. What you entered is still here; copy it before you leave.',
  face: 'The face that this lies on was deleted in another window, so it was not saved: it has no place to go. What you entered is still here; copy it before you leave.',
  picture:
    'The photo of this was cleared away in another window, so it was not saved. Take or choose the photo again.',
};
const TAKEN =
  'There is a record of this name already, so nothing was written over it. Reload the page and try again.';

/** Records over AsyncStorage: validated on every read and write, written whole or not at all. */
export function createStore(
  storage: AsyncStorage,
  {
    now,
    exclusively = (work) => work(),
    device = () => 'here',
    onNewer = () => undefined,
    onAside = () => undefined,
  }: {
    now: () => string;
    exclusively?: Exclusively;
    /** Name of this browser, by which its changes are counted. */
    device?: () => string;
    /** Called when a record of a newer version of the app is met. */
    onNewer?: () => void;
    /** Called when records were set aside. */
    onAside?: () => void;
  },
) {
  let newerMet = false;
  const meetNewer = (): void => {
    if (!newerMet) onNewer();
    newerMet = true;
  };
  const assertNotOld = (): void => {
    if (newerMet) throw new NewerError(NEWER);
  };
  /** Writes, unless a newer version has been here. */
  const writing = <T>(work: () => Promise<T>): Promise<T> =>
    guarded(() =>
      exclusively(async () => {
        assertNotOld();
        return work();
      }),
    );

  const reader = createReader(storage, { onNewer: meetNewer, onAside });
  const { list, listAll, get, keys, texts, deleted, listAside } = reader;
  const { remove, removeChosen, restore } = createDeleter(storage, reader, { now, device, writing });

  /** Puts a body into its envelope. @throws StoreError when the body does not pass its schema */
  function envelope<K extends Kind>(
    kind: K,
    id: string,
    body: Bodies[K],
    revision: number,
    edits: Edits,
  ): Stored<K> {
    const { error, value } = BODY_SCHEMAS[kind].validate(body, { convert: false });
    if (error || value === undefined)
      throw new StoreError(
        `This cannot be saved: ${error?.message ?? 'it is empty'}. The value before it stays.`,
      );
    return { kind, id, version: SHAPE_VERSION, revision, savedAt: now(), ...edits, body: value };
  }

  /** @throws StoreError when there is a record of this name already */
  async function create<K extends Kind>(kind: K, id: string, body: Bodies[K]): Promise<Stored<K>> {
    return writing(async () => {
      if ((await storage.getItem(keyOf(kind, id))) !== null) {
        await get(kind, id);
        assertNotOld();
        throw new StoreError(TAKEN);
      }
      const record = prepared(kind, id, body);
      await assertThere(linksOfBody(kind, body));
      return put(record);
    });
  }

  /** @throws StoreError when what a record hangs on, or shows, is not there: another window has taken it away */
  async function assertThere(links: readonly Link[]): Promise<void> {
    const held = links.filter((l) => l.hold !== 'names');
    const found = await storage.getMany(held.map((l) => keyOf(l.kind, l.id)));
    const lost = held.find((l) => found[keyOf(l.kind, l.id)] == null);
    if (lost) throw new StoreError(GONE[lost.kind] ?? TAKEN);
  }

  /** A new record that is not written yet. @throws StoreError when the body does not pass its schema */
  const prepared = <K extends Kind>(kind: K, id: string, body: Bodies[K]): Stored<K> =>
    envelope(kind, id, body, 1, stamped({}, [], device()));

  async function put<K extends Kind>(record: Stored<K>): Promise<Stored<K>> {
    await storage.setItem(keyOf(record.kind, record.id), JSON.stringify(record));
    return record;
  }

  /**
   * Changes some fields of a record. Fields changed elsewhere meanwhile are kept; a field that was changed on both sides is a
   * conflict, unless `force` says that this change wins.
   *
   * @param base the body this window had when the user made the change
   */
  async function update<K extends Kind>(
    kind: K,
    id: string,
    base: Bodies[K],
    patch: Partial<Bodies[K]>,
    force = false,
  ): Promise<Stored<K>> {
    return updateFields(kind, id, { ...base }, { ...patch }, force);
  }

  /** As `update`, with fields as they come; what they make of the record is checked whole before it is written. */
  async function updateFields<K extends Kind>(
    kind: K,
    id: string,
    base: Readonly<Record<string, unknown>>,
    patch: Readonly<Record<string, unknown>>,
    force = false,
  ): Promise<Stored<K>> {
    return writing(async () => {
      const stored = await get(kind, id);
      assertNotOld();
      if (!stored)
        throw new StoreError(
          'This record was deleted in another window, so the change has no place to go. Copy what you typed before you leave.',
        );
      const now: Record<string, unknown> = { ...stored.body };
      const changed = Object.keys(patch).filter((field) => {
        const theirs = JSON.stringify(now[field]);
        return theirs !== JSON.stringify(base[field]) && theirs !== JSON.stringify(patch[field]);
      });
      if (changed.length > 0 && !force) {
        throw new ConflictError(
          `“${changed.join(', ')}” was changed in another window a moment ago. That change is kept and yours is not saved yet.`,
        );
      }
      const edits = stamped(stored, Object.keys(patch), device());
      const next = envelope(kind, id, { ...stored.body, ...patch }, stored.revision + 1, edits);
      const before = new Set(linksOfBody(kind, stored.body).map((l) => keyOf(l.kind, l.id)));
      await assertThere(linksOfBody(kind, next.body).filter((l) => !before.has(keyOf(l.kind, l.id))));
      return put(next);
    });
  }

  /** Writes records as they are, all in one transaction: all of them or none. */
  async function putAll(records: readonly AnyStored[]): Promise<void> {
    return writing(() =>
      storage.setMany(Object.fromEntries(records.map((r) => [keyOf(r.kind, r.id), JSON.stringify(r)]))),
    );
  }

  /**
   * Reads some texts and writes what follows from them, with nobody else in between: all of it or nothing.
   *
   * @param names of the texts, or how they are found out
   * @param change gives what is put under which name, and nothing for what goes
   */
  async function exchange(
    names: readonly string[] | (() => Promise<readonly string[]>),
    change: (now: Map<string, string>) => Record<string, string | undefined>,
  ): Promise<void> {
    return writing(async () => {
      const read = typeof names === 'function' ? await names() : names;
      const next = Object.entries(change(await texts(read)));
      const put = next.flatMap(([k, text]): [string, string][] => (text === undefined ? [] : [[k, text]]));
      if (put.length > 0) await storage.setMany(Object.fromEntries(put));
      const gone = next.filter(([, text]) => text === undefined).map(([k]) => k);
      if (gone.length > 0) await storage.removeMany(gone);
    });
  }

  return {
    list,
    listAll,
    get,
    create,
    prepared,
    update,
    updateFields,
    putAll,
    remove,
    removeChosen,
    restore,
    deleted,
    keys,
    texts,
    exchange,
    listAside,
  };
}
