import fc from 'fast-check';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { ConflictError, NewerError, StoreError } from './errors';
import { readRecord } from './migrate';
import { SHAPE_VERSION } from './schemas';
import { createStore } from './store';
import { memoryStorage } from '../testing/memoryStorage';
import { assertFileSize, importText } from './transfer';
import type { AnyStored } from './types';

const NOW = '2026-03-02T08:00:00';

const setUp = () => {
  const storage = memoryStorage();
  return { storage, store: createStore(storage, { now: () => NOW }) };
};
const PIECE = newPiece('Lectern', NOW);

/** Records in one file, as they were once saved. */
const oldFile = (records: readonly AnyStored[]): string =>
  JSON.stringify({
    format: 'rustic-lantern',
    formatVersion: 1,
    shapeVersion: SHAPE_VERSION,
    savedAt: NOW,
    records,
  });

describe('store', () => {
  test('what is written comes back, and a change counts up', async () => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    const changed = await store.update('piece', 'p1', PIECE, { name: 'Lectern, slope' });
    expect(changed.revision).toBe(2);
    expect((await store.list('piece')).records.map((r) => r.body.name)).toEqual(['Lectern, slope']);
  });

  test('a text that was found whole is not checked again, and one that was changed or spoilt is', async () => {
    const { storage, store } = setUp();
    await store.create('piece', 'p1', PIECE);
    await store.create('piece', 'p2', PIECE);
    const first = (await store.list('piece')).records;
    const again = (await store.list('piece')).records;
    expect(first.every((record, k) => record === again[k])).toBe(true);
    await store.update('piece', 'p1', PIECE, { name: 'Lectern, slope' });
    await storage.setItem('piece/p2', '{"kind":"piece"');
    const { records, unreadable } = await store.list('piece');
    expect(records.map((r) => r.body.name)).toEqual(['Lectern, slope']);
    expect(unreadable).toBe(1);
    // Records that were handed out before stay as they were.
    expect(first.map((r) => r.body.name)).toEqual([PIECE.name, PIECE.name]);
  });

  test('what does not pass its schema is not written', async () => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    await expect(store.update('piece', 'p1', PIECE, { name: '' })).rejects.toThrow('cannot be saved: "name"');
    await expect(store.create('face', 'f', { ...newFace('p1', 'Top'), veneerMm: 40 })).rejects.toThrow(
      'veneerMm',
    );
    expect((await store.get('piece', 'p1'))?.body.name).toBe('Lectern');
  });

  test('two windows: different fields both stay, the same field is a conflict that can be forced', async () => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    await store.update('piece', 'p1', PIECE, { note: 'from window A' });
    const merged = await store.update('piece', 'p1', PIECE, { client: 'Reading room' });
    expect(merged.body).toMatchObject({ note: 'from window A', client: 'Reading room' });
    const clash = store.update('piece', 'p1', PIECE, { note: 'from window B' });
    await expect(clash).rejects.toBeInstanceOf(ConflictError);
    expect((await store.get('piece', 'p1'))?.body.note).toBe('from window A');
    await store.update('piece', 'p1', PIECE, { note: 'from window B' }, true);
    expect((await store.get('piece', 'p1'))?.body.note).toBe('from window B');
  });

  test('a full store says so, and nothing that was there is lost', async () => {
    const { store, storage } = setUp();
    await store.create('piece', 'p1', PIECE);
    storage.full = true;
    await expect(store.create('piece', 'p2', PIECE)).rejects.toThrow('no room left');
    await expect(store.update('piece', 'p1', PIECE, { name: 'x' })).rejects.toBeInstanceOf(StoreError);
    expect((await store.list('piece')).records.map((r) => r.body.name)).toEqual(['Lectern']);
  });

  test('a disk without room is told as such; a store that the browser closed asks for the page anew', async () => {
    const { store, storage } = setUp();
    await store.create('piece', 'p1', PIECE);
    const refuse = (message: string) => (storage.setMany = () => Promise.reject(new Error(message)));
    refuse('IO error: 000003.log: FILE_ERROR_NO_SPACE (ChromeMethodBFE: 3::WritableFileAppend::8)');
    await expect(store.create('piece', 'p2', PIECE)).rejects.toThrow('no room left');
    refuse('Connection is closing because of: IO error: 000003.log: FILE_ERROR_NO_SPACE');
    const closed = expect(store.create('piece', 'p2', PIECE)).rejects;
    await closed.toThrow(/^The browser closed its store.*Make room.*load the page again/);
    refuse("Failed to execute 'transaction' on 'IDBDatabase': The database connection is closing.");
    await expect(store.create('piece', 'p2', PIECE)).rejects.toThrow(/^The browser closed its store/);
  });

  test('a corrupt record is set aside, kept, and stops nothing', async () => {
    const { store, storage } = setUp();
    await store.create('piece', 'p1', PIECE);
    storage.data.set('piece/bad1', '{"kind":"piece","id":"bad1",');
    storage.data.set(
      'piece/bad2',
      JSON.stringify({
        kind: 'piece',
        id: 'bad2',
        version: SHAPE_VERSION,
        revision: 1,
        savedAt: NOW,
        body: { name: 7 },
      }),
    );
    const { records, unreadable } = await store.list('piece');
    expect([records.length, unreadable]).toEqual([1, 2]);
    expect((await store.listAside()).map((a) => [a.key, a.text.slice(0, 10)])).toEqual([
      ['piece/bad1', '{"kind":"p'],
      ['piece/bad2', '{"kind":"p'],
    ]);
    expect((await store.list('piece')).unreadable).toBe(0);
  });

  test('a record of a newer app stays where it is', async () => {
    const { store, storage } = setUp();
    const text = JSON.stringify({
      kind: 'piece',
      id: 'n',
      version: 99,
      revision: 1,
      savedAt: NOW,
      body: { future: true },
    });
    storage.data.set('piece/n', text);
    expect(await store.list('piece')).toEqual({ records: [], unreadable: 1 });
    expect(storage.data.get('piece/n')).toBe(text);
  });

  test('what is removed can be put back', async () => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    const removed = await store.remove([{ kind: 'piece', id: 'p1' }]);
    expect((await store.list('piece')).records).toEqual([]);
    await store.restore(removed);
    expect((await store.get('piece', 'p1'))?.body).toEqual(PIECE);
  });

  test('a picture goes with the last record that shows it, and comes back with it', async () => {
    const { store, storage } = setUp();
    await store.putAll(sample());
    const log = {
      pieceId: 'p1',
      taskId: 't',
      title: 'Before',
      doneAt: NOW,
      actualMin: 0,
      note: '',
      pictures: [{ pictureId: 'x1', role: 'before' as const }],
    };
    await store.create('log', 'l1', log);
    await store.remove([{ kind: 'face', id: 'f1' }]);
    expect(storage.data.has('picture/x1')).toBe(true);
    const removed = await store.remove([{ kind: 'log', id: 'l1' }]);
    expect(storage.data.has('picture/x1')).toBe(false);
    await store.restore(removed);
    expect(storage.data.has('picture/x1')).toBe(true);
    expect(storage.data.has('log/l1')).toBe(true);
  });

  test('a change to a record deleted elsewhere is told, not dropped', async () => {
    const { store } = setUp();
    await expect(store.update('piece', 'gone', PIECE, { name: 'x' })).rejects.toThrow(
      'deleted in another window',
    );
  });
});

const stored = (over: Partial<AnyStored> & Pick<AnyStored, 'kind' | 'id' | 'body'>): unknown => ({
  version: SHAPE_VERSION,
  revision: 1,
  savedAt: NOW,
  ...over,
});
const sample = (): AnyStored[] =>
  [
    stored({ kind: 'piece', id: 'p1', body: PIECE }),
    stored({
      kind: 'face',
      id: 'f1',
      body: { ...newFace('p1', 'Slope'), picture: { id: 'x1', widthPx: 10, heightPx: 10 } },
    }),
    stored({ kind: 'damage', id: 'd1', body: { ...newDamage('p1', 'f1', 1, 'liftedEdge'), outline: [[0.1, 0.1], [0.2, 0.1], [0.2, 0.2]] } }), // prettier-ignore
    stored({ kind: 'picture', id: 'x1', body: { name: 'a', widthPx: 10, heightPx: 10, jpeg: '/9jAAAA' } }),
    stored({ kind: 'shop', id: 'shop', body: DEFAULT_SHOP }),
  ] as AnyStored[];

test('a record of the first shape is read as it was, in the present shape', () => {
  const old = { ...(sample()[0] ?? {}), version: 1 };
  const read = readRecord(old);
  expect(read.ok && read.record).toEqual({ ...old, version: SHAPE_VERSION });
});

test.each<[string, Record<string, unknown>]>([
  ['a depth below nothing', { answers: { depthMm: -1 } }],
  ['a hole without a size', { mark: { tool: 'circle', at: [0.5, 0.5] } }],
  ['a crack of no width', { mark: { tool: 'line', points: [[0, 0], [1, 1]], widthMm: 0 } }], // prettier-ignore
  ['an answer that is none of the answers', { answers: { oldGlue: 'jam' } }],
  ['a field from nowhere', { mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 5, constructor: 1 } }],
])('a damage with %s is not taken', (_, more) => {
  const damage = stored({
    kind: 'damage',
    id: 'd',
    body: { ...newDamage('p1', 'f1', 1, 'hole'), ...more } as never,
  });
  expect(readRecord(damage).ok).toBe(false);
});

test('a piece’s photos go with it, and come back with it', async () => {
  const { store } = setUp();
  const picture = { name: 'x', widthPx: 2, heightPx: 2, jpeg: '/9j/4AAQ' };
  const { id } = await store.create('picture', 'pic1', picture);
  await store.create('piece', 'p1', { ...PIECE, photos: [{ pictureId: id, role: 'overall', note: '' }] });
  const removed = await store.remove([{ kind: 'piece', id: 'p1' }]);
  expect(removed.map((r) => r.kind).sort()).toEqual(['picture', 'piece']);
});

describe('what is entered for sums', () => {
  const damage = newDamage('p1', 'f1', 1, 'blister');
  const made = async (figures: Record<string, unknown>) => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    await store.create('face', 'f1', newFace('p1', 'Top'));
    const body = { ...damage, figures: figures as Record<string, number> };
    return (await store.create('damage', 'd', body)).body.figures;
  };

  test('a number or a word under its page and field is kept', async () => {
    const figures = { 'hollow.depth': 25.5, 'hollow.shape': 'bored', 'slit.aside': -12 };
    expect(await made(figures)).toEqual(figures);
  });

  test.each<[string, Record<string, unknown>]>([
    ['no field', { hollow: 1 }],
    ['a name of the language', { constructor: 1 }],
    ['a name that reaches further in', { 'a.b.c': 1 }],
    ['a number that is none', { 'hollow.depth': NaN }],
    ['a number beyond all use', { 'hollow.depth': 1e9 }],
    ['a list', { 'hollow.depth': [1] }],
    ['a word without end', { 'hollow.shape': 'x'.repeat(200) }],
    ['too many', Object.fromEntries(Array.from({ length: 90 }, (_, i) => [`aa.${String.fromCharCode(97 + Math.floor(i / 26))}${String.fromCharCode(97 + (i % 26))}`, 1]))], // prettier-ignore
  ])('%s is not', async (_, figures) => {
    await expect(made(figures)).rejects.toThrow('cannot be saved');
  });

  test('a layout remembers what it was placed for, through a file', () => {
    const placed = {
      cauls: [{ from: [0, 230] as const, to: [600, 230] as const, widthMm: 45, heightMm: 60, camberMm: 2.3 }],
      clamps: [{ at: [20, 230] as const, clamp: 'cClamp' as const, forceN: 1100 }],
      loose: { areaMm2: 6000, at: [300, 225] as const },
    };
    const record: AnyStored = {
      kind: 'damage',
      id: 'd',
      version: SHAPE_VERSION,
      revision: 3,
      savedAt: NOW,
      body: { ...damage, glue: { placed }, figures: { 'bag.height': 800 } },
    };
    const envelope = { version: SHAPE_VERSION, revision: 1, savedAt: NOW };
    const piece: AnyStored = { kind: 'piece', id: 'p1', ...envelope, body: PIECE };
    const face: AnyStored = { kind: 'face', id: 'f1', ...envelope, body: newFace('p1', 'Top') };
    const { records } = importText(oldFile([piece, face, record]), 'shop.json');
    expect(records).toContainEqual(record);
  });
});

describe('files of the old kind', () => {
  const text = oldFile(sample());
  const withRecord = (record: unknown): string =>
    text.replace('"records":[', `"records":[${JSON.stringify(record)},`);

  test('all of it comes back the same', () => {
    expect(importText(text, 'x.lantern.json')).toEqual({
      records: sample(),
      savedAt: NOW,
      aside: [],
      unreadable: [],
    });
  });

  test('notes of any text survive', () => {
    fc.assert(
      fc.property(fc.fullUnicodeString({ maxLength: 300 }), (note) => {
        const records = [stored({ kind: 'piece', id: 'p1', body: { ...PIECE, note } })] as AnyStored[];
        expect(importText(oldFile(records), 'x').records).toEqual(records);
      }),
    );
  });

  test.each([
    ['not JSON', 'hello', 'no backup'],
    ['cut in half', text.slice(0, text.length / 2), 'cut off'],
    ['another file', '{"a":1}', 'no backup'],
    ['a list', '[1]', 'no backup'],
    ['newer', text.replace('"formatVersion":1', '"formatVersion":2'), 'newer version'],
    [
      '__proto__ in a body',
      text.replace('"client":""', '"client":"","__proto__":{"polluted":true}'),
      'not safe to read',
    ],
    [
      '__proto__ as a record',
      text.replace('"records":[', '"records":[{"__proto__":{"kind":"piece"}},'),
      'not safe to read',
    ],
  ])('%s is refused and nothing changes', (_, bad, message) => {
    expect(() => importText(bad, 'x.lantern.json')).toThrow(message);
    expect(() => importText(bad, 'x.lantern.json')).toThrow('Nothing was changed.');
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  test.each([
    ['of a newer version', text.replace(`"version":${SHAPE_VERSION}`, '"version":99'), 'newer version'],
    [
      'with a school that is none',
      withRecord(stored({ kind: 'piece', id: 'p9', body: { ...PIECE, school: 'x' } as never })),
      'school',
    ],
    ['with a path for a name', text.replace('"id":"p1"', '"id":"../../p1"'), '"id"'],
    ['with markup for a picture', text.replace('/9jAAAA', '<svg onload=alert(1)>'), 'jpeg'],
  ])('one record %s is set aside, and the others come in', (_, bad, reason) => {
    const { records, aside } = importText(bad, 'x.lantern.json');
    expect(aside).toHaveLength(1);
    expect(aside[0]?.reason).toContain(reason);
    expect(records.length).toBeGreaterThanOrEqual(4);
  });

  test('of two records of one name the first is taken, and that is said', () => {
    const { records, unreadable } = importText(withRecord(sample()[0]), 'x');
    expect(records).toHaveLength(5);
    expect(unreadable[0]?.reason).toContain('piece/p1 twice');
  });

  test('200 MB are refused by size alone', () => {
    expect(() => assertFileSize(200 * 1024 * 1024, 'big.json')).toThrow(
      '“big.json” has 200 MB; of the old kind of file up to 150 MB',
    );
  });

  test('a file cut anywhere is refused', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), (n) => {
        expect(() => importText(text.slice(0, n), 'x')).toThrow('Nothing was changed.');
      }),
    );
  });
});

describe('nothing is written over', () => {
  const newer = JSON.stringify({
    ...(stored({ kind: 'shop', id: 'shop', body: DEFAULT_SHOP }) as object),
    version: 99,
  });

  test('a record is not made where there is one already', async () => {
    const { store } = setUp();
    await store.create('piece', 'p1', PIECE);
    await expect(store.create('piece', 'p1', { ...PIECE, name: 'Other' })).rejects.toThrow(
      'nothing was written over',
    );
    expect((await store.get('piece', 'p1'))?.body.name).toBe('Lectern');
  });

  test('where a newer version has been, nothing is written any more, and that is told truthfully and once', async () => {
    const storage = memoryStorage({ 'shop/shop': newer });
    let told = 0;
    const store = createStore(storage, { now: () => NOW, onNewer: () => void told++ });
    await expect(store.create('shop', 'shop', DEFAULT_SHOP)).rejects.toThrow('newer version of the app');
    await expect(store.update('shop', 'shop', DEFAULT_SHOP, { hands: 2 })).rejects.toBeInstanceOf(NewerError);
    await expect(store.create('piece', 'p1', PIECE)).rejects.toThrow('All that was saved is safe');
    await expect(store.putAll(sample())).rejects.toBeInstanceOf(NewerError);
    await expect(store.remove([{ kind: 'piece', id: 'p1' }])).rejects.toBeInstanceOf(NewerError);
    expect([...storage.data]).toEqual([['shop/shop', newer]]);
    expect(told).toBe(1);
  });

  test('where there is no room to set a corrupt record aside it stays, and the others are shown', async () => {
    const { store, storage } = setUp();
    await store.create('piece', 'p1', PIECE);
    storage.data.set('piece/bad', '{"kind"');
    storage.full = true;
    expect(await store.list('piece')).toMatchObject({ unreadable: 1, records: [{ id: 'p1' }] });
    expect(storage.data.get('piece/bad')).toBe('{"kind"');
  });

  test('many records are checked in slices: what else waits has its turn in between', async () => {
    const { store } = setUp();
    for (let i = 0; i < 8; i++) await store.create('piece', `p${i}`, PIECE);
    let clock = 0;
    const slow = jest.spyOn(performance, 'now').mockImplementation(() => (clock += 13));
    let turns = 0;
    const other = setInterval(() => turns++, 0);
    expect((await store.list('piece')).records).toHaveLength(8);
    clearInterval(other);
    slow.mockRestore();
    expect(turns).toBeGreaterThan(3);
  });

  test('it is told that something was set aside, once it lies there', async () => {
    const storage = memoryStorage();
    const told: boolean[] = [];
    const store = createStore(storage, {
      now: () => NOW,
      onAside: () => told.push([...storage.data.keys()].some((k) => k.startsWith('aside/piece/bad1~'))),
    });
    await store.list('piece');
    expect(told).toEqual([]);
    storage.data.set('piece/bad1', '{"kind":"piece"');
    await store.list('piece');
    await store.list('piece');
    expect(told).toEqual([true]);
  });

  test('what was set aside under a name stays when another is', async () => {
    const { store, storage } = setUp();
    for (const text of ['{"first"', '{"second"']) {
      storage.data.set('piece/bad', text);
      await store.list('piece');
    }
    expect((await store.listAside()).map((a) => a.text)).toEqual(['{"first"', '{"second"']);
  });
});

describe('versions and dates', () => {
  const record = (over: object, body: object = {}): unknown => ({
    kind: 'piece', id: 'p', version: SHAPE_VERSION, revision: 1, savedAt: NOW, body: { ...PIECE, ...body }, ...over,
  }); // prettier-ignore

  test.each([-1e17, -1, 0, 0.5, 1.5, NaN, Infinity, -Infinity, '1', null])(
    'a version of %p is no version, and is told at once',
    (version) => {
      const read = readRecord(record({ version }));
      expect(read.ok ? '' : read.reason).toContain('version');
      expect(read.ok ? false : read.newer).toBe(false);
    },
  );

  test('whole versions up to the present one are read, and a later one is left alone as newer', () => {
    for (let version = 1; version <= SHAPE_VERSION; version++)
      expect(readRecord(record({ version })).ok).toBe(true);
    const later = readRecord(record({ version: SHAPE_VERSION + 1 }));
    expect(later.ok ? undefined : later.newer).toBe(true);
  });

  test.each<[string, object]>([
    ['a thirteenth month', { createdAt: '2026-13-01T08:00:00' }],
    ['a day that February has not', { createdAt: '2026-02-30T08:00:00' }],
    ['an hour that no clock shows', { createdAt: '2026-03-02T25:00:00' }],
    ['a sixty-first minute', { createdAt: '2026-03-02T08:61:00' }],
    ['a deadline on no day', { deadline: '2026-13-45' }],
    ['the 29th of February in a common year', { deadline: '2027-02-29' }],
  ])('%s is refused', (_, body) => {
    expect(readRecord(record({}, body)).ok).toBe(false);
  });

  test('a leap day is a day', () => {
    expect(readRecord(record({}, { deadline: '2028-02-29' })).ok).toBe(true);
  });

  test.each<[string, object]>([
    ['hours that run backwards', { workingHours: { from: '17:00', to: '08:00' } }],
    ['no hours at all', { workingHours: { from: '08:00', to: '08:00' } }],
    ['an hour that is none', { workingHours: { from: '08:00', to: '99:99' } }],
  ])('a shop with %s is refused', (_, over) => {
    const shop = { kind: 'shop', id: 'shop', version: SHAPE_VERSION, revision: 1, savedAt: NOW, body: { ...DEFAULT_SHOP, ...over } }; // prettier-ignore
    expect(readRecord(shop).ok).toBe(false);
    expect(readRecord({ ...shop, body: DEFAULT_SHOP }).ok).toBe(true);
  });

  test('there is one shop: a second one is refused', () => {
    const shop = {
      kind: 'shop',
      id: 'shop',
      version: SHAPE_VERSION,
      revision: 1,
      savedAt: NOW,
      body: DEFAULT_SHOP,
    };
    expect(readRecord(shop).ok).toBe(true);
    expect(readRecord({ ...shop, id: 'other' }).ok).toBe(false);
  });
});

test('what claims to be a version and is none is told from its beginning, no further than it can be read', () => {
  const read = (version: unknown) => readRecord({ kind: 'piece', id: 'p', version, body: {} });
  expect(read('abc')).toMatchObject({ ok: false, reason: 'Its version “abc” is no whole number from 1 on.' });
  expect(read('v'.repeat(900))).toMatchObject({ reason: `Its version “${'v'.repeat(40)}” is no whole number from 1 on.` }); // prettier-ignore
});
