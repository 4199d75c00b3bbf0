import { mutate } from 'swr';
import { parseJson } from '@/core/check';
import { upperFirst } from '@/core/terms';
import { browserStore, newId } from './browserStore';
import { changed, listKey, noteHeld, type Held } from './changes';
import { ConflictError } from './errors';
import { KINDS } from './schemas';
import type { Loaded } from './reading';
import type { Bodies, Kind, Stored } from './types';
import { fieldWords, titleOf, valueWords } from './words';

/** A change is shown before it is written. Until it is, it stands here, where a page that is closed or loaded anew cannot lose it. */
const PREFIX = 'rustic-lantern.pending.';
/** A change of more letters than this is not noted: it would not fit beside others. */
const MOST_LETTERS = 200_000;

const box = (): Storage | undefined => (typeof localStorage === 'undefined' ? undefined : localStorage);

type Fields = Record<string, unknown>;
type Note = { key: string; kind: Kind; id: string; base: Fields; patch: Fields };

/** What is taken away has no value that JSON could carry. */
function noteText({ kind, id, base, patch }: Omit<Note, 'key'>): string {
  const gone = Object.keys(patch).filter((f) => patch[f] === undefined);
  return JSON.stringify({ kind, id, base, patch, gone });
}

/** Notes a change that is about to be written; the returned function takes the note away when it is. */
export function notePending<K extends Kind>(record: Stored<K>, patch: Partial<Bodies[K]>): () => void {
  const key = `${PREFIX}${newId()}`;
  const fields = Object.keys(patch) as (keyof Bodies[K])[];
  const base = Object.fromEntries(fields.map((f) => [f, record.body[f]]));
  const text = noteText({ kind: record.kind, id: record.id, base, patch: { ...patch } });
  if (text.length > MOST_LETTERS) return () => undefined;
  try {
    box()?.setItem(key, text);
  } catch {
    // No room for a note: the change is written all the same.
  }
  return () => box()?.removeItem(key);
}

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function readNote(key: string): Note | undefined {
  try {
    const note = parseJson(box()?.getItem(key) ?? '');
    if (!isFields(note)) return undefined;
    const { kind, id, base, patch, gone } = note;
    const known = KINDS.find((k) => k === kind);
    if (!known || typeof id !== 'string' || !Array.isArray(gone) || !gone.every((g) => typeof g === 'string'))
      return undefined;
    if (!isFields(base) || !isFields(patch)) return undefined;
    return { key, kind: known, id, base, patch: { ...patch, ...Object.fromEntries(gone.map((g) => [g, undefined])) } }; // prettier-ignore
  } catch {
    return undefined;
  }
}

/** What an earlier page noted and could not finish, until it is written or let go. */
let notes: Note[] = [];
const problems = new Map<string, { problem: string; conflict: boolean }>();

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const isOn = (note: Note, record: Stored<Kind>): boolean => note.kind === record.kind && note.id === record.id; // prettier-ignore

/** Fields of a note that nobody has changed since: the text stands in its field though it is not saved yet. */
const openFields = (note: Note, body: Fields): string[] =>
  Object.keys(note.patch).filter((f) => same(body[f], note.base[f]));

/** A list as it would be if all notes were written. */
export function withNotes<K extends Kind>(list: Loaded<K>): Loaded<K> {
  if (notes.length === 0) return list;
  return {
    ...list,
    records: list.records.map((record) =>
      notes
        .filter((n) => isOn(n, record))
        .reduce((r, n) => {
          const open = openFields(n, { ...r.body });
          const typed = Object.fromEntries(open.map((f) => [f, n.patch[f]]));
          return open.length > 0 ? { ...r, body: { ...r.body, ...typed } } : r;
        }, record),
    ),
  };
}

/** What a change starts from: the record as it is stored, where a page shows what was typed over it and is not saved yet. */
export function storedUnder<K extends Kind>(record: Stored<K>): Bodies[K] {
  const under = notes.filter((n) => isOn(n, record)).reverse();
  return under.reduce((body, n) => {
    const shown: Fields = { ...body };
    const open = Object.keys(n.patch).filter((f) => same(shown[f], n.patch[f]));
    return { ...body, ...Object.fromEntries(open.map((f) => [f, n.base[f]])) };
  }, record.body);
}

function drop(note: Note): void {
  box()?.removeItem(note.key);
  notes = notes.filter((n) => n.key !== note.key);
  problems.delete(note.key);
}

/** Fields of a record that were written: what was noted of them before is over. */
export function settled(record: Stored<Kind>, fields: readonly string[]): void {
  for (const note of notes.filter((n) => isOn(n, record))) {
    const rest = Object.keys(note.patch).filter((f) => !fields.includes(f));
    if (rest.length === Object.keys(note.patch).length) continue;
    if (rest.length === 0) drop(note);
    else {
      note.patch = Object.fromEntries(rest.map((f) => [f, note.patch[f]]));
      box()?.setItem(note.key, noteText(note));
    }
  }
  void tell();
}

async function heldOf(note: Note): Promise<Held[]> {
  const trouble = problems.get(note.key);
  if (!trouble) return [];
  const found = await browserStore.listAll([note.kind]).catch(() => undefined);
  const record = found?.records.find((r) => r.id === note.id);
  const title = record ? titleOf(record, () => undefined) : 'Something that was deleted';
  const what = Object.entries(note.patch).map(([f, v]) => `${upperFirst(fieldWords(f))}: ${valueWords(v)}`);
  const [text] = Object.values(note.patch).filter((v) => typeof v === 'string');
  return [
    { key: note.key, title, what, gone: !record, ...trouble, ...(typeof text === 'string' ? { text } : {}) },
  ];
}

const tell = async (): Promise<void> => noteHeld((await Promise.all(notes.map(heldOf))).flat());

async function write(note: Note, force: boolean): Promise<boolean> {
  try {
    await browserStore.updateFields(note.kind, note.id, note.base, note.patch, force);
    drop(note);
    return true;
  } catch (error) {
    const problem = error instanceof Error ? error.message : String(error);
    problems.set(note.key, { problem, conflict: error instanceof ConflictError });
    return false;
  }
}

async function writeAll(some: readonly Note[], force: boolean): Promise<void> {
  const written = new Set<Kind>();
  for (const note of some) if (await write(note, force)) written.add(note.kind);
  if (written.size > 0) {
    await Promise.all([...written].map((kind) => mutate(listKey(kind))));
    await changed([...written]);
  }
  await tell();
}

/**
 * Takes up what an earlier page noted and could not finish, and writes it. What cannot be written stays noted, stands in its field, and
 * is told; a field that was changed since keeps its later value until somebody says otherwise. Only what is no change of a record is thrown away.
 */
export async function writePending(): Promise<void> {
  takeUp();
  await writeAll(notes, false);
}

function takeUp(): void {
  const storage = box();
  if (!storage) return;
  notes = Object.keys(storage)
    .filter((k) => k.startsWith(PREFIX))
    .flatMap((key) => {
      const note = readNote(key);
      if (!note) storage.removeItem(key);
      return note ?? [];
    });
}

let begun: Promise<void> | undefined;
/** Begun once for every page that is loaded, before anything is read; reading does not wait until it is done. */
export function beginPending(): Promise<void> {
  return (begun ??= writePending());
}

/** Nobody waits longer for what an earlier page could not finish. */
const PATIENCE_MS = 3000;

/** What was noted is written before everything is saved to a file, as far as it can be. */
export const pendingTried = (): Promise<unknown> =>
  Promise.race([beginPending(), new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))]);

/** Writes what was held, over what was changed meanwhile. */
export const saveHeld = (key: string): Promise<void> => writeAll(notes.filter((n) => n.key === key), true); // prettier-ignore

/** Lets go of what was held; the returned function holds it again. */
export async function letGoHeld(key: string): Promise<() => Promise<void>> {
  const [note] = notes.filter((n) => n.key === key);
  if (!note) return async () => undefined;
  const trouble = problems.get(key);
  drop(note);
  await Promise.all([mutate(listKey(note.kind)), tell()]);
  return async () => {
    notes = [...notes, note];
    if (trouble) problems.set(key, trouble);
    box()?.setItem(key, noteText(note));
    await Promise.all([mutate(listKey(note.kind)), tell()]);
  };
}
