import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { StoreError } from './errors';
import { goesWith, LINKING, picturesOf, pieceIdOf, withoutMissing } from './links';
import { markKey, markOf, marksIn, revived } from './marks';
import { mergedRecord } from './merge';
import { readText } from './migrate';
import { keyOf, type Reader } from './reading';
import type { AnyStored, Kind } from './types';
import { titleOf } from './words';

const STAYS_GONE =
  'What this belonged to was deleted meanwhile, so it cannot come back alone. Nothing was changed. Bring that back first.';
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

/** Takes records away with all that hangs on them, and puts them back. @param writing does a change alone, unless a newer version has been here */
export function createDeleter(
  storage: AsyncStorage,
  { load, texts }: Reader,
  {
    now,
    device,
    writing,
  }: { now: () => string; device: () => string; writing: <T>(work: () => Promise<T>) => Promise<T> },
) {
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

  return { remove, removeChosen, restore };
}
