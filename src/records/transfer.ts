import { parseJson } from '@/core/check';
import { readRecord } from './migrate';
import { SHAPE_VERSION } from './schemas';
import { linksOf } from './links';
import type { AnyStored } from './types';

export const FORMAT = 'rustic-lantern';
export const FORMAT_VERSION = 1;
/** A file larger than this is not read at all. */
export const MOST_FILE_BYTES = 150 * 1024 * 1024;

export type ImportSummary = { records: AnyStored[]; pieces: number; pictures: number };

/** Everything in one file: records and pictures. */
export function exportText(records: readonly AnyStored[], savedAt: string): string {
  return JSON.stringify({
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    shapeVersion: SHAPE_VERSION,
    savedAt,
    records,
  });
}

const plain = (bytes: number): string => `${Math.round(bytes / 1024 / 1024)} MB`;

/** @throws RangeError for a file that is too large to be read */
export function assertFileSize(bytes: number, name: string): void {
  if (bytes > MOST_FILE_BYTES) {
    throw new RangeError(
      `“${name}” has ${plain(bytes)}; up to ${plain(MOST_FILE_BYTES)} can be read. Nothing was changed.`,
    );
  }
  if (bytes === 0) throw new RangeError(`“${name}” is empty. Nothing was changed.`);
}

/**
 * Reads an export and validates it whole, before anything is written.
 *
 * @throws RangeError that says what is wrong; nothing has been changed then
 */
export function importText(text: string, name: string): ImportSummary {
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
        ? 'is cut off or damaged: it is not complete JSON. Export it again, or copy the file again.'
        : 'is not an export of this app: it is not JSON.',
    );
  }
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed) || parsed.format !== FORMAT) {
    return refuse('is not an export of this app.');
  }
  const version = 'formatVersion' in parsed ? parsed.formatVersion : undefined;
  if (typeof version !== 'number') return refuse('does not say which version wrote it.');
  if (version > FORMAT_VERSION)
    return refuse(
      `was written by a newer version of the app (format ${version}; this app reads ${FORMAT_VERSION}). Update the app first.`,
    );
  const list = 'records' in parsed ? parsed.records : undefined;
  if (!Array.isArray(list)) return refuse('holds no list of records.');
  if (list.length > 50_000) return refuse(`holds ${list.length} records; up to 50000 can be read.`);
  const seen = new Set<string>();
  const records = list.map((raw: unknown, i): AnyStored => {
    const result = readRecord(raw);
    if (!result.ok) return refuse(`has a bad record, number ${i + 1} of ${list.length}: ${result.reason}`);
    const key = `${result.record.kind}/${result.record.id}`;
    if (seen.has(key)) return refuse(`holds the record ${key} twice.`);
    seen.add(key);
    return result.record;
  });
  const missing = brokenLink(records);
  if (missing) return refuse(missing);
  return {
    records,
    pieces: records.filter((r) => r.kind === 'piece').length,
    pictures: records.filter((r) => r.kind === 'picture').length,
  };
}

/** A record that points at one that is not in the file. */
function brokenLink(records: readonly AnyStored[]): string | undefined {
  const have = new Set(records.map((r) => `${r.kind}/${r.id}`));
  for (const r of records) {
    const lost = linksOf(r)
      .map((l) => `${l.kind}/${l.id}`)
      .find((l) => !have.has(l));
    if (lost) return `is incomplete: ${r.kind} ${r.id} points at ${lost}, which is not in the file.`;
  }
  return undefined;
}
