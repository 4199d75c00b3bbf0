import type { AnyStored, Edits } from './types';

/**
 * Who changed which field last, and what each copy of a record has seen. Every device counts its own changes of a record; a copy
 * that has seen a change of another device knows what came before it. So two copies can be laid together field by field without
 * looking at clocks, which run wrong.
 */
export function stamped(
  { edits = {}, seen = {} }: Edits,
  fields: readonly string[],
  device: string,
): Required<Edits> {
  const at = (seen[device] ?? 0) + 1;
  return {
    edits: { ...edits, ...Object.fromEntries(fields.map((f) => [f, { by: device, at }])) },
    seen: { ...seen, [device]: at },
  };
}

export type Newest = 'same' | 'mine' | 'theirs' | 'conflict';

const knows = ({ seen = {} }: Edits, edit: { by: string; at: number } | undefined): boolean =>
  edit === undefined || (seen[edit.by] ?? 0) >= edit.at;

/** Whose value of a field is the later one; a conflict where both were changed without knowing of each other. */
export function newestOf(mine: AnyStored, theirs: AnyStored, field: string): Newest {
  const valueOf = (r: AnyStored): string | undefined => JSON.stringify(Object.entries(r.body).find(([f]) => f === field)?.[1]); // prettier-ignore
  if (valueOf(mine) === valueOf(theirs)) return 'same';
  const mineKnows = knows(mine, theirs.edits?.[field]);
  const theyKnow = knows(theirs, mine.edits?.[field]);
  if (mineKnows === theyKnow) return 'conflict';
  return mineKnows ? 'mine' : 'theirs';
}

/** What two copies laid together have seen: the later of each count, and for each field the edit of the side it was taken from. */
export function mergedEdits(mine: Edits, theirs: Edits, fromThem: readonly string[]): Required<Edits> {
  const taken = fromThem.flatMap((f): [string, { by: string; at: number }][] => {
    const edit = theirs.edits?.[f];
    return edit ? [[f, edit]] : [];
  });
  return { edits: { ...mine.edits, ...Object.fromEntries(taken) }, seen: seenByBoth(mine.seen, theirs.seen) };
}

type Counts = Edits['seen'];

/** Whether one copy has seen everything that another has. */
export const sawAll = (one: Counts = {}, other: Counts = {}): boolean =>
  Object.entries(other).every(([device, at]) => (one[device] ?? 0) >= at);

/** What two copies have seen together. */
export const seenByBoth = (one: Counts = {}, other: Counts = {}): Record<string, number> => {
  const seen = { ...one };
  for (const [device, at] of Object.entries(other)) seen[device] = Math.max(at, seen[device] ?? 0);
  return seen;
};
