import { createHash } from 'node:crypto';
import { parse as parseCsv } from 'csv-parse/sync';
import fc from 'fast-check';
import { strFromU8, unzipSync } from 'fflate';
import {
  BlobReader,
  BlobWriter,
  TextReader,
  Uint8ArrayReader,
  TextWriter,
  ZipReader,
  ZipWriter,
  type FileEntry,
} from '@zip.js/zip.js';
import { memoryStorage } from '../../testing/memoryStorage';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from '../defaults';
import { SHAPE_VERSION } from '../schemas';
import { createStore } from '../store';
import type { AnyStored, Bodies, Kind } from '../types';
import { previewBackup, readBackup, takeBackup, takeBackupBack, writeBackup } from '.';

const NOW = '2026-03-02T08:00:00';
const LATER = '2026-04-02T08:00:00';
/** The first bytes of a JPEG and some that differ. */
const jpeg = (n: number): string => Buffer.from([0xff, 0xd8, 0xff, 0xe0, ...Array.from({ length: 60 }, (_, i) => (i * 7 + n) % 256)]).toString('base64'); // prettier-ignore

const record = <K extends Kind>(kind: K, id: string, body: Bodies[K]): AnyStored =>
  ({ kind, id, version: SHAPE_VERSION, revision: 1, savedAt: NOW, body }) as AnyStored;
const photo = (id: string, n: number): AnyStored =>
  record('picture', id, { name: `${id}.jpg`, widthPx: 8, heightPx: 6, jpeg: jpeg(n) });

/** A lectern with a face, a photo and a damage; a veneer with its photo; a day in the log. */
const shopOf = (): AnyStored[] => [
  record('piece', 'p1', newPiece('Lectern', NOW)),
  record('face', 'f1', { ...newFace('p1', 'Top'), picture: { id: 'x1', widthPx: 8, heightPx: 6 } }),
  record('damage', 'd1', newDamage('p1', 'f1', 1, 'gouge')),
  record('veneer', 'v1', { name: 'Walnut', species: 'walnut', thicknessMm: 0.7, alongMm: 600, acrossMm: 200, pictureId: 'x2', note: '=1+1' }),
  record('log', 'l1', { pieceId: 'p1', taskId: 'p1/intake', title: 'Intake', doneAt: NOW, actualMin: 25, note: '', pictures: [{ pictureId: 'x1', role: 'before' }] }),
  record('shop', 'shop', DEFAULT_SHOP),
  photo('x1', 1),
  photo('x2', 2),
]; // prettier-ignore

function storeWith(records: readonly AnyStored[], device = 'bench', now = NOW) {
  const storage = memoryStorage(
    Object.fromEntries(records.map((r) => [`${r.kind}/${r.id}`, JSON.stringify(r)])),
  );
  return { storage, store: createStore(storage, { now: () => now, device: () => device }) };
}
type Store = ReturnType<typeof storeWith>['store'];
const backupOf = async (store: Store, only?: string) =>
  (await writeBackup(store, { savedAt: NOW, ...(only ? { only } : {}) })).blob;
const opened = (blob: Blob) => readBackup(blob, 'shop.zip');
const HERE = { now: LATER, device: 'desk' };
const takeIn = async (store: Store, blob: Blob, choices = {}) =>
  takeBackup(store, await opened(blob), choices, HERE);
const sorted = (data: Map<string, string>): [string, string][] =>
  [...data].sort(([a], [b]) => a.localeCompare(b));

async function filesIn(blob: Blob): Promise<Map<string, string>> {
  const out = new Map<string, string>();
  for (const entry of await new ZipReader(new BlobReader(blob)).getEntries())
    if (!entry.directory) out.set(entry.filename, await entry.getData(new TextWriter()));
  return out;
}

/** A backup whose files are changed by hand. */
async function tampered(blob: Blob, change: (files: Map<string, string>) => void): Promise<Blob> {
  const writer = new ZipWriter(new BlobWriter());
  const texts = await filesIn(blob);
  const binary = new Map<string, Blob>();
  for (const entry of await new ZipReader(new BlobReader(blob)).getEntries())
    if (entry.filename.endsWith('.jpg'))
      binary.set(entry.filename, await (entry as FileEntry).getData(new BlobWriter()));
  change(texts);
  for (const [path, text] of texts) {
    const bytes = binary.get(path);
    await writer.add(path, bytes ? new BlobReader(bytes) : new TextReader(text));
  }
  return writer.close();
}

describe('a backup of the whole shop', () => {
  test('comes back equal in an empty browser, byte for byte', async () => {
    const { store, storage } = storeWith(shopOf());
    const empty = storeWith([]);
    await takeIn(empty.store, await backupOf(store));
    expect(sorted(empty.storage.data)).toEqual(sorted(storage.data));
  });

  test('says what it holds: counts, sizes and checksums that an independent tool finds too', async () => {
    const { store } = storeWith(shopOf());
    const { blob, manifest } = await writeBackup(store, { savedAt: NOW });
    expect(manifest.counts).toEqual({
      colour: 0,
      board: 0,
      lumber: 0,
      piece: 1,
      face: 1,
      damage: 1,
      veneer: 1,
      log: 1,
      shop: 1,
      picture: 2,
    });
    const first = manifest.files.find((f) => f.path === 'pictures/x1.jpg');
    expect(first?.sha256).toBe(
      createHash('sha256')
        .update(Buffer.from(jpeg(1), 'base64'))
        .digest('hex'),
    );
    const paths = [...(await filesIn(blob)).keys()];
    expect(paths.at(-1)).toBe('manifest.json');
    expect(paths.slice(0, -1)).toEqual(manifest.files.map((f) => f.path));
  });

  test('holds tables for a spreadsheet, in which nothing runs as a formula', async () => {
    const { store } = storeWith(shopOf());
    const files = await filesIn(await backupOf(store));
    expect(files.get('tables/stock.csv')).toContain(`Walnut,walnut,0.7,600,200,"'=1+1"`);
    expect(files.get('tables/hours.csv')).toBe('day,piece,hours\r\n2026-03-02,Lectern,0.42');
  });

  test.each([
    '=1+1\nx',
    '\n=1+1',
    ' \t+1',
    '＝1+1',
    '＠SUM(A1)',
    '\r-1',
    '\u0000=1',
  ])('a note of %p runs as no formula in any table, and a general reader finds each cell where it was', async (note) => {
    const lumber = { name: note, species: 'oak', alongMm: 900, acrossMm: 200, thickMm: 25, note };
    const { store } = storeWith([
      ...shopOf().map((r) => (r.kind === 'veneer' ? { ...r, body: { ...r.body, note, name: note } } : r)),
      record('lumber', 'b1', lumber),
      record('piece', 'p2', newPiece(note, NOW)),
      record('log', 'l2', { pieceId: 'p2', taskId: 't', title: note, doneAt: NOW, actualMin: 5, note, pictures: [] }),
    ]);
    const files = await filesIn(await backupOf(store));
    for (const table of ['stock', 'boards', 'log', 'hours']) {
      const rows = parseCsv(files.get(`tables/${table}.csv`) ?? '') as string[][];
      expect(new Set(rows.map((r) => r.length)).size).toBe(1);
      const cells = rows.flat();
      expect(cells.filter((c) => /^[\s\u0000]*[=+\-@＝＠]/.test(c))).toEqual([]);
      expect(cells).toContain(`'${note}`);
    }
  }); // prettier-ignore

  test('another library opens it too, and finds the same photos', async () => {
    const { store } = storeWith(shopOf());
    const files = unzipSync(new Uint8Array(await (await backupOf(store)).arrayBuffer()));
    expect(Buffer.from(files['pictures/x2.jpg'] ?? []).toString('base64')).toBe(jpeg(2));
    const pieces = JSON.parse(strFromU8(files['records/piece.json'] ?? new Uint8Array())) as AnyStored[];
    expect(pieces).toEqual(shopOf().filter((r) => r.kind === 'piece'));
  });

  test('one piece is its own small file, with what it shows and nothing else', async () => {
    const { store } = storeWith([...shopOf(), record('piece', 'p2', newPiece('Stool', NOW)), photo('x3', 3)]);
    const backup = await opened(await backupOf(store, 'p1'));
    expect(backup.records.map((r) => `${r.kind}/${r.id}`)).toEqual([
      'piece/p1',
      'face/f1',
      'damage/d1',
      'log/l1',
    ]);
    expect(backup.pictures).toEqual(['x1']);
  });

  test('2,000 photos go out and come back', async () => {
    const many = Array.from({ length: 2000 }, (_, i) => photo(`m${i}`, i));
    const { store } = storeWith([...shopOf(), ...many]);
    const backup = await opened(await backupOf(store));
    expect(backup.pictures).toHaveLength(2002);
    expect(backup.unreadable).toEqual([]);
  }, 60_000);

  test('texts of any kind come back as they were', async () => {
    await fc.assert(
      fc.asyncProperty(fc.fullUnicodeString({ maxLength: 200 }), async (note) => {
        const { store, storage } = storeWith([record('piece', 'p1', { ...newPiece('Lectern', NOW), note })]);
        const empty = storeWith([]);
        await takeIn(empty.store, await backupOf(store));
        expect(sorted(empty.storage.data)).toEqual(sorted(storage.data));
      }),
      { numRuns: 25 },
    );
  });
});

describe('what is broken does not keep the rest from coming back', () => {
  const without = (key: string): AnyStored[] => shopOf().filter((r) => `${r.kind}/${r.id}` !== key);

  test.each([
    ['a lost photo', 'picture/x1', 'comes without photo'],
    ['a lost face', 'face/f1', 'comes without face'],
  ])('%s is let go, and told by the name of who showed it', async (_, lost, words) => {
    const { store } = storeWith(without(lost));
    const blob = await backupOf(store);
    const empty = storeWith([]);
    const preview = await previewBackup(empty.store, await opened(blob), NOW);
    expect(preview.mended.join(' ')).toContain(words);
    expect(preview.mended.join(' ')).toContain('Lectern');
    await takeIn(empty.store, blob);
    const { records, unreadable } = await empty.store.listAll(['piece', 'face', 'damage', 'log']);
    expect(unreadable).toEqual({});
    expect(records.length).toBe(
      without(lost).filter((r) => !['veneer', 'shop', 'picture'].includes(r.kind)).length,
    );
  });

  test('what has lost its piece is gathered under a new one, or left out', async () => {
    const { store } = storeWith(without('piece/p1'));
    const blob = await backupOf(store);
    const empty = storeWith([]);
    const preview = await previewBackup(empty.store, await opened(blob), NOW);
    expect(preview.adrift.map((a) => a.title)).toEqual(['Top', 'Gouge, no. 1', 'Intake']);
    await takeIn(empty.store, blob);
    expect((await empty.store.get('piece', 'p1'))?.body.name).toBe('Found again');
    expect((await empty.store.get('face', 'f1'))?.body.pieceId).toBe('p1');
    const other = storeWith([]);
    await takeIn(other.store, blob, { adrift: 'leave' });
    expect((await other.store.list('face')).records).toEqual([]);
  });

  test('a damage on a face of another piece loses that link', async () => {
    const { store } = storeWith([...shopOf(), record('piece', 'p2', newPiece('Stool', NOW)), record('damage', 'd2', newDamage('p2', 'f1', 1, 'dent'))]); // prettier-ignore
    const empty = storeWith([]);
    await takeIn(empty.store, await backupOf(store));
    expect((await empty.store.get('damage', 'd2'))?.body.faceId).toBeUndefined();
    expect((await empty.store.get('damage', 'd1'))?.body.faceId).toBe('f1');
  });

  test('records that cannot be read, and those of a newer version, go in and out as they are', async () => {
    const { store, storage } = storeWith(shopOf());
    const newer = JSON.stringify({ ...record('piece', 'n', newPiece('Later', NOW)), version: 99 });
    storage.data.set('piece/n', newer);
    storage.data.set('face/bad', '{"kind":"face"');
    const backup = await opened(await backupOf(store));
    expect(backup.aside.map((a) => a.text).sort()).toEqual(['{"kind":"face"', newer].sort());
    expect(storage.data.get('piece/n')).toBe(newer);
    const empty = storeWith([]);
    await takeBackup(empty.store, backup, {}, HERE);
    expect((await empty.store.listAside()).map((a) => a.text).sort()).toEqual(
      ['{"kind":"face"', newer].sort(),
    );
  });

  test('a photo that is no base64 goes aside as it is, and does not stop the backup', async () => {
    const { store, storage } = storeWith(shopOf());
    const torn = JSON.stringify({ ...photo('x3', 3), body: { name: 'x3', widthPx: 8, heightPx: 6, jpeg: '/9jAA' } }); // prettier-ignore
    storage.data.set('picture/x3', torn);
    const backup = await opened(await backupOf(store));
    expect(backup.pictures).toEqual(['x1', 'x2']);
    expect(backup.aside.map((a) => a.text)).toEqual([torn]);
    expect(backup.unreadable).toEqual([]);
  });

  test('a file changed by hand is named, and the others come in', async () => {
    const { store } = storeWith(shopOf());
    const blob = await tampered(await backupOf(store), (files) => {
      files.set('records/face.json', files.get('records/face.json')?.replace('Top', 'Lid') ?? '');
      files.delete('pictures/x2.jpg');
    });
    const backup = await opened(blob);
    expect(backup.unreadable).toEqual([
      { part: 'pictures/x2.jpg', reason: 'It is missing from the file.' },
      { part: 'records/face.json', reason: 'It was changed after it was saved: its checksum does not hold.' },
    ]);
    expect(backup.records.map((r) => r.kind)).toEqual(['piece', 'damage', 'veneer', 'log', 'shop']);
  });

  test('paths that lead out, foreign and doubled files are refused one by one', async () => {
    const { store } = storeWith(shopOf());
    const blob = await tampered(await backupOf(store), (files) => {
      files.set('../../etc/passwd', 'x');
      files.set('/records/piece.json', '[]');
      files.set('records/..%2fpiece.json', '[]');
      files.set('setup.exe', 'x');
    });
    const backup = await opened(blob);
    expect(backup.unreadable.map((u) => u.part)).toEqual(['../../etc/passwd', '/records/piece.json', 'records/..%2fpiece.json', 'setup.exe']); // prettier-ignore
    expect(backup.records).toHaveLength(6);
  });

  test('a bomb is stopped at what it said, and takes no memory', async () => {
    const writer = new ZipWriter(new BlobWriter());
    await writer.add(
      'manifest.json',
      new TextReader(JSON.stringify({ format: 'rustic-lantern', formatVersion: 2 })),
    );
    await writer.add('records/piece.json', new TextReader(`[${' '.repeat(70 * 1024 * 1024)}]`));
    const backup = await opened(await writer.close());
    expect(backup.unreadable).toEqual([{ part: 'records/piece.json', reason: 'It says it is larger than anything in a backup.' }]); // prettier-ignore
  }, 30_000);

  test('keys that reach into the language are refused', async () => {
    const { store } = storeWith(shopOf());
    const blob = await tampered(await backupOf(store), (files) => {
      files.set('records/piece.json', '[{"__proto__":{"polluted":true}}]');
      files.delete('manifest.json');
    });
    const backup = await opened(blob);
    expect(backup.records.filter((r) => r.kind === 'piece')).toEqual([]);
    expect(backup.aside.map((a) => [a.key, a.reason])).toEqual([
      ['piece/unnamed', 'It is not readable as safe JSON.'],
    ]);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  test('a file cut anywhere gives back all that lies whole before the cut, and says that it was cut', async () => {
    const { store } = storeWith(shopOf());
    const blob = await backupOf(store);
    const bytes = new Uint8Array(await blob.arrayBuffer());
    const entries = (await new ZipReader(new BlobReader(blob)).getEntries()).sort(
      (a, b) => a.offset - b.offset,
    );
    const starts = entries.map((e) => e.offset);
    const key = (r: AnyStored): string => `${r.kind}/${r.id}`;
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: bytes.length - 1 }), async (n) => {
        const before = entries.filter((_, i) => (starts[i + 1] ?? bytes.length) <= n).map((e) => e.filename);
        const kinds = before.flatMap((f) => /^records\/(\w+)\.json$/.exec(f)?.[1] ?? []);
        const must = shopOf().filter((r) => r.kind !== 'picture' && kinds.includes(r.kind)).map(key);
        const read = await opened(new Blob([bytes.slice(0, n)])).catch((e: unknown) => e);
        if (read instanceof Error) {
          expect(read.message).toContain('Nothing was changed.');
          expect(must).toEqual([]);
          return;
        }
        const { records, unreadable } = read as Awaited<ReturnType<typeof opened>>;
        expect(records.map(key)).toEqual(expect.arrayContaining(must));
        for (const r of records) expect(shopOf().map(key)).toContain(key(r));
        expect(unreadable.map((u) => u.part)).toContain('the end of the file');
      }),
      { numRuns: 60 },
    ); // prettier-ignore
  });

  test('a list of records that was cut in the middle gives those that are whole', async () => {
    const many = Array.from({ length: 40 }, (_, i) => record('piece', `p${i}`, newPiece(`Piece ${i} ${'x'.repeat((i * 37) % 90)}`, NOW))); // prettier-ignore
    const { store } = storeWith(many);
    const blob = await backupOf(store);
    const [list, next] = (await new ZipReader(new BlobReader(blob)).getEntries()).sort((a, b) => a.offset - b.offset); // prettier-ignore
    expect(list?.filename).toBe('records/piece.json');
    const { records, unreadable } = await opened(blob.slice(0, Math.floor((next?.offset ?? 0) * 0.6)));
    expect(records.length).toBeGreaterThan(10);
    expect(records.length).toBeLessThan(40);
    expect(unreadable.map((u) => u.part)).toContain('records/piece.json');
  });

  test.each([
    ['bytes behind its end', (b: Blob) => new Blob([b, new Uint8Array(90_000).fill(7)])],
    ['bytes before its beginning', (b: Blob) => new Blob(['PK', new Uint8Array(5000).fill(7), b])],
  ])('%s cost nothing', async (_, spoilt) => {
    const { store } = storeWith(shopOf());
    const backup = await opened(spoilt(await backupOf(store)));
    expect(backup.records).toHaveLength(6);
    expect(backup.pictures).toEqual(['x1', 'x2']);
  });

  test('one record that cannot be read hides no other of its kind', async () => {
    const { store } = storeWith([...shopOf(), record('piece', 'p2', newPiece('Stool', NOW)), record('piece', 'p3', newPiece('Chest', NOW))]); // prettier-ignore
    const blob = await tampered(await backupOf(store), (files) => {
      files.delete('manifest.json');
      const text = files.get('records/piece.json') ?? '';
      const deep = `{"kind":"piece","id":"deep","body":${'['.repeat(5000)}${']'.repeat(5000)}}`;
      files.set('records/piece.json', `[{"__proto__":{"x":1},"kind":"piece","id":"evil"},${deep},${text.trim().slice(1)}`);
    });
    const backup = await opened(blob);
    expect(backup.records.filter((r) => r.kind === 'piece').map((r) => r.id).sort()).toEqual(['p1', 'p2', 'p3']);
    expect(backup.aside.map((a) => a.key).sort()).toEqual(['piece/deep', 'piece/evil']);
  }); // prettier-ignore

  describe('made to fill the memory: judged before it is unpacked', () => {
    const zipOf = async (files: readonly [path: string, bytes: Uint8Array][]): Promise<Blob> => {
      const writer = new ZipWriter(new BlobWriter());
      for (const [path, bytes] of files) await writer.add(path, new Uint8ArrayReader(bytes));
      return writer.close();
    };
    const zeros = new Uint8Array(2_000_000);

    test('photos of nothing but noughts, and empty ones', async () => {
      const photos = Array.from({ length: 60 }, (_, i): [string, Uint8Array] => [`pictures/x${i}.jpg`, i % 2 ? zeros : new Uint8Array()]); // prettier-ignore
      const list: [string, Uint8Array] = ['records/piece.json', new TextEncoder().encode('[]')];
      const backup = await opened(await zipOf([list, ...photos]));
      expect(backup.pictures).toEqual([]);
      expect(new Set(backup.unreadable.slice(0, 60).map((u) => u.reason))).toEqual(
        new Set(['It is empty.', 'It unpacks to far more than anything in a backup does.']),
      );
    });

    test('a list of millions of nothings, packed or not', async () => {
      const text = new TextEncoder().encode(`[${'{},'.repeat(900_000)}{}]`);
      const packed = await opened(await zipOf([['records/piece.json', text], ['records/face.json', new TextEncoder().encode('[]')]])); // prettier-ignore
      expect(packed.unreadable.map((u) => u.reason)).toContain('It unpacks to far more than anything in a backup does.'); // prettier-ignore
      const writer = new ZipWriter(new BlobWriter());
      await writer.add('records/piece.json', new Uint8ArrayReader(text), { level: 0 });
      const plain = await opened(await writer.close());
      expect(plain.aside).toHaveLength(50_000);
      expect(plain.unreadable.map((u) => u.reason).join(' ')).toContain('850001 more than the 50000');
    }, 60_000);

    test('files that lie over each other', async () => {
      const { store } = storeWith(shopOf());
      const bytes = new Uint8Array(await (await backupOf(store)).arrayBuffer());
      // Every entry of the list at the end points at the first file and says it is as large as all of them.
      const view = new DataView(bytes.buffer);
      for (let i = 0; i + 46 < bytes.length; i++)
        if (view.getUint32(i, true) === 0x02014b50) {
          view.setUint32(i + 42, 0, true);
          view.setUint32(i + 20, bytes.length - 200, true);
        }
      await expect(opened(new Blob([bytes]))).rejects.toThrow('lie over each other');
    });
  });

  test.each([
    ['nothing', new Blob([]), 'is empty'],
    ['a ZIP of something else', undefined, 'no backup of this app'],
    ['a text', new Blob(['hello']), 'no backup of this app'],
  ])('%s is refused in words', async (_, blob, message) => {
    const other = new ZipWriter(new BlobWriter());
    await other.add('letter.txt', new TextReader('Dear'));
    await expect(opened(blob ?? (await other.close()))).rejects.toThrow(message);
  });
});

test('one that was packed again with a password says so, and what to do', async () => {
  const { store } = storeWith(shopOf());
  const writer = new ZipWriter(new BlobWriter(), { password: 'glue' });
  for (const [path, text] of await filesIn(await backupOf(store))) await writer.add(path, new TextReader(text)); // prettier-ignore
  await expect(opened(await writer.close())).rejects.toThrow('“shop.zip” is locked with a password. Unpack it, pack its files again without one'); // prettier-ignore
});

describe('laying two devices together', () => {
  /** The shop on two devices, the second one begun from a backup of the first. */
  async function two() {
    const bench = storeWith([], 'bench');
    // Photos first: what shows them must find them.
    for (const r of shopOf().reverse())
      if (r.kind === 'picture') await bench.store.create<Kind>(r.kind, r.id, r.body);
    for (const r of shopOf()) if (r.kind !== 'picture') await bench.store.create<Kind>(r.kind, r.id, r.body);
    const desk = storeWith([], 'desk', LATER);
    await takeIn(desk.store, await backupOf(bench.store));
    const change = async (side: typeof bench, patch: Partial<Bodies['piece']>) => {
      const now = await side.store.get('piece', 'p1');
      if (now) await side.store.update('piece', 'p1', now.body, patch);
    };
    const back = async () => opened(await backupOf(desk.store));
    return { bench, desk, change, back };
  }

  test('what one side alone has changed wins, field by field, whatever its clock says', async () => {
    const { bench, desk, change, back } = await two();
    await change(bench, { note: 'Woodworm, old' });
    await change(desk, { client: 'Reading room' });
    const backup = await back();
    const preview = await previewBackup(bench.store, backup, NOW);
    expect([preview.conflicts, preview.newerThere, preview.same]).toEqual([[], ['Lectern'], 5]);
    await takeBackup(bench.store, backup, {}, HERE);
    const taken = await takeBackup(bench.store, backup, {}, HERE);
    expect(taken.written).toEqual([]);
    expect((await bench.store.get('piece', 'p1'))?.body).toMatchObject({
      note: 'Woodworm, old',
      client: 'Reading room',
    });
    // Laid together once more nothing is left to do.
    const again = await previewBackup(bench.store, await back(), NOW);
    expect([again.conflicts, again.newerThere, again.newerHere]).toEqual([[], [], ['Lectern']]);
  });

  test('a field changed on both sides is laid side by side, and what is chosen is taken', async () => {
    const { bench, desk, change, back } = await two();
    await change(bench, { note: 'from the bench' });
    await change(desk, { note: 'from the desk' });
    const backup = await back();
    const { conflicts } = await previewBackup(bench.store, backup, NOW);
    expect(conflicts).toEqual([{ key: 'piece/p1.note', title: 'Lectern', field: 'note', mine: '“from the bench”', theirs: '“from the desk”', later: 'theirs' }]); // prettier-ignore
    await takeBackup(bench.store, backup, { fields: { 'piece/p1.note': 'mine' } }, HERE);
    expect((await bench.store.get('piece', 'p1'))?.body.note).toBe('from the bench');
    await takeBackup(bench.store, backup, {}, HERE);
    expect((await bench.store.get('piece', 'p1'))?.body.note).toBe('from the bench');
  });

  test('undo takes back just what was written; edits made meanwhile stay', async () => {
    const { bench, desk, change, back } = await two();
    await change(desk, { client: 'Reading room', note: 'from the desk' });
    await desk.store.create('piece', 'p9', newPiece('New chair', LATER));
    await desk.store.create('piece', 'p8', newPiece('New stool', LATER));
    const before = (await bench.store.get('piece', 'p1'))?.body;
    const taken = await takeBackup(bench.store, await back(), {}, HERE);
    await change(bench, { note: 'seen meanwhile' });
    const chair = await bench.store.get('piece', 'p9');
    if (chair) await bench.store.update('piece', 'p9', chair.body, { note: 'glued already' });
    await takeBackupBack(bench.store, taken);
    expect((await bench.store.get('piece', 'p1'))?.body).toEqual({ ...before, note: 'seen meanwhile' });
    expect((await bench.store.get('piece', 'p9'))?.body.note).toBe('glued already');
    expect(await bench.store.get('piece', 'p8')).toBeUndefined();
    // What was taken back can be read in again.
    expect((await previewBackup(bench.store, await back(), NOW)).newerThere).toContain('Lectern');
  });

  test('merging is the same whichever side takes the other in, when nothing is in conflict', async () => {
    const field = fc.constantFrom<keyof Bodies['piece']>('note', 'client', 'name');
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(fc.boolean(), field, fc.string({ minLength: 1, maxLength: 8 })), { maxLength: 8 }), async (edits) => {
        const { bench, desk, change, back } = await two();
        for (const [onBench, f, text] of edits) {
          // A field belongs to one side, so that there is no conflict.
          if (onBench === (f === 'note')) await change(onBench ? bench : desk, { [f]: text });
        }
        const [there, here] = [await back(), await opened(await backupOf(bench.store))];
        expect((await previewBackup(bench.store, there, NOW)).conflicts).toEqual([]);
        await takeBackup(bench.store, there, {}, HERE);
        await takeBackup(desk.store, here, {}, HERE);
        expect((await bench.store.get('piece', 'p1'))?.body).toEqual((await desk.store.get('piece', 'p1'))?.body);
      }),
      { numRuns: 12 },
    ); // prettier-ignore
  });

  test('a full browser writes no record, and all that was there stays', async () => {
    const { bench, desk, change, back } = await two();
    await change(desk, { note: 'from the desk' });
    const backup = await back();
    const before = sorted(bench.storage.data);
    bench.storage.full = true;
    await expect(takeBackup(bench.store, backup, {}, HERE)).rejects.toThrow('no room left');
    expect(sorted(bench.storage.data)).toEqual(before);
  });
});
