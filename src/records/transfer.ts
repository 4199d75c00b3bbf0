import { parseJson } from '@/core/check';
import { readRecord } from './migrate';
import type { SetAside } from './reading';
import type { AnyStored } from './types';

/** The single file of before: all records with their photos as one JSON text. It is read, and written no more. */
const FORMAT = 'rustic-lantern';
const FORMAT_VERSION = 1;
/** A file larger than this is not read at all. */
export const MOST_FILE_BYTES = 150 * 1024 * 1024;
/** No list of a file holds more. */
export const MOST_RECORDS = 50_000;

export type OldFile = {
  records: AnyStored[];
  savedAt: string;
  aside: SetAside[];
  unreadable: { part: string; reason: string }[];
};

const plain = (bytes: number): string => `${Math.round(bytes / 1024 / 1024)} MB`;

/** @throws RangeError for a file that is too large to be read */
export function assertFileSize(bytes: number, name: string): void {
  if (bytes > MOST_FILE_BYTES) {
    throw new RangeError(
      `“${name}” has ${plain(bytes)}; of the old kind of file up to ${plain(MOST_FILE_BYTES)} can be read. Nothing was changed.`,
    );
  }
}

/**
 * Reads a file of the old kind. Records that are whole come in; the others are set aside as they are.
 *
 * @throws RangeError when it is no such file
 */
export function importText(text: string, name: string): OldFile {
  const refuse = (why: string): never => {
    throw new RangeError(`“${name}” ${why} Nothing was changed.`);
  };
  let parsed: unknown;
  try {
    parsed = parseJson(text);
  } catch (error) {
    if (error instanceof RangeError) return refuse(`is not safe to read. ${error.message}`);
    return refuse(
      text.trimStart().startsWith('{')
        ? 'is cut off or damaged: it is not complete JSON. Save it again, or copy the file again.'
        : 'is no backup of this app.',
    );
  }
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed) || parsed.format !== FORMAT) {
    return refuse('is no backup of this app.');
  }
  const version = 'formatVersion' in parsed ? parsed.formatVersion : undefined;
  if (typeof version !== 'number') return refuse('does not say which version wrote it.');
  if (version > FORMAT_VERSION)
    return refuse(
      `was written by a newer version of the app (format ${version}; this app reads ${FORMAT_VERSION} of this kind). Reload this page to get the newer one first.`,
    );
  const list = 'records' in parsed ? parsed.records : undefined;
  if (!Array.isArray(list)) return refuse('holds no list of records.');
  if (list.length > MOST_RECORDS)
    return refuse(`holds ${list.length} records; up to ${MOST_RECORDS} can be read.`);
  const records = new Map<string, AnyStored>();
  const aside: SetAside[] = [];
  const unreadable: OldFile['unreadable'] = [];
  list.forEach((raw: unknown, i) => {
    const result = readRecord(raw);
    const part = `record ${i + 1} of ${list.length}`;
    if (!result.ok) {
      aside.push({ key: part, reason: result.reason, text: JSON.stringify(raw) });
      return;
    }
    const key = `${result.record.kind}/${result.record.id}`;
    if (records.has(key)) unreadable.push({ part, reason: `It holds ${key} twice; the first is taken.` });
    else records.set(key, result.record);
  });
  return {
    records: [...records.values()],
    savedAt: 'savedAt' in parsed ? String(parsed.savedAt).slice(0, 40) : '',
    aside,
    unreadable,
  };
}
