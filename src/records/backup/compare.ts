import type { JobContext } from '@/core/check';
import { laterOf, mergedRecord, valueOf, type Side } from '../merge';
import type { Store } from '../store';
import type { AnyStored } from '../types';
import { counted, fieldWords, titleOf, valueWords } from '../words';
import { freshPictures, heldAgainst, keyOf, laidTogether, stateOf } from './lay';
import { countsOf, type Backup } from './read';
import type { Question } from './standing';
import type { Counts } from './write';

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
  /** Deleted on one side and changed on the other: kept unless something else is chosen. */
  questions: Question[];
  /** Goes here, because it was deleted there. */
  goes: string[];
  /** In the file, and stays away, because it was deleted here. */
  staysDeleted: string[];
  /** Came without something: “Top, Lectern comes without a photo”. */
  mended: string[];
  /** What has lost its piece. */
  adrift: { key: string; title: string }[];
  unreadable: { part: string; reason: string }[];
  aside: number;
};

/** What taking a backup in would do; nothing is written. */
export async function previewBackup(
  store: Store,
  backup: Backup,
  now: string,
  { beat }: JobContext = {},
): Promise<Preview> {
  const state = await stateOf(store);
  const { whole, adrift, mended, here, there, verdicts } = heldAgainst(state, backup, now, beat);
  const { standing } = laidTogether(state, backup, {}, { now, device: 'preview', beat });
  const pieces = new Map<string, string>();
  for (const r of [...here.values(), ...backup.records])
    if (r.kind === 'piece') pieces.set(r.id, r.body.name);
  const title = (r: AnyStored): string => titleOf(r, (id) => pieces.get(id));
  const byKey = new Map(backup.records.map((r) => [keyOf(r), r]));
  const asked = new Set(verdicts.questions.flatMap((q) => q.with));
  const deleted = (key: string): boolean => verdicts.standing.get(key) === 'deleted';
  const preview: Preview = {
    name: backup.name,
    savedAt: backup.savedAt,
    holds: backup.holds,
    counts: countsOf(backup.records, backup.pictures.length),
    fresh: [],
    newerThere: [],
    newerHere: [],
    same: 0,
    freshPictures: freshPictures(state, backup, standing, now).length,
    conflicts: [],
    questions: verdicts.questions,
    goes: [...here].filter(([key]) => deleted(key)).map(([, r]) => title(r)),
    staysDeleted: [...there].filter(([key]) => deleted(key)).map(([, r]) => title(r)),
    mended: mended.flatMap(({ key, without }) => {
      const record = byKey.get(key);
      return record ? [`${title(record)}: comes without ${without.map((k) => counted(k, 1).slice(2)).join(' and ')}, which is nowhere.`] : []; // prettier-ignore
    }),
    adrift: adrift.map((r) => ({ key: keyOf(r), title: title(r) })),
    unreadable: backup.unreadable,
    aside: backup.aside.length,
  };
  for (const theirs of whole) {
    beat?.();
    const key = keyOf(theirs);
    const mine = here.get(key);
    if (asked.has(key) || deleted(key)) continue;
    if (!mine) {
      if (state.names.has(key))
        preview.unreadable.push({ part: key, reason: 'Here it is of a newer version, or cannot be read; it is left as it is.' }); // prettier-ignore
      else preview.fresh.push(title(theirs));
      continue;
    }
    const { taken, conflicts } = mergedRecord(mine, theirs);
    for (const field of conflicts)
      preview.conflicts.push({
        key: `${key}.${field}`,
        title: title(mine),
        field: fieldWords(field),
        mine: valueWords(valueOf(mine, field)),
        theirs: valueWords(valueOf(theirs, field)),
        later: laterOf(mine, theirs, field),
      });
    const sure = taken.filter((f) => !conflicts.includes(f));
    const differs = JSON.stringify(mine.body) !== JSON.stringify(theirs.body);
    if (sure.length > 0) preview.newerThere.push(title(mine));
    else if (conflicts.length === 0 && differs) preview.newerHere.push(title(mine));
    else if (conflicts.length === 0) preview.same++;
  }
  return preview;
}
