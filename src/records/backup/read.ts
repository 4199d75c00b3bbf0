import { itemsOf, parseJson, type JobContext } from '@/core/check';
import { readMark, type Mark } from '../marks';
import { readRecord, readText } from '../migrate';
import { KINDS, MOST_JPEG_CHARS } from '../schemas';
import { isOf, type SetAside } from '../reading';
import { assertFileSize, importText, MOST_RECORDS } from '../transfer';
import type { AnyStored, Kind, Stored } from '../types';
import { checksumOf } from '../checksum';
import { LOCKED, openArchive, type Archive } from './archive';
import { base64Of, textOf } from './bytes';
import { DELETED_PATH, FORMAT, FORMAT_VERSION, noCounts, type Counts, type Manifest } from './write';

/** A backup that was opened: what is whole in it, and what is not. */
export type Backup = {
  name: string;
  savedAt: string;
  holds: Manifest['holds'];
  /** Readable records but photos, which are many and large. */
  records: AnyStored[];
  /** Ids of whole photos. */
  pictures: string[];
  picture: (id: string) => Promise<Stored<'picture'>>;
  /** What was deleted on the device that wrote it. */
  deleted: Mark[];
  /** Kept as it was, though it cannot be read here. */
  aside: SetAside[];
  /** Parts of the file that cannot be used, each with why. */
  unreadable: { part: string; reason: string }[];
};

const isFields = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const tell = (error: unknown): string =>
  error instanceof RangeError ? error.message : 'It is not readable.';

export const countsOf = (records: readonly AnyStored[], pictures: number): Counts => {
  const counts = noCounts();
  for (const { kind } of records) counts[kind]++;
  return { ...counts, picture: pictures };
};

/** More parts that cannot be used than this are only counted. */
const MOST_TOLD = 300;

/** JSON of an item; nothing when it cannot be read safely. */
function valueOf(text: string): unknown {
  try {
    return parseJson(text);
  } catch {
    return undefined;
  }
}

type Listed = { bytes: number; sha256: string };

/** @throws RangeError when the file is no backup, or one of a newer app */
async function manifestOf(archive: Archive, name: string) {
  let value: unknown;
  try {
    value = parseJson(textOf(await archive.read('manifest.json')));
  } catch {
    value = undefined;
  }
  // A backup whose manifest is lost is still read: each file says itself whether it is whole.
  if (!isFields(value)) {
    if (archive.paths.some((p) => p.startsWith('records/')) || archive.cut) return undefined;
    if (archive.refused.some((r) => r.path === 'manifest.json' && r.reason === LOCKED))
      throw new RangeError(
        `“${name}” is locked with a password. Unpack it, pack its files again without one, and read that in. Nothing was changed.`,
      );
    throw new RangeError(`“${name}” is a ZIP file, but no backup of this app. Nothing was changed.`);
  }
  if (value.format !== FORMAT)
    throw new RangeError(`“${name}” is no backup of this app. Nothing was changed.`);
  const { formatVersion } = value;
  if (typeof formatVersion === 'number' && formatVersion > FORMAT_VERSION)
    throw new RangeError(
      `“${name}” was written by a newer version of the app. Reload this page to get it, then read the file in. Nothing was changed.`,
    );
  const files = new Map<string, Listed>();
  for (const f of Array.isArray(value.files) ? value.files : [])
    if (
      isFields(f) &&
      typeof f.path === 'string' &&
      typeof f.bytes === 'number' &&
      typeof f.sha256 === 'string'
    )
      files.set(f.path, { bytes: f.bytes, sha256: f.sha256 });
  return {
    savedAt: typeof value.savedAt === 'string' ? value.savedAt.slice(0, 40) : '',
    holds: value.holds === 'piece' ? ('piece' as const) : ('shop' as const),
    files,
  };
}

async function readArchive(file: Blob, name: string, context: JobContext): Promise<Backup> {
  const { signal, progress } = context;
  const archive = await openArchive(file, name, context);
  const manifest = await manifestOf(archive, name);
  const unreadable: Backup['unreadable'] = archive.refused.map(({ path, reason }) => ({
    part: path,
    reason,
  }));
  let untold = 0;
  /** What cannot be used is told up to a number, and counted beyond it. */
  const tellOf = (part: string, reason: string): void => {
    if (unreadable.length < MOST_TOLD) unreadable.push({ part: part.slice(0, 120), reason });
    else untold++;
  };
  if (archive.searched)
    tellOf('the end of the file', 'It is cut off or damaged. What is whole in it was looked for and found; what else was in it is not known.'); // prettier-ignore
  else if (!manifest) tellOf('manifest.json', 'It is missing, so what else may be missing is not known.');
  const there = new Set(archive.paths);
  for (const path of manifest?.files.keys() ?? [])
    if (!there.has(path)) tellOf(path, 'It is missing from the file.');

  /** @throws RangeError when it is damaged */
  const whole = async (path: string): Promise<Uint8Array> => {
    const bytes = await archive.read(path);
    const listed = manifest?.files.get(path);
    if (listed && (listed.bytes !== bytes.length || listed.sha256 !== (await checksumOf(bytes))))
      throw new RangeError('It was changed after it was saved: its checksum does not hold.');
    return bytes;
  };
  /** A file of the archive, or what is left of it. */
  const textIn = async (path: string): Promise<string> => {
    if (archive.cut?.path !== path) return textOf(await whole(path));
    tellOf(path, 'It is cut off; what is whole in it is taken.');
    return archive.cut.text;
  };
  /** The items of a list, each as it stands: one that cannot be read hides no other. */
  const listIn = async (path: string): Promise<string[]> => {
    try {
      const list = itemsOf(await textIn(path), MOST_RECORDS);
      if (!list) tellOf(path, 'It is no list.');
      else if (list.over > 0)
        tellOf(path, `It holds ${list.over} more than the ${MOST_RECORDS} that can be read.`); // prettier-ignore
      else if (!list.whole && archive.cut?.path !== path) tellOf(path, 'It does not end as a list does.');
      return list?.items ?? [];
    } catch (error) {
      tellOf(path, tell(error));
      return [];
    }
  };
  const has = (path: string): boolean => there.has(path) || archive.cut?.path === path;

  const records = new Map<string, AnyStored>();
  const aside: SetAside[] = [];
  const keep = (record: AnyStored, part: string): void => {
    const key = `${record.kind}/${record.id}`;
    if (records.has(key)) tellOf(part, `It holds ${key} twice; the first is taken.`);
    else records.set(key, record);
  };
  for (const kind of KINDS.filter((k): k is Exclude<Kind, 'picture'> => k !== 'picture')) {
    const path = `records/${kind}.json`;
    if (!has(path)) continue;
    for (const text of await listIn(path)) {
      context.beat?.();
      const result = readText(text);
      if (result.ok && result.record.kind === kind) keep(result.record, path);
      else {
        const id = /"id": ?"([A-Za-z0-9_-]{1,64})"/.exec(text)?.[1] ?? 'unnamed';
        const reason = result.ok ? 'It lies among records of another kind.' : result.reason;
        aside.push({ key: `${kind}/${id}`, reason, text });
      }
    }
  }
  for (const path of archive.paths.filter((p) => p.startsWith('aside/'))) {
    try {
      const entry = parseJson(textOf(await whole(path)));
      if (!isFields(entry) || typeof entry.text !== 'string' || typeof entry.key !== 'string')
        throw new RangeError('It is nothing that was set aside.');
      // What an older app could not read may be plain to this one.
      const again = readText(entry.text);
      if (again.ok && again.record.kind !== 'picture') keep(again.record, path);
      else
        aside.push({
          key: entry.key.slice(0, 200),
          reason: String(entry.reason).slice(0, 500),
          text: entry.text,
        });
    } catch (error) {
      tellOf(path, tell(error));
    }
  }

  const deleted: Mark[] = [];
  if (has(DELETED_PATH))
    for (const text of await listIn(DELETED_PATH)) {
      const mark = readMark(valueOf(text));
      if (mark) deleted.push(mark);
      else tellOf(DELETED_PATH, 'It holds something that is no mark of a deletion.');
    }

  const captions = new Map<string, Record<string, unknown>>();
  if (has('records/picture.json'))
    for (const text of await listIn('records/picture.json')) {
      const raw = valueOf(text);
      if (isFields(raw) && typeof raw.id === 'string') captions.set(raw.id, raw);
    }
  const picture = async (id: string): Promise<Stored<'picture'>> => {
    const raw = captions.get(id);
    if (!raw || !isFields(raw.body)) throw new RangeError('Nothing is said of this photo in the file.');
    const bytes = await whole(`pictures/${id}.jpg`);
    if (bytes.length * 1.34 > MOST_JPEG_CHARS) throw new RangeError('It is larger than a photo of this app.');
    const result = readRecord({ ...raw, body: { ...raw.body, jpeg: base64Of(bytes) } });
    if (!result.ok) throw new RangeError(result.reason);
    if (!isOf(result.record, 'picture')) throw new RangeError('It is no photo.');
    return result.record;
  };
  const pictures: string[] = [];
  // Photos of which nothing is said are no use; nothing is unpacked for them.
  const paths = archive.paths.filter((p) => p.startsWith('pictures/'));
  for (const [i, path] of paths.entries()) {
    signal?.throwIfAborted();
    progress?.(i / paths.length);
    const id = path.slice('pictures/'.length, -'.jpg'.length);
    try {
      await picture(id);
      pictures.push(id);
    } catch (error) {
      tellOf(path, tell(error));
    }
  }
  if (untold > 0) unreadable.push({ part: `${untold} more`, reason: 'They cannot be used either.' });
  return {
    name,
    savedAt: manifest?.savedAt ?? '',
    holds: manifest?.holds ?? 'shop',
    records: [...records.values()],
    pictures,
    picture,
    deleted,
    aside,
    unreadable,
  };
}

async function readOldFile(file: Blob, name: string): Promise<Backup> {
  assertFileSize(file.size, name);
  const { records, savedAt, unreadable, aside } = importText(await file.text(), name);
  const pictures = new Map(records.filter((r) => isOf(r, 'picture')).map((p) => [p.id, p]));
  return {
    name,
    savedAt,
    holds: 'shop',
    records: records.filter((r) => r.kind !== 'picture'),
    pictures: [...pictures.keys()],
    async picture(id) {
      const found = pictures.get(id);
      if (!found) throw new RangeError('It is not in the file.');
      return found;
    },
    deleted: [],
    aside,
    unreadable,
  };
}

/**
 * Opens a backup, the ZIP of today or the single JSON file of before, and looks at every part of it. What is whole can be taken
 * in; what is not is named. Nothing is written.
 *
 * @throws RangeError when it is no backup at all, or of a newer app
 */
export async function readBackup(file: Blob, name: string, context: JobContext = {}): Promise<Backup> {
  if (file.size === 0) throw new RangeError(`“${name}” is empty. Nothing was changed.`);
  const head = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return head[0] === 0x50 && head[1] === 0x4b ? readArchive(file, name, context) : readOldFile(file, name);
}
