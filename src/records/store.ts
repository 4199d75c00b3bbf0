import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { parseJson } from '@/core/check';
import { stamped } from './edits';
import { ConflictError, NewerError, StoreError } from './errors';
import { goesWith, linksOfBody, LINKING, picturesOf, pieceIdOf, withoutMissing, type Link } from './links';
import { isMarkKey, markKey, markOf, marksIn, revived, type Mark } from './marks';
import { mergedRecord } from './merge';
import { readText, type ReadResult } from './migrate';
import { checksumOf } from './checksum';
import { BODY_SCHEMAS, KINDS, SHAPE_VERSION } from './schemas';
import type { AnyStored, Bodies, Edits, Kind, Stored } from './types';
import { titleOf } from './words';

/** A record that could not be read. It is kept as it was, can be exported, and never stops the app. */
export type SetAside = { key: string; reason: string; text: string };

const ASIDE = 'aside/';
const safeKey = (key: string): string => key.replace(/[^A-Za-z0-9_/-]/g, '_').slice(0, 140);
const ASIDE_HASH = 16;

/** Where something that was set aside lies: named by what it is, so that the same thing lies there once. */
export const asideName = async ({ key, text }: Pick<SetAside, 'key' | 'text'>): Promise<string> =>
  `${ASIDE}${safeKey(key)}~${(await checksumOf(new TextEncoder().encode(text))).slice(0, ASIDE_HASH)}`;

export type Loaded<K extends Kind> = { records: Stored<K>[]; unreadable: number };
export type LoadedAll = { records: AnyStored[]; unreadable: Partial<Record<Kind, number>> };

/** Runs a change alone: no other window reads or writes in between. */
export type Exclusively = <T>(work: () => Promise<T>) => Promise<T>;

export type Store = ReturnType<typeof createStore>;

/** Checking many records is done in slices, so that a page that is being used hardly waits for it. */
const SLICE_MS = 12;
const anotherTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));
const keyOf = (kind: Kind, id: string): string => `${kind}/${id}`;

const FULL =
  'The browser has no room left for this. Nothing that was saved before is lost. Export your work to a file, delete pictures you do not need, then try again.';

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
const STAYS_GONE =
  'What this belonged to was deleted meanwhile, so it cannot come back alone. Nothing was changed. Bring that back first.';
const TAKEN =
  'There is a record of this name already, so nothing was written over it. Reload the page and try again.';

function asStoreError(error: unknown): StoreError {
  if (error instanceof StoreError) return error;
  const message = error instanceof Error ? error.message : '';
  // A full IndexedDB rejects with QuotaExceededError or, through the storage package, with an empty message.
  if (message === '' || /quota|full|exceed/i.test(message)) return new StoreError(FULL);
  return new StoreError(
    `The browser's store did not take the change (${message}). What was saved before is safe. Reload the page and try again.`,
  );
}

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
    guard(() =>
      exclusively(async () => {
        assertNotOld();
        return work();
      }),
    );

  const guard = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work();
    } catch (error) {
      throw asStoreError(error);
    }
  };

  async function setAside(entries: { key: string; text: string; reason: string }[]): Promise<void> {
    if (entries.length === 0) return;
    // First the copy, then the original goes: a stop in between leaves both.
    const copies = await Promise.all(
      entries.map(async (e): Promise<[string, string]> => [await asideName(e), JSON.stringify(e)]),
    );
    await storage.setMany(Object.fromEntries(copies));
    await storage.removeMany(entries.map((e) => e.key));
    onAside();
  }

  /** All readable records of a kind; what cannot be read is set aside. A record of a newer app stays where it is. */
  async function list<K extends Kind>(kind: K): Promise<Loaded<K>> {
    return guard(async () => {
      const { records, unreadable } = await load([kind]);
      return { records: records.filter((r) => isOf(r, kind)), unreadable: unreadable[kind] ?? 0 };
    });
  }

  /** As `list`, of several kinds at one time: the store is gone through once, so that a change hardly has to wait for it. */
  async function listAll(kinds: readonly Kind[]): Promise<LoadedAll> {
    return guard(() => load(kinds));
  }

  /** What lay in the store and was found whole, beside the record it gave: the same text is not checked twice. */
  const known = new Map<Kind, ReadonlyMap<string, { text: string; record: AnyStored }>>();

  async function load(kinds: readonly Kind[]): Promise<LoadedAll> {
    const keys = (await storage.getAllKeys()).filter((k) => kinds.some((kind) => k.startsWith(`${kind}/`)));
    const texts = await storage.getMany(keys);
    const records: AnyStored[] = [];
    const bad: { key: string; text: string; reason: string }[] = [];
    const unreadable: LoadedAll['unreadable'] = {};
    const whole = new Map(
      kinds.map((kind) => [kind, new Map<string, { text: string; record: AnyStored }>()]),
    );
    let begun = performance.now();
    for (const key of keys) {
      const text = texts[key];
      if (text === null || text === undefined) continue;
      if (performance.now() - begun > SLICE_MS) {
        await anotherTurn();
        begun = performance.now();
      }
      const kind = kinds.find((k) => key.startsWith(`${k}/`));
      const before = kind && known.get(kind)?.get(key);
      const result: ReadResult = before?.text === text ? { ok: true, record: before.record } : readText(text);
      if (result.ok && keyOf(result.record.kind, result.record.id) === key) {
        records.push(result.record);
        // Pictures are large, and are seldom listed.
        if (kind && kind !== 'picture') whole.get(kind)?.set(key, { text, record: result.record });
      } else {
        if (kind) unreadable[kind] = (unreadable[kind] ?? 0) + 1;
        const reason = result.ok ? 'It lies under a name that is not its own.' : result.reason;
        if (result.ok || !result.newer) bad.push({ key, text, reason });
        else meetNewer();
      }
    }
    whole.forEach((found, kind) => known.set(kind, found));
    // Where there is no room for the copies they stay where they are, and hide nothing else.
    await setAside(bad).catch(() => undefined);
    return { records, unreadable };
  }

  async function get<K extends Kind>(kind: K, id: string): Promise<Stored<K> | undefined> {
    return guard(async () => {
      const text = await storage.getItem(keyOf(kind, id));
      if (text === null) return undefined;
      const result = readText(text);
      if (!result.ok && result.newer) meetNewer();
      return result.ok && isOf(result.record, kind) ? result.record : undefined;
    });
  }

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

  /** What goes with some records: whatever hangs on them, and the photos that nothing else shows. */
  function withWhatHangs(names: Iterable<string>, all: readonly AnyStored[]): Set<string> {
    const gone = new Set(names);
    const isGone = (r: AnyStored): boolean => gone.has(keyOf(r.kind, r.id));
    for (let before = -1; before !== gone.size;) {
      before = gone.size;
      for (const r of all) if (goesWith(r).some((name) => gone.has(name))) gone.add(keyOf(r.kind, r.id));
    }
    const stillShown = new Set(all.filter((r) => !isGone(r)).flatMap(picturesOf));
    for (const id of all.filter(isGone).flatMap(picturesOf))
      if (!stillShown.has(id)) gone.add(keyOf('picture', id));
    return gone;
  }

  /**
   * Removes records with all that hangs on them, whoever made it, and the photos that only they showed; what was removed comes back,
   * so that it can be undone. A mark of each stays.
   *
   * @param choose reads what is to be removed with nobody else in between, given what there is
   */
  async function removeChosen(
    choose: (all: readonly AnyStored[]) => Promise<readonly { kind: Kind; id: string }[]>,
  ): Promise<AnyStored[]> {
    return writing(async () => {
      const all = (await load(LINKING)).records;
      const refs = await choose(all);
      const keys = [
        ...withWhatHangs(
          refs.map((r) => keyOf(r.kind, r.id)),
          all,
        ),
      ];
      const found = [...(await texts(keys)).values()].flatMap((text): AnyStored[] => {
        const result = readText(text);
        return result.ok ? [result.record] : [];
      });
      const marks = await markTexts(found, all);
      // A full store takes the marks once there is room again.
      const isMarked = await storage.setMany(marks).then(
        () => true,
        () => false,
      );
      await storage.removeMany(keys);
      if (!isMarked) await storage.setMany(marks).catch(() => undefined);
      return found;
    });
  }

  const remove = (refs: readonly { kind: Kind; id: string }[]): Promise<AnyStored[]> =>
    removeChosen(async () => refs);

  /** Marks of deletion by this device, as they are stored. @param all records among which the pieces are found */
  async function markTexts(
    deleted: readonly AnyStored[],
    all: readonly AnyStored[],
  ): Promise<Record<string, string>> {
    const before = marksIn(await texts(deleted.map(markKey)));
    // What goes in one go carries one time.
    const at = now();
    const names = new Map(all.filter((r) => r.kind === 'piece').map((r) => [r.id, r.body.name]));
    return Object.fromEntries(
      deleted.map((r) => {
        const old = before.get(keyOf(r.kind, r.id));
        const pieceId = r.kind === 'piece' ? r.id : pieceIdOf(r);
        const title = titleOf(r, (id) => names.get(id));
        return [markKey(r), JSON.stringify(markOf(r, { title, now: at, device: device(), ...(pieceId === undefined ? {} : { pieceId }), ...(old ? { before: old } : {}) }))]; // prettier-ignore
      }),
    );
  }

  /**
   * Puts back what was removed. What has come back another way meanwhile, and was changed, keeps its changes field by field.
   *
   * @throws StoreError when what it belonged to is gone by now
   */
  async function restore(records: readonly AnyStored[]): Promise<void> {
    return writing(async () => {
      const names = records.map((r) => keyOf(r.kind, r.id));
      const there = await texts(names);
      const marks = marksIn(await texts(records.map(markKey)));
      const stored = new Set([...names, ...(await storage.getAllKeys())]);
      if (records.some((r) => goesWith(r).some((name) => !stored.has(name))))
        throw new StoreError(STAYS_GONE);
      const next = records.flatMap((r): [string, string][] => {
        const key = keyOf(r.kind, r.id);
        const found = readText(there.get(key) ?? '');
        // Something that cannot be read here is not written over.
        if (there.has(key) && !found.ok) return [];
        const whole = withoutMissing(r, (kind, id) => !stored.has(keyOf(kind, id)));
        const back = found.ok ? mergedRecord(found.record, whole).record : whole;
        return [[key, JSON.stringify(revived(back, marks.get(key), device()))]];
      });
      await storage.setMany(Object.fromEntries(next));
      await storage.removeMany(records.map(markKey));
    });
  }

  /** Names of all that is stored of records, and of what was set aside. */
  async function keys(): Promise<{ records: string[]; aside: string[]; deleted: string[] }> {
    return guard(async () => {
      const all = await storage.getAllKeys();
      return {
        records: all.filter((k) => KINDS.some((kind) => k.startsWith(`${kind}/`))).sort(),
        aside: all.filter((k) => k.startsWith(ASIDE)).sort(),
        deleted: all.filter(isMarkKey).sort(),
      };
    });
  }

  /** Texts as they are stored. */
  async function texts(names: readonly string[]): Promise<Map<string, string>> {
    return guard(async () => {
      const found = await storage.getMany([...names]);
      return new Map(names.flatMap((k): [string, string][] => (found[k] ? [[k, found[k]]] : [])));
    });
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

  /** Marks of what was deleted, by the names of the records they stand for. */
  const deleted = async (): Promise<Map<string, Mark>> => marksIn(await texts((await keys()).deleted));

  async function listAside(): Promise<SetAside[]> {
    return guard(async () => {
      const keys = (await storage.getAllKeys()).filter((k) => k.startsWith(ASIDE));
      const texts = await storage.getMany(keys);
      return keys.map((name) => {
        const text = texts[name] ?? '';
        const key = name.slice(ASIDE.length).replace(/~.*$/, '');
        try {
          const entry: unknown = parseJson(text);
          if (typeof entry === 'object' && entry !== null && 'reason' in entry && 'text' in entry) {
            const own = 'key' in entry && typeof entry.key === 'string' ? entry.key : key;
            return { key: own, reason: String(entry.reason), text: String(entry.text) };
          }
        } catch {
          // Falls through: shown as it is.
        }
        return { key, reason: 'It is not readable.', text };
      });
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

export function isOf<K extends Kind>(record: AnyStored, kind: K): record is AnyStored & Stored<K> {
  return record.kind === kind;
}
