import { goesWith } from '../links';
import { bothMarks, standing, type Mark, type Standing } from '../marks';
import type { AnyStored } from '../types';

/** What two devices know of the records: copies, and marks of what was deleted, by name. */
export type Known = { records: ReadonlyMap<string, AnyStored>; marks: ReadonlyMap<string, Mark> };

/** Something deleted on one side, of which the other knows a change that was made without knowing of it. */
export type Question = {
  key: string;
  title: string;
  /** Where it was deleted. */
  deleted: 'here' | 'there';
  /** All that comes or goes with the answer, itself among them. */
  with: string[];
};

export type Verdicts = {
  /** Of each record that was deleted on either side. */
  standing: ReadonlyMap<string, Standing>;
  questions: Question[];
};

/**
 * Holds the marks of each side against the copies of the other. Nothing is decided where neither side knew what the other did: that is
 * asked, for a thing together with all that hangs on it, so that nothing is left hanging on what is gone.
 */
export function verdictsOf(here: Known, there: Known): Verdicts {
  const verdict = new Map<string, Standing>();
  const side = new Map<string, 'here' | 'there'>();
  for (const [key, mark] of here.marks) {
    const record = there.records.get(key);
    if (!record || here.records.has(key)) continue;
    verdict.set(key, standing(record, mark));
    side.set(key, 'here');
  }
  for (const [key, mark] of there.marks) {
    const record = here.records.get(key);
    if (!record || there.records.has(key)) continue;
    verdict.set(key, standing(record, mark));
    side.set(key, 'there');
  }
  const copies = new Map([...here.records, ...there.records]);
  const stands = (key: string): Standing => verdict.get(key) ?? 'alive';
  // What lives on keeps what it hangs on from going unasked.
  for (let again = true; again;) {
    again = false;
    for (const [key, record] of copies) {
      if (stands(key) === 'deleted') continue;
      for (const parent of goesWith(record).filter((p) => stands(p) === 'deleted')) {
        verdict.set(parent, 'asked');
        again = true;
      }
    }
  }
  const hangs = new Map<string, string[]>();
  for (const [key, record] of copies)
    for (const parent of goesWith(record)) hangs.set(parent, [...(hangs.get(parent) ?? []), key]);
  const markFor = (key: string): Mark | undefined => here.marks.get(key) ?? there.marks.get(key);
  /** What went in one go with something; what had been deleted before it stays deleted. */
  const wentWith = (key: string, root: string): boolean =>
    side.get(key) === side.get(root) && markFor(key)?.deletedAt === markFor(root)?.deletedAt;
  const under = (key: string, root: string): string[] => {
    const own = stands(key) !== 'deleted' || wentWith(key, root) ? [key] : [];
    return [...new Set([...own, ...(hangs.get(key) ?? []).flatMap((k) => under(k, root))])];
  };
  const roots = [...verdict].filter(([key, s]) => {
    const record = copies.get(key);
    return s === 'asked' && record && goesWith(record).every((p) => stands(p) !== 'asked');
  });
  const questions = roots.map(([key]): Question => {
    return { key, title: markFor(key)?.title ?? key, deleted: side.get(key) ?? 'here', with: under(key, key) }; // prettier-ignore
  });
  return { standing: verdict, questions };
}

/** Marks of both sides laid together. */
export function allMarks(here: Known['marks'], there: Known['marks']): Map<string, Mark> {
  const all = new Map(here);
  for (const [key, mark] of there) {
    const own = all.get(key);
    all.set(key, own ? bothMarks(own, mark) : mark);
  }
  return all;
}
