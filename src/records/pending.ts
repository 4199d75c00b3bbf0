import { parseJson } from '@/core/check';
import { browserStore, newId } from './browserStore';
import { changed } from './changes';
import { KINDS } from './schemas';
import type { Bodies, Kind, Stored } from './types';

/** A change is shown before it is written. Until it is, it stands here, where a page that is closed or loaded anew cannot lose it. */
const PREFIX = 'rustic-lantern.pending.';
/** A change of more letters than this is not noted: it would not fit beside others. */
const MOST_LETTERS = 200_000;

const notes = (): Storage | undefined => (typeof localStorage === 'undefined' ? undefined : localStorage);

/** Notes a change that is about to be written; the returned function takes the note away when it is. */
export function notePending<K extends Kind>(record: Stored<K>, patch: Partial<Bodies[K]>): () => void {
  const key = `${PREFIX}${newId()}`;
  const fields = Object.keys(patch) as (keyof Bodies[K])[];
  const base = Object.fromEntries(fields.map((f) => [f, record.body[f]]));
  // What is taken away has no value that JSON could carry.
  const gone = fields.filter((f) => patch[f] === undefined);
  const text = JSON.stringify({ kind: record.kind, id: record.id, base, patch, gone });
  if (text.length > MOST_LETTERS) return () => undefined;
  try {
    notes()?.setItem(key, text);
  } catch {
    // No room for a note: the change is written all the same.
  }
  return () => notes()?.removeItem(key);
}

type Fields = Record<string, unknown>;
type Note = { kind: Kind; id: string; base: Fields; patch: Fields; gone: string[] };

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function readNote(text: string | null): Note | undefined {
  try {
    const note = parseJson(text ?? '');
    if (!isFields(note)) return undefined;
    const { kind, id, base, patch, gone } = note;
    const known = KINDS.find((k) => k === kind);
    if (!known || typeof id !== 'string' || !Array.isArray(gone) || !gone.every((g) => typeof g === 'string'))
      return undefined;
    if (!isFields(base) || !isFields(patch)) return undefined;
    return { kind: known, id, base, patch, gone };
  } catch {
    return undefined;
  }
}

/**
 * Writes what an earlier page noted and could not finish. A field that was changed since keeps its later value; a note that is no
 * change of a record is thrown away.
 */
export async function writePending(): Promise<void> {
  const storage = notes();
  if (!storage) return;
  const keys = Object.keys(storage).filter((k) => k.startsWith(PREFIX));
  const written = new Set<Kind>();
  for (const key of keys) {
    const note = readNote(storage.getItem(key));
    if (note) {
      const { kind, id, base, patch, gone } = note;
      const whole = { ...patch, ...Object.fromEntries(gone.map((g) => [g, undefined])) };
      await browserStore.updateFields(kind, id, base, whole).then(
        () => written.add(kind),
        () => undefined,
      );
    }
    storage.removeItem(key);
  }
  if (written.size > 0) await changed([...written]);
}

let begun: Promise<void> | undefined;
/** Once for every page that is loaded, before anything is read. */
export const pendingWritten = (): Promise<void> => (begun ??= writePending());
