import { BlobReader, BlobWriter, configure, Uint8ArrayReader, ZipReader, ZipWriter, type FileEntry } from '@zip.js/zip.js'; // prettier-ignore
import type { JobContext } from '@/core/check';
import { MOST_JPEG_CHARS } from '../schemas';
import { salvaged, type Salvaged } from './salvage';

// This runs in a worker already.
configure({ useWebWorkers: false });

export type Item = { path: string; bytes: Uint8Array };

/** Nobody keeps more pieces and photos in a browser; a list of more entries is a trap. */
export const MOST_ENTRIES = 30_000;
/** More than any list of records or photo of this app takes. */
export const MOST_ENTRY_BYTES = 64 * 1024 * 1024;

/** More than a photo of this app takes. */
const MOST_PHOTO_BYTES = (MOST_JPEG_CHARS / 4) * 3;
/** A photo is packed already, and records pack to a tenth or a thirtieth: what grows by more was made to fill the memory. */
const MOST_GROWTH = { jpg: 20, other: 200 } as const;
const SMALL_BYTES = 1024 * 1024;
const PHOTO: RegExp = /\.jpg$/;

const PACKED: RegExp = /\.(json|csv)$/;

/** Packs items one after the other; what is packed lies with the browser, not in memory. Photos go in as they are. */
export async function packArchive(items: AsyncIterable<Item>): Promise<Blob> {
  const writer = new ZipWriter(new BlobWriter('application/zip'));
  for await (const { path, bytes } of items)
    await writer.add(path, new Uint8ArrayReader(bytes), { level: PACKED.test(path) ? 6 : 0 });
  return writer.close();
}

export type Archive = {
  /** Paths of its files, in the order they lie in it. */
  paths: string[];
  /** Entries that no backup has, each with what is wrong with it; they are never read. */
  refused: { path: string; reason: string }[];
  /** @throws RangeError when it is damaged or larger than it may be */
  read: (path: string) => Promise<Uint8Array>;
  /** Its list of contents was lost: what is whole was looked for in it. */
  searched: boolean;
  /** The beginning of a text that was cut off. */
  cut?: { path: string; text: string };
};

/** More files that are refused than this are only counted. */
const MOST_REFUSED = 200;

/** Where files of a backup lie: a folder at the most, plain letters, nothing that leads out. */
const PATH = /^([a-z]{1,20}\/)?[A-Za-z0-9_-]{1,64}\.(json|csv|jpg)$/;

type Entry = { filename: string; encrypted: boolean; uncompressedSize: number; compressedSize: number };

/** An entry that takes a password. */
export const LOCKED = 'It is locked with a password.';

/** Why an entry is not read; judged by what the archive says of it, before anything is unpacked. */
function refusal({ filename, encrypted, uncompressedSize, compressedSize }: Entry, seen: Set<string>) {
  if (!PATH.test(filename)) return 'Its name is none that a backup has.';
  if (encrypted) return LOCKED;
  const isPhoto = PHOTO.test(filename);
  if (uncompressedSize > (isPhoto ? MOST_PHOTO_BYTES : MOST_ENTRY_BYTES))
    return 'It says it is larger than anything in a backup.';
  if (isPhoto && uncompressedSize === 0) return 'It is empty.';
  const growth = MOST_GROWTH[isPhoto ? 'jpg' : 'other'];
  if ((isPhoto || uncompressedSize > SMALL_BYTES) && uncompressedSize > growth * compressedSize)
    return 'It unpacks to far more than anything in a backup does.';
  return seen.has(filename) ? 'There is a file of this name in it already.' : undefined;
}

/** What is written beyond a limit stops the reading, whatever the archive said of its size. */
function limited(most: number): { writable: WritableStream<Uint8Array>; bytes: () => Uint8Array } {
  const parts: Uint8Array[] = [];
  let size = 0;
  const writable = new WritableStream<Uint8Array>({
    write(part) {
      size += part.length;
      if (size > most) throw new RangeError('It unpacks to more than it says.');
      parts.push(part.slice());
    },
  });
  const bytes = (): Uint8Array => {
    const all = new Uint8Array(size);
    let at = 0;
    for (const part of parts) {
      all.set(part, at);
      at += part.length;
    }
    return all;
  };
  return { writable, bytes };
}

/** The list of contents at the end of an archive. @throws RangeError when there is none, or it is longer than a backup can have */
async function listed(file: Blob, name: string, { signal }: JobContext): Promise<FileEntry[]> {
  // Names are held against a stricter pattern below, one by one, so that a foreign name does not hide the rest.
  const reader = new ZipReader(new BlobReader(file), { filenameValidation: 'tolerant' });
  const files: FileEntry[] = [];
  let count = 0;
  for await (const entry of reader.getEntriesGenerator()) {
    signal?.throwIfAborted();
    if (++count > MOST_ENTRIES)
      throw new RangeError(`“${name}” lists more than ${MOST_ENTRIES} files. Nothing was changed.`);
    if (!entry.directory) files.push(entry);
  }
  // Files that lie over each other are all packed small and unpack large.
  if (files.reduce((sum, f) => sum + f.compressedSize, 0) > file.size)
    throw new RangeError(`“${name}” is made of files that lie over each other, which no backup is. Nothing was changed.`); // prettier-ignore
  return files;
}

/**
 * Opens an archive; its files are read one by one when they are asked for. One whose list of contents is lost is looked through for the
 * files that are whole.
 *
 * @throws RangeError when it is no archive, or lists more than a backup can have
 */
export async function openArchive(file: Blob, name: string, context: JobContext = {}): Promise<Archive> {
  const { signal } = context;
  let files: FileEntry[] = [];
  let salvage: Salvaged | undefined;
  try {
    files = await listed(file, name, context);
  } catch (error) {
    if (error instanceof RangeError) throw error;
    signal?.throwIfAborted();
    salvage = await salvaged(file, (path) => PATH.test(path), { mostFiles: MOST_ENTRIES, mostBytes: MOST_ENTRY_BYTES }); // prettier-ignore
    if (!salvage)
      throw new RangeError(
        `“${name}” is cut off or damaged: it is no whole ZIP file. Copy it again from where it was saved. Nothing was changed.`,
      );
    files = await listed(salvage.file, name, context);
  }
  const entries = new Map<string, FileEntry>();
  const refused: Archive['refused'] = [];
  const seen = new Set<string>();
  let more = 0;
  for (const entry of files) {
    const reason = refusal(entry, seen);
    seen.add(entry.filename);
    if (!reason) entries.set(entry.filename, entry);
    else if (refused.length < MOST_REFUSED) refused.push({ path: entry.filename.slice(0, 120), reason });
    else more++;
  }
  if (more > 0) refused.push({ path: `${more} more files`, reason: 'They are none that a backup has.' });
  return {
    paths: [...entries.keys()],
    refused,
    searched: salvage !== undefined,
    ...(salvage?.cut ? { cut: salvage.cut } : {}),
    async read(path) {
      const entry = entries.get(path);
      if (!entry) throw new RangeError('It is not in the file.');
      const { writable, bytes } = limited(Math.min(MOST_ENTRY_BYTES, entry.uncompressedSize));
      try {
        await entry.getData(writable, { checkSignature: true });
      } catch {
        throw new RangeError('It is damaged: its checksum does not hold.');
      }
      return bytes();
    },
  };
}
