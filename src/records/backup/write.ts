import type { JobContext } from '@/core/check';
import { readText } from '../migrate';
import { KINDS, SHAPE_VERSION } from '../schemas';
import { isOf } from '../reading';
import type { Store } from '../store';
import type { AnyStored, Kind, Stored } from '../types';
import { checksumOf } from '../checksum';
import { packArchive, type Item } from './archive';
import { bytesOf, textBytes } from './bytes';
import { linksOf, picturesOf, pieceIdOf } from '../links';
import { isOver } from '../marks';
import { boardsTable, hoursTable, logTable, stockTable } from './tables';

export const FORMAT = 'rustic-lantern';
/** Version of the layout of a backup: 1 was one JSON file. */
export const FORMAT_VERSION = 2;

export type Counts = Record<Kind, number>;

export type Manifest = {
  format: typeof FORMAT;
  formatVersion: number;
  shapeVersion: number;
  savedAt: string;
  /** Of the whole shop, or of one piece and what belongs to it. */
  holds: 'shop' | 'piece';
  counts: Counts;
  aside: number;
  files: { path: string; bytes: number; sha256: string }[];
};

/** Where the marks of what was deleted lie. */
export const DELETED_PATH = 'deleted.json';

/** Records that are written with their photo apart. */
const BATCH = 8;

export const noCounts = (): Counts => ({ piece: 0, face: 0, damage: 0, veneer: 0, colour: 0, board: 0, lumber: 0, log: 0, shop: 0, picture: 0 }); // prettier-ignore

/** What belongs to one piece: itself, its faces, damages and log, the veneers and colours it takes. */
function ofPiece(records: readonly AnyStored[], pieceId: string): AnyStored[] {
  const own = records.filter((r) => (r.kind === 'piece' ? r.id : pieceIdOf(r)) === pieceId);
  const named = new Set(own.flatMap(linksOf).filter((l) => l.hold === 'names').map((l) => `${l.kind}/${l.id}`)); // prettier-ignore
  return [...own, ...records.filter((r) => !own.includes(r) && named.has(`${r.kind}/${r.id}`))];
}

/** Bytes of a stored photo; nothing when they cannot be decoded. */
function decoded(base64: string): Uint8Array | undefined {
  try {
    return bytesOf(base64);
  } catch {
    return undefined;
  }
}

const json = (value: unknown): Uint8Array => textBytes(JSON.stringify(value, null, 1));

/**
 * The whole shop in one ZIP, or one piece of it: records as JSON, photos as JPEG, tables for a spreadsheet, what cannot be read
 * as it is, and at last a manifest with counts and checksums. Layout: docs/file-format.md.
 *
 * @param only a piece's id, for that piece alone
 */
export async function writeBackup(
  store: Store,
  { savedAt, only }: { savedAt: string; only?: string },
  { signal, progress, beat }: JobContext = {},
): Promise<{ blob: Blob; manifest: Manifest }> {
  const names = await store.keys();
  const counts = noCounts();
  const files: Manifest['files'] = [];
  const manifest: Manifest = {
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    shapeVersion: SHAPE_VERSION,
    savedAt,
    holds: only === undefined ? 'shop' : 'piece',
    counts,
    aside: 0,
    files,
  };
  const aside: { key: string; reason: string; text: string }[] = [];

  const readable = (key: string, text: string): AnyStored | undefined => {
    beat?.();
    const result = readText(text);
    if (result.ok && `${result.record.kind}/${result.record.id}` === key) return result.record;
    aside.push({
      key,
      reason: result.ok ? 'It lies under a name that is not its own.' : result.reason,
      text,
    });
    return undefined;
  };

  async function* contents(): AsyncGenerator<Item> {
    const item = async (path: string, bytes: Uint8Array): Promise<Item> => {
      files.push({ path, bytes: bytes.length, sha256: await checksumOf(bytes) });
      return { path, bytes };
    };
    const isPicture = (key: string): boolean => key.startsWith('picture/');
    const plain = await store.texts(names.records.filter((k) => !isPicture(k)));
    const all = [...plain].flatMap(([key, text]) => readable(key, text) ?? []);
    const kept = only === undefined ? all : ofPiece(all, only);
    for (const kind of KINDS.filter((k) => k !== 'picture')) {
      const list = kept.filter((r) => r.kind === kind);
      counts[kind] = list.length;
      if (list.length > 0) yield item(`records/${kind}.json`, json(list));
    }

    const shown = new Set(kept.flatMap(picturesOf));
    const pictures = names.records.filter(
      (k) => isPicture(k) && (only === undefined || shown.has(k.slice(8))),
    );
    const captions: (Omit<Stored<'picture'>, 'body'> & { body: object })[] = [];
    for (let i = 0; i < pictures.length; i += BATCH) {
      signal?.throwIfAborted();
      progress?.(i / pictures.length);
      for (const [key, text] of await store.texts(pictures.slice(i, i + BATCH))) {
        const record = readable(key, text);
        if (!record || !isOf(record, 'picture')) continue;
        const { jpeg, ...body } = record.body;
        const bytes = decoded(jpeg);
        if (!bytes) {
          aside.push({ key, reason: 'Its photo is damaged.', text });
          continue;
        }
        captions.push({ ...record, body });
        yield item(`pictures/${record.id}.jpg`, bytes);
      }
    }
    counts.picture = captions.length;
    if (captions.length > 0) yield item('records/picture.json', json(captions));

    const veneers = kept.filter((r) => isOf(r, 'veneer'));
    const log = kept.filter((r) => isOf(r, 'log'));
    const pieces = kept.filter((r) => isOf(r, 'piece'));
    yield item('tables/stock.csv', textBytes(stockTable(veneers)));
    yield item('tables/boards.csv', textBytes(boardsTable(kept.filter((r) => isOf(r, 'lumber')))));
    yield item('tables/log.csv', textBytes(logTable(log, pieces)));
    yield item('tables/hours.csv', textBytes(hoursTable(log, pieces)));

    // What was deleted, as far as it is remembered: so that it does not come back from another device.
    const live = new Set(names.records);
    const marks = [...(await store.deleted())].filter(
      ([key, m]) => !live.has(key) && !isOver(m, savedAt) && (only === undefined || m.pieceId === only),
    );
    if (marks.length > 0) yield item(DELETED_PATH, json(marks.map(([, m]) => m)));

    if (only === undefined) {
      aside.push(...(await store.listAside()));
      manifest.aside = aside.length;
      for (const [i, entry] of aside.entries())
        yield item(`aside/${String(i + 1).padStart(4, '0')}.json`, json(entry));
    }
    yield { path: 'manifest.json', bytes: json(manifest) };
  }

  const blob = await packArchive(contents());
  return { blob, manifest };
}
