import { mergedEdits, newestOf } from '../edits';
import { readText } from '../migrate';
import type { Store } from '../store';
import type { AnyStored, Kind, Stored } from '../types';
import { gathered, mend } from './mend';
import { countsOf, type Backup } from './read';
import type { Counts } from './write';
import { counted, fieldWords, titleOf, valueWords } from './words';

type Side = 'mine' | 'theirs';

/** A field that was changed on both sides since they parted. */
export type Conflict = {
  /** `kind/id.field`. */
  key: string;
  title: string;
  field: string;
  mine: string;
  theirs: string;
  /** By the clocks of the two devices: what is taken when nothing is chosen. */
  later: Side;
};

export type Preview = {
  name: string;
  savedAt: string;
  holds: Backup['holds'];
  counts: Counts;
  /** Records by what taking the file in does to them. */
  fresh: string[];
  newerThere: string[];
  newerHere: string[];
  same: number;
  freshPictures: number;
  conflicts: Conflict[];
  /** Came without something: “Top, Lectern comes without a photo”. */
  mended: string[];
  /** What has lost its piece. */
  adrift: { key: string; title: string }[];
  unreadable: { part: string; reason: string }[];
  aside: number;
};

export type TakeChoices = {
  /** By the key of a conflict. */
  fields?: Readonly<Record<string, Side>>;
  /** What is adrift is gathered under a new piece, or left out. */
  adrift?: 'gather' | 'leave';
};

export const keyOf = (r: { kind: Kind; id: string }): string => `${r.kind}/${r.id}`;

const fieldsOf = (a: AnyStored, b: AnyStored): string[] => [
  ...new Set([...Object.keys(a.body), ...Object.keys(b.body)]),
];
const valueOf = (r: AnyStored, field: string): unknown =>
  Object.entries(r.body).find(([f]) => f === field)?.[1];

/** What is stored under some names now. */
export const readable = (texts: ReadonlyMap<string, string>): Map<string, AnyStored> =>
  new Map(
    [...texts].flatMap(([key, text]): [string, AnyStored][] => {
      const result = readText(text);
      return result.ok ? [[key, result.record]] : [];
    }),
  );

/** One record of the file laid over the one here. */
export function mergedRecord(
  mine: AnyStored,
  theirs: AnyStored,
  choose: (field: string, later: Side) => Side,
): { record: AnyStored; taken: string[]; conflicts: string[] } {
  const later: Side = theirs.savedAt > mine.savedAt ? 'theirs' : 'mine';
  const conflicts: string[] = [];
  const taken = fieldsOf(mine, theirs).filter((field) => {
    const newest = newestOf(mine, theirs, field);
    if (newest === 'conflict') conflicts.push(field);
    return newest === 'theirs' || (newest === 'conflict' && choose(field, later) === 'theirs');
  });
  const sawMore = Object.entries(theirs.seen ?? {}).some(([device, at]) => at > (mine.seen?.[device] ?? 0));
  if (taken.length === 0 && !sawMore) return { record: mine, taken, conflicts };
  const kept = Object.entries(mine.body).filter(([f]) => !taken.includes(f));
  const come = Object.entries(theirs.body).filter(([f]) => taken.includes(f));
  const record = {
    ...mine,
    ...mergedEdits(mine, theirs, taken),
    revision: taken.length > 0 ? Math.max(mine.revision, theirs.revision) + 1 : mine.revision,
    savedAt: later === 'theirs' && taken.length > 0 ? theirs.savedAt : mine.savedAt,
    body: Object.fromEntries([...kept, ...come]),
  };
  const checked = readText(JSON.stringify(record));
  // Two whole halves that do not fit together: one side as it is, the later one.
  if (!checked.ok) return { record: later === 'theirs' ? theirs : mine, taken: later === 'theirs' ? fieldsOf(mine, theirs) : [], conflicts }; // prettier-ignore
  return { record: checked.record, taken, conflicts };
}

/** Everything that taking a backup in comes to, worked out against what is stored. */
export async function compared(store: Store, backup: Backup) {
  const names = await store.keys();
  const stored = new Set(names.records);
  const inFile = new Set(backup.pictures.map((id) => `picture/${id}`));
  const { whole, adrift, mended } = mend(backup.records, (key) => stored.has(key) || inFile.has(key));
  const here = readable(await store.texts(backup.records.map(keyOf).filter((k) => stored.has(k))));
  const freshPictures = backup.pictures.filter((id) => !stored.has(`picture/${id}`));
  return { whole, adrift, mended, here, freshPictures, stored };
}

/** What taking a backup in would do; nothing is written. */
export async function previewBackup(store: Store, backup: Backup): Promise<Preview> {
  const { whole, adrift, mended, here, freshPictures, stored } = await compared(store, backup);
  const pieces = new Map<string, string>();
  for (const r of [...here.values(), ...backup.records])
    if (r.kind === 'piece') pieces.set(r.id, r.body.name);
  const title = (r: AnyStored): string => titleOf(r, (id) => pieces.get(id));
  const byKey = new Map(backup.records.map((r) => [keyOf(r), r]));
  const preview: Preview = {
    name: backup.name,
    savedAt: backup.savedAt,
    holds: backup.holds,
    counts: countsOf(backup.records, backup.pictures.length),
    fresh: [],
    newerThere: [],
    newerHere: [],
    same: 0,
    freshPictures: freshPictures.length,
    conflicts: [],
    mended: mended.flatMap(({ key, without }) => {
      const record = byKey.get(key);
      return record ? [`${title(record)}: comes without ${without.map((k) => counted(k, 1).slice(2)).join(' and ')}, which is nowhere.`] : []; // prettier-ignore
    }),
    adrift: adrift.map((r) => ({ key: keyOf(r), title: title(r) })),
    unreadable: backup.unreadable,
    aside: backup.aside.length,
  };
  for (const theirs of whole) {
    const key = keyOf(theirs);
    const mine = here.get(key);
    if (!mine) {
      if (stored.has(key))
        preview.unreadable.push({ part: key, reason: 'Here it is of a newer version, or cannot be read; it is left as it is.' }); // prettier-ignore
      else preview.fresh.push(title(theirs));
      continue;
    }
    const { taken, conflicts } = mergedRecord(mine, theirs, (_, later) => later);
    const later: Side = theirs.savedAt > mine.savedAt ? 'theirs' : 'mine';
    for (const field of conflicts)
      preview.conflicts.push({
        key: `${key}.${field}`,
        title: title(mine),
        field: fieldWords(field),
        mine: valueWords(valueOf(mine, field)),
        theirs: valueWords(valueOf(theirs, field)),
        later,
      });
    const sure = taken.filter((f) => !conflicts.includes(f));
    const differs = JSON.stringify(mine.body) !== JSON.stringify(theirs.body);
    if (sure.length > 0) preview.newerThere.push(title(mine));
    else if (conflicts.length === 0 && differs) preview.newerHere.push(title(mine));
    else if (conflicts.length === 0) preview.same++;
  }
  return preview;
}

const FOUND = 'Found again';

/** A piece for what has lost its own. */
const foundPiece = (id: string, number: number, like: Stored<'piece'>): Stored<'piece'> => ({
  ...like,
  id,
  body: { ...like.body, name: number === 1 ? FOUND : `${FOUND} ${number}` },
});

/** The records that are taken in, each as it will be written. */
export function taking(
  { whole, adrift }: Pick<Awaited<ReturnType<typeof compared>>, 'whole' | 'adrift'>,
  { fields = {}, adrift: lost = 'gather' }: TakeChoices,
  emptyPiece: Stored<'piece'>,
): { come: AnyStored[]; choose: (key: string) => (field: string, later: Side) => Side } {
  const found = lost === 'gather' ? gathered(adrift, (id, n) => foundPiece(id, n, emptyPiece)) : [];
  return {
    come: [...whole, ...found],
    choose: (key) => (field, later) => fields[`${key}.${field}`] ?? later,
  };
}
