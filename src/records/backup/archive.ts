import { BlobReader, BlobWriter, configure, Uint8ArrayReader, ZipReader, ZipWriter, type FileEntry } from '@zip.js/zip.js'; // prettier-ignore
import type { JobContext } from '@/core/check';

// This runs in a worker already.
configure({ useWebWorkers: false });

export type Item = { path: string; bytes: Uint8Array };

/** Nobody keeps more pieces and photos in a browser; a list of more entries is a trap. */
export const MOST_ENTRIES = 200_000;
/** More than any list of records or photo of this app takes. */
export const MOST_ENTRY_BYTES = 64 * 1024 * 1024;

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
};

/** Where files of a backup lie: a folder at the most, plain letters, nothing that leads out. */
const PATH = /^([a-z]{1,20}\/)?[A-Za-z0-9_-]{1,64}\.(json|csv|jpg)$/;

function refusal(
  entry: { filename: string; encrypted: boolean; uncompressedSize: number },
  seen: Set<string>,
) {
  if (!PATH.test(entry.filename)) return 'Its name is none that a backup has.';
  if (entry.encrypted) return 'It is locked with a password.';
  if (entry.uncompressedSize > MOST_ENTRY_BYTES) return 'It says it is larger than anything in a backup.';
  return seen.has(entry.filename) ? 'There is a file of this name in it already.' : undefined;
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

/**
 * Opens an archive; its files are read one by one when they are asked for.
 *
 * @throws RangeError when it is no archive, cut off, or lists more than a backup can have
 */
export async function openArchive(file: Blob, name: string, { signal }: JobContext = {}): Promise<Archive> {
  // Names are held against a stricter pattern below, one by one, so that a foreign name does not hide the rest.
  const reader = new ZipReader(new BlobReader(file), { filenameValidation: 'tolerant' });
  const entries = new Map<string, FileEntry>();
  const refused: Archive['refused'] = [];
  const seen = new Set<string>();
  let count = 0;
  try {
    for await (const entry of reader.getEntriesGenerator()) {
      signal?.throwIfAborted();
      if (++count > MOST_ENTRIES)
        throw new RangeError(`“${name}” lists more than ${MOST_ENTRIES} files. Nothing was changed.`);
      if (entry.directory) continue;
      const reason = refusal(entry, seen);
      seen.add(entry.filename);
      if (reason) refused.push({ path: entry.filename.slice(0, 120), reason });
      else entries.set(entry.filename, entry);
    }
  } catch (error) {
    if (error instanceof RangeError) throw error;
    signal?.throwIfAborted();
    throw new RangeError(
      `“${name}” is cut off or damaged: it is no whole ZIP file. Copy it again from where it was saved. Nothing was changed.`,
    );
  }
  return {
    paths: [...entries.keys()],
    refused,
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
