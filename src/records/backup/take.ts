import type { JobContext } from '@/core/check';
import { readText } from '../migrate';
import { KINDS } from '../schemas';
import { asideName } from '../reading';
import type { Store } from '../store';
import type { AnyStored, Kind } from '../types';
import { LINKING, picturesOf } from '../links';
import { freshPictures, laidTogether, stateNames, stateOf, type Here, type TakeChoices } from './lay';
import type { Backup } from './read';

/** What was written under a name, and what stood there before; nothing where nothing stood or stands. So just that can be taken back. */
export type Written = { key: string; before?: string; after?: string };
export type Taken = { written: Written[]; pictures: string[]; aside: string[]; kinds: Kind[] };

/** Photos that are written at one time. */
const BATCH = 8;

/** What a file holds that cannot be read here, under its own name; what lies here already is not laid beside itself. */
async function newAsides(store: Store, backup: Backup): Promise<{ name: string; text: string }[]> {
  if (backup.aside.length === 0) return [];
  const same = ({ key, text }: { key: string; text: string }): string => `${key} ${text}`;
  const lying = new Set((await store.listAside()).map(same));
  const fresh = backup.aside.filter((a) => !lying.has(same(a)));
  return Promise.all(fresh.map(async (a) => ({ name: await asideName(a), text: JSON.stringify(a) })));
}

/**
 * Takes a backup in: first the photos that are not here yet, then all records at one time. A stop in between leaves photos that
 * nothing shows, and no record half written.
 *
 * @param at local time, and the name of this device, for what is made anew
 */
export async function takeBackup(
  store: Store,
  backup: Backup,
  choices: TakeChoices,
  at: Here,
  { signal, progress, beat }: JobContext = {},
): Promise<Taken> {
  const here = { ...at, beat };
  const before = await stateOf(store);
  const pictures = freshPictures(
    before,
    backup,
    laidTogether(before, backup, choices, here).standing,
    here.now,
  );
  for (let i = 0; i < pictures.length; i += BATCH) {
    signal?.throwIfAborted();
    progress?.(i / pictures.length);
    const some = await Promise.all(pictures.slice(i, i + BATCH).map((id) => backup.picture(id)));
    await store.putAll(some);
  }
  signal?.throwIfAborted();
  const asides = await newAsides(store, backup);
  let written: Written[] = [];
  let names = new Set<string>();
  await store.exchange(
    async () => {
      const state = await stateNames(store);
      names = state.names;
      return state.read;
    },
    (texts) => {
      const { next } = laidTogether({ names, texts }, backup, choices, here);
      written = [...next].map(([key, after]) => {
        const was = texts.get(key);
        return {
          key,
          ...(was === undefined ? {} : { before: was }),
          ...(after === undefined ? {} : { after }),
        };
      });
      return { ...Object.fromEntries(next), ...Object.fromEntries(asides.map((a) => [a.name, a.text])) };
    },
  );
  const kinds = KINDS.filter((kind) => written.some(({ key }) => key.startsWith(`${kind}/`)));
  return {
    written,
    pictures,
    aside: asides.map((a) => a.name),
    kinds: pictures.length > 0 ? [...new Set<Kind>([...kinds, 'picture'])] : kinds,
  };
}

/** A record as it was before, but for the fields that were changed since. */
function takenBack(before: AnyStored, after: AnyStored, now: AnyStored): AnyStored {
  const value = (r: AnyStored, field: string): unknown =>
    Object.entries(r.body).find(([f]) => f === field)?.[1];
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const fields = new Set([before, after, now].flatMap((r) => Object.keys(r.body)));
  const since = [...fields].filter((f) => !same(value(now, f), value(after, f)));
  const body = [...fields].flatMap((f): [string, unknown][] => {
    const kept = value(since.includes(f) ? now : before, f);
    return kept === undefined ? [] : [[f, kept]];
  });
  // What was taken back was not seen: the same file can be read in again.
  const edits = { ...before.edits };
  const seen = { ...before.seen };
  for (const f of since) {
    const edit = now.edits?.[f];
    if (!edit) continue;
    edits[f] = edit;
    seen[edit.by] = Math.max(edit.at, seen[edit.by] ?? 0);
  }
  const revision = now.revision + 1;
  const result = readText(JSON.stringify({ ...now, edits, seen, revision, body: Object.fromEntries(body) }));
  return result.ok ? result.record : now;
}

/** Takes back just what taking a backup in wrote. What was edited since stays, field by field. */
export async function takeBackupBack(store: Store, { written, pictures, aside }: Taken): Promise<void> {
  await store.exchange(
    written.map((w) => w.key),
    (texts) => {
      const next: Record<string, string | undefined> = {};
      for (const { key, before, after } of written) {
        const now = texts.get(key);
        if (now === after) next[key] = before;
        else if (now !== undefined && before !== undefined && after !== undefined) {
          const [b, a, n] = [before, after, now].map((text) => readText(text));
          if (b?.ok && a?.ok && n?.ok) next[key] = JSON.stringify(takenBack(b.record, a.record, n.record));
        }
      }
      for (const name of aside) next[name] = undefined;
      return next;
    },
  );
  const kept = new Set((await store.listAll(LINKING)).records.flatMap(picturesOf));
  await store.exchange([], () =>
    Object.fromEntries(pictures.filter((id) => !kept.has(id)).map((id) => [`picture/${id}`, undefined])),
  );
}
