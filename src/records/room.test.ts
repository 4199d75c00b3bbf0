import { memoryStorage } from '../testing/memoryStorage';
import { previewBackup, readBackup, writeBackup } from './backup';
import { newFace, newPiece } from './defaults';
import { clearUnused, roomTaken, thinPictures } from './room';
import { createStore } from './store';

const NOW = '2026-03-02T08:00:00';
const LATER = '2026-03-02T09:00:00';
const photo = (bytes: number, side: number) => ({ name: 'x.jpg', widthPx: side, heightPx: 10, jpeg: `/9jA${'A'.repeat(bytes)}` }); // prettier-ignore

async function shop() {
  const storage = memoryStorage();
  const store = createStore(storage, { now: () => NOW });
  await store.create('picture', 'face', photo(200_000, 1600));
  await store.create('picture', 'raking', photo(200_000, 1600));
  await store.create('picture', 'small', photo(400, 400));
  await store.create('picture', 'lost', photo(1000, 400));
  const raking = (pictureId: string) => ({ pictureId, role: 'raking' as const, note: '' });
  await store.create('piece', 'p', { ...newPiece('Lectern', NOW), photos: [raking('small')] });
  await store.create('face', 'f', { ...newFace('p', 'Top'), picture: { id: 'face', widthPx: 1600, heightPx: 10 }, photos: [raking('raking')] }); // prettier-ignore
  await store.create('log', 'l', { pieceId: 'p', taskId: 't', title: 'Before', doneAt: NOW, actualMin: 0, note: '', pictures: [{ pictureId: 'raking', role: 'before' }] }); // prettier-ignore
  storage.data.set('aside/piece/bad', '{"kind"');
  return { storage, store };
}

test('what takes room, what nothing shows, and what could be smaller', async () => {
  const { store } = await shop();
  const room = await roomTaken(store, LATER);
  expect(room.kinds.picture.count).toBe(4);
  expect(room.kinds.picture.bytes).toBeGreaterThan(401_400);
  expect(room.aside.count).toBe(1);
  expect(room.unused.map((u) => u.id)).toEqual(['lost']);
  // The face's own photo is measured on; the small one gains nothing.
  expect(room.thinnable.map((u) => u.id)).toEqual(['raking']);
});

test('photos that nothing shows are put away, and come back', async () => {
  const { store, storage } = await shop();
  const gone = await clearUnused(store, LATER);
  expect(gone.map((g) => g.id)).toEqual(['lost']);
  expect(storage.data.has('picture/lost')).toBe(false);
  expect(storage.data.has('picture/raking')).toBe(true);
});

test('a photo made smaller stands wherever the large one stood, and the large one is gone', async () => {
  const { store, storage } = await shop();
  const gained = await thinPictures(store, ['raking'], {
    shrink: async (p) => ({ ...p, widthPx: 1000, jpeg: '/9jAAAA' }),
    newId: () => 'thin',
    device: 'phone',
  });
  expect(gained).toBeGreaterThan(190_000);
  expect(storage.data.has('picture/raking')).toBe(false);
  expect((await store.get('face', 'f'))?.body.photos?.[0]?.pictureId).toBe('thin');
  expect((await store.get('log', 'l'))?.body.pictures[0]?.pictureId).toBe('thin');
  expect((await roomTaken(store, LATER)).unused.map((u) => u.id)).toEqual(['lost']);
});

test('a photo made smaller is a change like any other: another device takes it over without a conflict', async () => {
  const { store, storage } = await shop();
  const there = memoryStorage();
  storage.data.forEach((text, key) => there.data.set(key, text));
  await thinPictures(store, ['raking'], {
    shrink: async (p) => ({ ...p, widthPx: 1000, jpeg: '/9jAAAA' }),
    newId: () => 'thin',
    device: 'phone',
  });
  const { blob } = await writeBackup(store, { savedAt: NOW });
  const other = createStore(there, { now: () => NOW });
  const preview = await previewBackup(other, await readBackup(blob, 'phone.zip'), NOW);
  expect(preview.conflicts).toEqual([]);
  expect(preview.newerThere).toHaveLength(2);
});

test('a photo that would grow is left as it is', async () => {
  const { store } = await shop();
  expect(
    await thinPictures(store, ['small'], {
      shrink: async () => photo(9000, 400),
      newId: () => 'n',
      device: 'phone',
    }),
  ).toBe(0);
  expect((await roomTaken(store, LATER)).kinds.picture.count).toBe(4);
});
