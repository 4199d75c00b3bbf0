import type { JobContext } from '@/core/check';
import { newPiece } from '../defaults';
import { stamped } from '../edits';
import { readText } from '../migrate';
import { SHAPE_VERSION } from '../schemas';
import type { Store } from '../store';
import type { AnyStored, Kind, Stored } from '../types';
import { compared, keyOf, mergedRecord, readable, taking, type TakeChoices } from './compare';
import { picturesOf, SHOWING } from '../links';
import type { Backup } from './read';

/** What was written, so that just that can be taken back. */
export type Written = { key: string; before?: string; after: string };
export type Taken = { written: Written[]; pictures: string[]; aside: string[]; kinds: Kind[] };

/** Photos that are written at one time. */
const BATCH = 8;

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
  { now, device }: { now: string; device: string },
  { signal, progress }: JobContext = {},
): Promise<Taken> {
  const plan = await compared(store, backup);
  const emptyPiece: Stored<'piece'> = {
    kind: 'piece',
    id: 'found',
    version: SHAPE_VERSION,
    revision: 1,
    savedAt: now,
    ...stamped({}, [], device),
    body: newPiece('Found again', now),
  };
  const { come, choose } = taking(plan, choices, emptyPiece);
  for (let i = 0; i < plan.freshPictures.length; i += BATCH) {
    signal?.throwIfAborted();
    progress?.(i / plan.freshPictures.length);
    const some = await Promise.all(plan.freshPictures.slice(i, i + BATCH).map((id) => backup.picture(id)));
    await store.putAll(some);
  }
  signal?.throwIfAborted();
  const written: Written[] = [];
  const asides = backup.aside.map((entry, i) => {
    const text = JSON.stringify(entry);
    return { name: `aside/${entry.key.replace(/[^A-Za-z0-9_/-]/g, '_')}~${now}.${i}`, text };
  });
  await store.exchange(come.map(keyOf), (texts) => {
    written.length = 0;
    const here = readable(texts);
    for (const theirs of come) {
      const key = keyOf(theirs);
      const before = texts.get(key);
      const mine = here.get(key);
      // What is here and cannot be read here is not written over.
      if (before !== undefined && !mine) continue;
      const next = mine ? mergedRecord(mine, theirs, choose(key)).record : theirs;
      const after = JSON.stringify(next);
      if (after !== before) written.push({ key, after, ...(before === undefined ? {} : { before }) });
    }
    return Object.fromEntries([
      ...written.map((w) => [w.key, w.after]),
      ...asides.map((a) => [a.name, a.text]),
    ]);
  });
  const kinds = new Set(come.map((r) => r.kind));
  if (plan.freshPictures.length > 0) kinds.add('picture');
  return { written, pictures: plan.freshPictures, aside: asides.map((a) => a.name), kinds: [...kinds] };
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
        if (now === undefined) continue;
        if (now === after) next[key] = before;
        else if (before !== undefined) {
          const [b, a, n] = [before, after, now].map((text) => readText(text));
          if (b?.ok && a?.ok && n?.ok) next[key] = JSON.stringify(takenBack(b.record, a.record, n.record));
        }
      }
      for (const name of aside) next[name] = undefined;
      return next;
    },
  );
  const kept = new Set((await store.listAll(SHOWING)).records.flatMap(picturesOf));
  await store.exchange([], () =>
    Object.fromEntries(pictures.filter((id) => !kept.has(id)).map((id) => [`picture/${id}`, undefined])),
  );
}
