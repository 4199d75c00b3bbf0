import { mergedEdits, newestOf } from './edits';
import { readText } from './migrate';
import type { AnyStored } from './types';

export type Side = 'mine' | 'theirs';

const fieldsOf = (a: AnyStored, b: AnyStored): string[] => [
  ...new Set([...Object.keys(a.body), ...Object.keys(b.body)]),
];
export const valueOf = (r: AnyStored, field: string): unknown =>
  Object.entries(r.body).find(([f]) => f === field)?.[1];

/** Which side of a field both have changed is marked beforehand: the later by the clocks, and where these are alike the same one on either device. */
export function laterOf(mine: AnyStored, theirs: AnyStored, field: string): Side {
  if (mine.savedAt !== theirs.savedAt) return theirs.savedAt > mine.savedAt ? 'theirs' : 'mine';
  const text = (r: AnyStored): string => JSON.stringify(valueOf(r, field)) ?? '';
  return text(theirs) > text(mine) ? 'theirs' : 'mine';
}

/** One copy of a record laid over another, field by field. @param choose for fields that both have changed */
export function mergedRecord(
  mine: AnyStored,
  theirs: AnyStored,
  choose: (field: string, later: Side) => Side = (_, later) => later,
): { record: AnyStored; taken: string[]; conflicts: string[] } {
  const conflicts: string[] = [];
  const taken = fieldsOf(mine, theirs).filter((field) => {
    const newest = newestOf(mine, theirs, field);
    if (newest === 'conflict') conflicts.push(field);
    return (
      newest === 'theirs' ||
      (newest === 'conflict' && choose(field, laterOf(mine, theirs, field)) === 'theirs')
    );
  });
  const sawMore = Object.entries(theirs.seen ?? {}).some(([device, at]) => at > (mine.seen?.[device] ?? 0));
  if (taken.length === 0 && !sawMore) return { record: mine, taken, conflicts };
  const kept = Object.entries(mine.body).filter(([f]) => !taken.includes(f));
  const come = Object.entries(theirs.body).filter(([f]) => taken.includes(f));
  const later: Side = theirs.savedAt > mine.savedAt ? 'theirs' : 'mine';
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
