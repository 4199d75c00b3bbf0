import { Inflate } from 'fflate';

/** Where one file lies in an archive, by what stands before it and, where that says nothing of sizes, right after it. */
type Found = {
  path: string;
  at: number;
  flags: number;
  method: number;
  crc: number;
  packed: number;
  bytes: number;
  dataAt: number;
};

const LOCAL = [0x50, 0x4b, 0x03, 0x04] as const;
const LOCAL_BYTES = 30;
const DESCRIPTOR = 0x08074b50;
const WITH_DESCRIPTOR = 8;
const DEFLATED = 8;
/** Read at one time, with room for a head that lies across two slices. */
const SLICE = 4 * 1024 * 1024;
const OVERLAP = 256;
const MOST_PATH_BYTES = 100;

const viewOf = async (file: Blob, from: number, to: number): Promise<DataView> =>
  new DataView(await file.slice(Math.max(0, from), Math.min(file.size, to)).arrayBuffer());

/** Places where the head of a file may stand. */
async function headsIn(file: Blob, most: number): Promise<number[]> {
  const heads: number[] = [];
  for (let from = 0; from < file.size; from += SLICE) {
    const bytes = new Uint8Array(await file.slice(from, from + SLICE + OVERLAP).arrayBuffer());
    for (let i = bytes.indexOf(LOCAL[0]); i >= 0 && i < SLICE; i = bytes.indexOf(LOCAL[0], i + 1))
      if (LOCAL.every((b, k) => bytes[i + k] === b)) {
        heads.push(from + i);
        if (heads.length > most) return heads;
      }
  }
  return heads;
}

/** What stands after data whose head does not say its size: with its own sign before it or without. */
async function descriptorBefore(file: Blob, end: number, dataAt: number) {
  const view = await viewOf(file, end - 16, end);
  if (view.byteLength < 16) return undefined;
  const [sign, crc, packed, bytes] = [0, 4, 8, 12].map((k) => view.getUint32(k, true));
  if (crc === undefined || packed === undefined || bytes === undefined) return undefined;
  const length = sign === DESCRIPTOR ? 16 : 12;
  return packed === end - length - dataAt ? { crc, packed, bytes } : undefined;
}

async function foundAt(
  file: Blob,
  at: number,
  ends: readonly number[],
  isPath: (path: string) => boolean,
): Promise<Found | { cut: { path: string; method: number; dataAt: number } } | undefined> {
  const head = await viewOf(file, at, at + LOCAL_BYTES + MOST_PATH_BYTES);
  if (head.byteLength < LOCAL_BYTES) return undefined;
  const letters = head.getUint16(26, true);
  if (letters > MOST_PATH_BYTES || LOCAL_BYTES + letters > head.byteLength) return undefined;
  const path = new TextDecoder().decode(new Uint8Array(head.buffer, LOCAL_BYTES, letters));
  if (!isPath(path)) return undefined;
  const [flags, method] = [head.getUint16(6, true), head.getUint16(8, true)];
  const dataAt = at + LOCAL_BYTES + letters + head.getUint16(28, true);
  const told = { crc: head.getUint32(14, true), packed: head.getUint32(18, true), bytes: head.getUint32(22, true) }; // prettier-ignore
  if (!(flags & WITH_DESCRIPTOR))
    return dataAt + told.packed <= file.size
      ? { path, at, flags, method, dataAt, ...told }
      : { cut: { path, method, dataAt } };
  for (const end of ends) {
    const after = await descriptorBefore(file, end, dataAt);
    if (after) return { path, at, flags, method, dataAt, ...after };
  }
  return { cut: { path, method, dataAt } };
}

/** The list that should stand at the end of an archive, made anew. Layout: APPNOTE.TXT of the ZIP format, 4.3.12 and 4.3.16. */
function directory(found: readonly Found[], at: number): Uint8Array<ArrayBuffer>[] {
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  for (const f of found) {
    const name = new TextEncoder().encode(f.path);
    const view = new DataView(new ArrayBuffer(46));
    view.setUint32(0, 0x02014b50, true);
    view.setUint16(4, 20, true);
    view.setUint16(6, 20, true);
    view.setUint16(8, f.flags, true);
    view.setUint16(10, f.method, true);
    view.setUint32(16, f.crc, true);
    view.setUint32(20, f.packed, true);
    view.setUint32(24, f.bytes, true);
    view.setUint16(28, name.length, true);
    view.setUint32(42, f.at, true);
    parts.push(new Uint8Array(view.buffer), name);
    size += 46 + name.length;
  }
  const end = new DataView(new ArrayBuffer(22));
  end.setUint32(0, 0x06054b50, true);
  end.setUint16(8, found.length, true);
  end.setUint16(10, found.length, true);
  end.setUint32(12, size, true);
  end.setUint32(16, at, true);
  return [...parts, new Uint8Array(end.buffer)];
}

/** What can be unpacked of data that was cut off, up to so many bytes. */
function unpackedUntilCut(data: Uint8Array, most: number): string {
  const parts: Uint8Array[] = [];
  let size = 0;
  const inflate = new Inflate((part) => {
    size += part.length;
    if (size > most) throw new RangeError('It unpacks to more than it may.');
    parts.push(part.slice());
  });
  try {
    for (let i = 0; i < data.length; i += 65_536) inflate.push(data.subarray(i, i + 65_536));
  } catch {
    // What came before the fault is whole.
  }
  const decoder = new TextDecoder();
  return parts.map((p) => decoder.decode(p, { stream: true })).join('');
}

export type Salvaged = {
  /** The archive with a list of what is whole in it. */
  file: Blob;
  /** The beginning of a text that was cut off. */
  cut?: { path: string; text: string };
};

/**
 * Looks through an archive whose list of contents is lost, cut off or led astray, for the files that are whole in it.
 *
 * @param isPath whether something of this name may be in it
 * @returns nothing when there is none
 */
export async function salvaged(
  file: Blob,
  isPath: (path: string) => boolean,
  { mostFiles, mostBytes }: { mostFiles: number; mostBytes: number },
): Promise<Salvaged | undefined> {
  const heads = await headsIn(file, mostFiles);
  if (heads.length > mostFiles) return undefined;
  const found: Found[] = [];
  let cut: Salvaged['cut'];
  let past = 0;
  for (const [i, at] of heads.entries()) {
    // A head within what was found already is part of its data.
    if (at < past) continue;
    // Data goes as far as the next head that fits; nearly always the very next.
    const entry = await foundAt(file, at, [...heads.slice(i + 1, i + 4), file.size], isPath);
    if (!entry) continue;
    if ('cut' in entry) {
      const { path, method, dataAt } = entry.cut;
      if (method !== DEFLATED || !path.endsWith('.json')) continue;
      const data = new Uint8Array(await file.slice(dataAt, heads[i + 1] ?? file.size).arrayBuffer());
      cut = { path, text: unpackedUntilCut(data, mostBytes) };
    } else {
      found.push(entry);
      past = entry.dataAt + entry.packed;
    }
  }
  if (found.length === 0 && !cut) return undefined;
  const repaired = new Blob([file.slice(0, file.size), ...directory(found, file.size)]);
  return { file: repaired, ...(cut ? { cut } : {}) };
}
