import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { parseJson } from '@/core/check';
import { checksumOf } from './checksum';
import { guarded } from './guard';
import { isMarkKey, marksIn, type Mark } from './marks';
import { readText, type ReadResult } from './migrate';
import { KINDS } from './schemas';
import type { AnyStored, Kind, Stored } from './types';

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

/** Checking many records is done in slices, so that a page that is being used hardly waits for it. */
const SLICE_MS = 12;
const anotherTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));
/** Where a record lies. */
export const keyOf = (kind: Kind, id: string): string => `${kind}/${id}`;

export function isOf<K extends Kind>(record: AnyStored, kind: K): record is AnyStored & Stored<K> {
  return record.kind === kind;
}

export type Reader = ReturnType<typeof createReader>;

/**
 * Reads records out of AsyncStorage: checked on every read. What cannot be read is set aside; a record of a newer version of the
 * app stays where it is.
 */
export function createReader(
  storage: AsyncStorage,
  { onNewer, onAside }: { onNewer: () => void; onAside: () => void },
) {
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
    return guarded(async () => {
      const { records, unreadable } = await load([kind]);
      return { records: records.filter((r) => isOf(r, kind)), unreadable: unreadable[kind] ?? 0 };
    });
  }

  /** As `list`, of several kinds at one time: the store is gone through once, so that a change hardly has to wait for it. */
  async function listAll(kinds: readonly Kind[]): Promise<LoadedAll> {
    return guarded(() => load(kinds));
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
        else onNewer();
      }
    }
    whole.forEach((found, kind) => known.set(kind, found));
    // Where there is no room for the copies they stay where they are, and hide nothing else.
    await setAside(bad).catch(() => undefined);
    return { records, unreadable };
  }

  async function get<K extends Kind>(kind: K, id: string): Promise<Stored<K> | undefined> {
    return guarded(async () => {
      const text = await storage.getItem(keyOf(kind, id));
      if (text === null) return undefined;
      const result = readText(text);
      if (!result.ok && result.newer) onNewer();
      return result.ok && isOf(result.record, kind) ? result.record : undefined;
    });
  }

  /** Names of all that is stored of records, and of what was set aside. */
  async function keys(): Promise<{ records: string[]; aside: string[]; deleted: string[] }> {
    return guarded(async () => {
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
    return guarded(async () => {
      const found = await storage.getMany([...names]);
      return new Map(names.flatMap((k): [string, string][] => (found[k] ? [[k, found[k]]] : [])));
    });
  }

  /** Marks of what was deleted, by the names of the records they stand for. */
  const deleted = async (): Promise<Map<string, Mark>> => marksIn(await texts((await keys()).deleted));

  async function listAside(): Promise<SetAside[]> {
    return guarded(async () => {
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

  return { list, listAll, load, get, keys, texts, deleted, listAside };
}
