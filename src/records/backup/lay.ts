import { newPiece } from '../defaults';
import { stamped } from '../edits';
import { picturesOf } from '../links';
import { asOldHere, isMarkKey, isOver, markKey, markOf, marksIn, revived, type Mark } from '../marks';
import { mergedRecord, type Side } from '../merge';
import { readText } from '../migrate';
import { SHAPE_VERSION } from '../schemas';
import type { Store } from '../store';
import type { AnyStored, Kind, Stored } from '../types';
import { titleOf } from '../words';
import { gathered, mend } from './mend';
import type { Backup } from './read';
import { allMarks, verdictsOf, type Question } from './standing';

export const keyOf = (r: { kind: Kind; id: string }): string => `${r.kind}/${r.id}`;

export type TakeChoices = {
  /** By the key of a conflict. */
  fields?: Readonly<Record<string, Side>>;
  /** What is adrift is gathered under a new piece, or left out. */
  adrift?: 'gather' | 'leave';
  /** By the key of a question: what was deleted on one side is kept, with all that hangs on it, or deleted on both. */
  deleted?: Readonly<Record<string, 'keep' | 'delete'>>;
  /** What was deleted here and is in the file: it stays away, or is brought back. */
  gone?: 'stay' | 'back';
};

/** What is stored: names of everything, texts of all but photos. */
export type State = { names: ReadonlySet<string>; texts: ReadonlyMap<string, string> };

const isPictureKey = (key: string): boolean => key.startsWith('picture/');

/** Names of what is read to lay a file over what is here. */
export async function stateNames(store: Store): Promise<{ names: Set<string>; read: string[] }> {
  const { records, deleted } = await store.keys();
  return { names: new Set(records), read: [...records.filter((k) => !isPictureKey(k)), ...deleted] };
}

export async function stateOf(store: Store): Promise<State> {
  const { names, read } = await stateNames(store);
  return { names, texts: await store.texts(read) };
}

const readable = (texts: ReadonlyMap<string, string>, beat?: () => void): Map<string, AnyStored> =>
  new Map(
    [...texts].flatMap(([key, text]): [string, AnyStored][] => {
      if (isMarkKey(key)) return [];
      beat?.();
      const result = readText(text);
      return result.ok ? [[key, result.record]] : [];
    }),
  );

/** A file held against what is stored; nothing is decided yet. */
export function heldAgainst({ names, texts }: State, backup: Backup, now: string, beat?: () => void) {
  const inFile = new Set(backup.pictures.map((id) => `picture/${id}`));
  const { whole, adrift, mended } = mend(backup.records, (key) => names.has(key) || inFile.has(key));
  const here = readable(texts, beat);
  const there = new Map(whole.map((r) => [keyOf(r), r]));
  const without = (marks: ReadonlyMap<string, Mark>, records: ReadonlyMap<string, unknown>) =>
    new Map([...marks].filter(([key, mark]) => !records.has(key) && !isOver(mark, now)));
  const marksHere = without(marksIn(new Map([...texts].filter(([key]) => isMarkKey(key)))), here);
  const marksThere = without(
    new Map(backup.deleted.map((m) => [keyOf(m), asOldHere(m, backup.savedAt, now)])),
    new Map(backup.records.map((r) => [keyOf(r), r])),
  );
  const verdicts = verdictsOf({ records: here, marks: marksHere }, { records: there, marks: marksThere });
  return { whole, adrift, mended, here, there, marksHere, marksThere, verdicts };
}

export type Held = ReturnType<typeof heldAgainst>;

/** Of everything that was deleted on one side, whether it stands in the end; and what of it was asked. */
function decided({ verdicts, there }: Held, choices: TakeChoices) {
  const stands = new Map<string, boolean>();
  const asked = new Set<string>();
  for (const [key, s] of verdicts.standing) {
    const isBack = s === 'deleted' && choices.gone === 'back' && there.has(key);
    stands.set(key, s !== 'deleted' || isBack);
    if (isBack) asked.add(key);
  }
  const answer = (q: Question): boolean => choices.deleted?.[q.key] !== 'delete';
  for (const q of verdicts.questions)
    for (const key of q.with) {
      stands.set(key, answer(q));
      asked.add(key);
    }
  return { stands: (key: string): boolean => stands.get(key) ?? true, asked };
}

const FOUND = 'Found again';

/** A piece for what has lost its own. */
const foundPiece = (id: string, number: number, now: string, device: string): Stored<'piece'> => ({
  kind: 'piece',
  id,
  version: SHAPE_VERSION,
  revision: 1,
  savedAt: now,
  ...stamped({}, [], device),
  body: newPiece(number === 1 ? FOUND : `${FOUND} ${number}`, now),
});

/** Who takes in, and when by its clock; and how it says that it goes on. */
export type Here = { now: string; device: string; beat?: (() => void) | undefined };

/**
 * Everything that laying a file over what is stored writes: records, marks of what was deleted, and nothing for what goes.
 *
 * @returns texts by name, only where they change; and the records that stand in the end
 */
export function laidTogether(
  state: State,
  backup: Backup,
  choices: TakeChoices,
  { now, device, beat }: Here,
): { next: Map<string, string | undefined>; standing: Map<string, AnyStored> } {
  const held = heldAgainst(state, backup, now, beat);
  const { stands, asked } = decided(held, choices);
  const found =
    choices.adrift === 'leave' ? [] : gathered(held.adrift, (id, n) => foundPiece(id, n, now, device));
  const marks = allMarks(held.marksHere, held.marksThere);
  const next = new Map<string, string | undefined>();
  const standing = new Map(held.here);
  const names = new Map([...held.here.values(), ...held.whole].flatMap((r): [string, string][] => r.kind === 'piece' ? [[r.id, r.body.name]] : [])); // prettier-ignore
  const put = (key: string, text: string | undefined): void => {
    if (state.texts.get(key) !== text) next.set(key, text);
  };
  const goes = (key: string, record: AnyStored): void => {
    standing.delete(key);
    if (held.here.has(key)) put(key, undefined);
    const before = marks.get(key);
    const title = titleOf(record, (id) => names.get(id));
    if (asked.has(key) || !before)
      marks.set(key, markOf(record, { title, now, device, ...(before ? { before } : {}) }));
  };
  for (const theirs of [...held.whole, ...found]) {
    const key = keyOf(theirs);
    const mine = held.here.get(key);
    if (!stands(key)) {
      goes(key, theirs);
      continue;
    }
    // What is here and cannot be read here is not written over.
    if (!mine && state.texts.has(key)) continue;
    const choose = (field: string, later: Side): Side => choices.fields?.[`${key}.${field}`] ?? later;
    const laid = mine ? mergedRecord(mine, theirs, choose).record : theirs;
    const record = asked.has(key) ? revived(laid, marks.get(key), device) : laid;
    standing.set(key, record);
    marks.delete(key);
    put(key, JSON.stringify(record));
  }
  for (const [key, mine] of held.here) {
    if (held.there.has(key)) continue;
    if (!stands(key)) goes(key, mine);
    else if (asked.has(key)) {
      const record = revived(mine, marks.get(key), device);
      standing.set(key, record);
      put(key, JSON.stringify(record));
    }
  }
  for (const [key, mark] of marks) if (!standing.has(key)) put(markKey(mark), JSON.stringify(mark));
  // A mark goes when what it stood for is back, or its year is over.
  for (const key of state.texts.keys()) {
    if (!isMarkKey(key)) continue;
    const name = key.slice(key.indexOf('/') + 1);
    if (standing.has(name) || !marks.has(name)) put(key, undefined);
  }
  return { next, standing };
}

/** Photos of a file that are not here and that something shows in the end; those that nothing shows come too, unless they were put away here. */
export function freshPictures(
  state: State,
  backup: Backup,
  standing: ReadonlyMap<string, AnyStored>,
  now: string,
): string[] {
  const shown = new Set([...standing.values()].flatMap(picturesOf));
  const putAway = heldAgainst(state, backup, now).marksHere;
  return backup.pictures.filter(
    (id) => !state.names.has(`picture/${id}`) && (shown.has(id) || !putAway.has(`picture/${id}`)),
  );
}
