import fc from 'fast-check';
import {
  ALL,
  begun,
  bodiesOf,
  dangling,
  device,
  doStep,
  exchanged,
  START,
  STEPS,
  type Device,
  type Step,
} from '../../testing/devices';
import { newDamage, newFace, newPiece } from '../defaults';
import { StoreError } from '../errors';
import { clearUnused } from '../room';
import type { AnyStored, Kind } from '../types';
import { previewBackup, takeBackupBack, writeBackup } from '.';

const PIECE = [{ kind: 'piece' as const, id: 'p1' }];
const WHOLE = [['piece', 'p1'], ['face', 'f1'], ['damage', 'd1'], ['picture', 'x1']] as const; // prettier-ignore
const FACE = [{ kind: 'face' as const, id: 'f1' }];
const has = async ({ store }: Device, kind: Kind, id: string): Promise<boolean> =>
  (await store.get(kind, id)) !== undefined;
const edit = async ({ store }: Device, note: string): Promise<void> => {
  const piece = await store.get('piece', 'p1');
  if (piece) await store.update('piece', 'p1', piece.body, { note });
};
const preview = async (on: Device, blob: Blob) => previewBackup(on.store, await on.opened(blob), on.now());

async function two(years = 0): Promise<[Device, Device]> {
  const bench = await begun('bench');
  const desk = device('desk', years);
  await desk.take(await bench.file());
  return [bench, desk];
}

describe('what was deleted', () => {
  test('does not come back from a device that did not change it, and goes there too', async () => {
    const [bench, desk] = await two(2);
    await bench.store.remove(PIECE);
    const back = await preview(bench, await desk.file());
    expect([back.fresh, back.questions, back.staysDeleted.length]).toEqual([[], [], 3]);
    await bench.take(await desk.file());
    expect(await has(bench, 'piece', 'p1')).toBe(false);
    expect(await has(bench, 'picture', 'x1')).toBe(false);
    expect((await preview(desk, await bench.file())).goes).toHaveLength(3);
    await desk.take(await bench.file());
    expect((await desk.store.listAll(ALL)).records).toEqual([]);
  });

  test.each<['keep' | 'delete', boolean]>([
    ['keep', true],
    ['delete', false],
  ])('and was changed elsewhere is asked: %s', async (choice, stands) => {
    const [bench, desk] = await two();
    await bench.store.remove(PIECE);
    await edit(desk, 'Woodworm');
    const { questions } = await preview(bench, await desk.file());
    expect(questions).toEqual([
      expect.objectContaining({ key: 'piece/p1', title: 'Lectern', deleted: 'here' }),
    ]);
    const asked = (await preview(desk, await bench.file())).questions;
    expect(asked).toEqual([expect.objectContaining({ key: 'piece/p1', deleted: 'there' })]);
    await bench.take(await desk.file(), { deleted: { 'piece/p1': choice } });
    expect(await has(bench, 'piece', 'p1')).toBe(stands);
    // Its face and damage, which nobody changed, stand with it or go with it.
    await desk.take(await bench.file());
    for (const one of [bench, desk])
      for (const [kind, id] of WHOLE) expect([one.name, kind, await has(one, kind, id)]).toEqual([one.name, kind, stands || (kind === 'picture' && one === desk)]); // prettier-ignore
    expect((await preview(bench, await desk.file())).questions).toEqual([]);
  });

  test('a backup of before brings it back when that is wanted', async () => {
    const bench = await begun('bench');
    const before = await bench.file();
    await bench.store.remove(PIECE);
    await bench.take(before);
    expect(await has(bench, 'piece', 'p1')).toBe(false);
    await bench.take(before, { gone: 'back' });
    for (const [kind, id] of WHOLE)
      expect([kind, await has(bench, kind, id)]).toEqual([kind, true]);
    // It is back for good: another device that heard of the deletion hears of this too.
    expect((await preview(bench, before)).staysDeleted).toEqual([]);
  }); // prettier-ignore

  test('what was deleted before it stays deleted when it is kept', async () => {
    const [bench, desk] = await two();
    await bench.store.remove([{ kind: 'damage', id: 'd1' }]);
    await bench.store.remove(PIECE);
    await edit(desk, 'Woodworm');
    await bench.take(await desk.file());
    expect([await has(bench, 'piece', 'p1'), await has(bench, 'face', 'f1'), await has(bench, 'damage', 'd1')]).toEqual([true, true, false]); // prettier-ignore
  });

  test('without an answer it is kept, so that nothing is lost', async () => {
    const [bench, desk] = await two();
    await bench.store.remove(PIECE);
    await edit(desk, 'Woodworm');
    await bench.take(await desk.file());
    expect((await bench.store.get('piece', 'p1'))?.body.note).toBe('Woodworm');
  });

  test('with something new hanging on it elsewhere is asked too, and nothing hangs on what is gone', async () => {
    const [bench, desk] = await two();
    await bench.store.remove(PIECE);
    await desk.store.create('damage', 'd2', newDamage('p1', 'f1', 2, 'dent'));
    const { questions } = await preview(bench, await desk.file());
    expect(questions.map((q) => [q.key, q.with.sort()])).toEqual([
      ['piece/p1', ['damage/d1', 'damage/d2', 'face/f1', 'piece/p1']],
    ]);
    await desk.take(await bench.file(), { deleted: { 'piece/p1': 'delete' } });
    expect((await desk.store.listAll(ALL)).records).toEqual([]);
    await bench.take(await desk.file());
    expect((await bench.store.listAll(ALL)).records).toEqual([]);
  });

  test('and brought back by Undo comes back elsewhere', async () => {
    const [bench, desk] = await two();
    const gone = await bench.store.remove(PIECE);
    await desk.take(await bench.file());
    expect(await has(desk, 'piece', 'p1')).toBe(false);
    await bench.store.restore(gone);
    await desk.take(await bench.file());
    expect(await has(desk, 'damage', 'd1')).toBe(true);
    expect(await has(desk, 'picture', 'x1')).toBe(true);
  });

  test('goes with a piece’s own file, and only that piece’s marks do', async () => {
    const [bench, desk] = await two();
    await bench.store.create('piece', 'p2', newPiece('Stool', START));
    await bench.store.remove([{ kind: 'piece', id: 'p2' }]);
    await bench.store.remove([{ kind: 'damage', id: 'd1' }]);
    const blob = await bench.file('p1');
    expect((await bench.opened(blob)).deleted.map((m) => m.id)).toEqual(['d1']);
    await desk.take(blob);
    expect([await has(desk, 'damage', 'd1'), await has(desk, 'face', 'f1')]).toEqual([false, true]);
  });

  test('is remembered for a year by each clock, and the mark is as old there as it was here', async () => {
    const [bench, desk] = await two(-2);
    await bench.store.remove(PIECE);
    const [mark] = (await bench.opened(await bench.file())).deleted;
    expect(mark?.deletedAt).toContain('2026-03-02');
    await desk.take(await bench.file());
    const here = [...(await desk.store.deleted()).values()].map((m) => m.deletedAt.slice(0, 10));
    expect(new Set(here)).toEqual(new Set(['2024-03-02']));
    const late = '2027-03-03T09:00:00';
    const later = (await writeBackup(bench.store, { savedAt: late })).blob;
    expect((await bench.opened(later)).deleted).toEqual([]);
  });

  test('and taken back with the whole file stands as before', async () => {
    const [bench, desk] = await two();
    await desk.store.remove(PIECE);
    const before = new Map(bench.storage.data);
    const taken = await bench.take(await desk.file());
    expect(await has(bench, 'piece', 'p1')).toBe(false);
    await takeBackupBack(bench.store, taken);
    expect([...bench.storage.data].sort()).toEqual([...before].sort());
  });
});

describe('undo of a deletion', () => {
  test('is laid field by field over what was read in again and changed meanwhile', async () => {
    const bench = await begun('bench');
    const blob = await bench.file();
    const gone = await bench.store.remove(PIECE);
    const other = device('other');
    await other.take(blob);
    await edit(other, 'changed there');
    await bench.take(await other.file());
    const piece = await bench.store.get('piece', 'p1');
    if (piece) await bench.store.update('piece', 'p1', piece.body, { client: 'Reading room' });
    await bench.store.restore(gone);
    expect((await bench.store.get('piece', 'p1'))?.body).toMatchObject({ note: 'changed there', client: 'Reading room' }); // prettier-ignore
  });

  test('of something whose piece is gone by now is told, and nothing is left hanging', async () => {
    const bench = await begun('bench');
    const gone = await bench.store.remove([{ kind: 'damage', id: 'd1' }]);
    await bench.store.remove(PIECE);
    await expect(bench.store.restore(gone)).rejects.toThrow('Bring that back first');
    expect((await bench.store.listAll(ALL)).records).toEqual([]);
  });
});

describe('two windows over one store', () => {
  test('what another window hung on a piece goes with it, and comes back with it', async () => {
    const bench = await begun('bench');
    await bench.store.create('damage', 'late', newDamage('p1', 'f1', 2, 'dent'));
    // The first window does not know of the late damage.
    const gone = await bench.store.remove([...PIECE, ...FACE]);
    expect(gone.map((r) => r.id).sort()).toEqual(['d1', 'f1', 'late', 'p1', 'x1']);
    await bench.store.restore(gone);
    expect(await has(bench, 'damage', 'late')).toBe(true);
  });

  test.each<[string, Kind, string]>([
    ['piece', 'piece', 'The piece that this belongs to was deleted'],
    ['face', 'face', 'The face that this lies on was deleted'],
  ])('a record is not made where its %s was deleted a moment ago', async (_, kind, words) => {
    const bench = await begun('bench');
    await bench.store.remove([{ kind, id: kind === 'piece' ? 'p1' : 'f1' }]);
    const late = bench.store.create('damage', 'late', newDamage('p1', 'f1', 2, 'dent'));
    await expect(late).rejects.toThrow(StoreError);
    await expect(bench.store.create('damage', 'late', newDamage('p1', 'f1', 2, 'dent'))).rejects.toThrow(words); // prettier-ignore
    expect(await has(bench, 'damage', 'late')).toBe(false);
  });

  test('a photo that another window shows meanwhile is not cleared away; one just taken is left its time', async () => {
    const bench = await begun('bench');
    await bench.store.create('picture', 'x2', { name: 'x.jpg', widthPx: 8, heightPx: 6, jpeg: '/9jAAAA' });
    expect(await clearUnused(bench.store, '2026-03-02T08:59:00')).toEqual([]);
    const clearing = clearUnused(bench.store, '2026-03-03T08:00:00');
    const face = await bench.store.get('face', 'f1');
    const linking = bench.store.update('face', 'f1', face?.body ?? newFace('p1', 'Top'), { photos: [{ pictureId: 'x2', role: 'detail', note: '' }] }); // prettier-ignore
    const [cleared, linked] = await Promise.allSettled([clearing, linking]);
    // Whichever came first: a photo that is shown is there.
    const isShown = linked.status === 'fulfilled';
    expect(await has(bench, 'picture', 'x2')).toBe(isShown);
    expect(cleared.status === 'fulfilled' && cleared.value.length === 1).toBe(!isShown);
    const record = await bench.store.get('face', 'f1');
    expect(record?.body.photos?.length ?? 0).toBe(isShown ? 1 : 0);
  });
});

test('what was set aside is not doubled by sending it to and fro', async () => {
  const [bench, desk] = await two();
  bench.storage.data.set('piece/torn', '{"kind":"piece"');
  bench.storage.data.set('aside/piece/torn', JSON.stringify({ key: 'piece/torn', reason: 'Torn.', text: '{"kind":"piece"' })); // prettier-ignore
  for (let i = 0; i < 4; i++) {
    await desk.take(await bench.file());
    await bench.take(await desk.file());
    await bench.store.list('piece');
  }
  expect((await desk.store.listAside()).map((a) => a.key)).toEqual(['piece/torn']);
  expect((await bench.store.listAside()).length).toBeLessThanOrEqual(2);
});

const step = fc.record<Step>({
  on: fc.nat(3),
  what: fc.constantFrom(...STEPS),
  n: fc.nat(40),
});

test('devices whose clocks are years apart come to the same, deletions included, and nothing dangles on the way', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 2, max: 4 }),
      fc.array(fc.integer({ min: -1, max: 1 }), { minLength: 4, maxLength: 4 }),
      fc.array(step, { maxLength: 24 }),
      async (count, years, steps) => {
        const all = [await begun('d0', years[0])];
        for (let i = 1; i < count; i++) {
          const next = device(`d${i}`, years[i]);
          await next.take((await all[0]?.file()) ?? new Blob());
          all.push(next);
        }
        const undo = new Map<string, AnyStored[]>();
        for (const s of steps) {
          await doStep(all, s, undo).catch((error: unknown) => {
            if (!(error instanceof StoreError)) throw error;
          });
          for (const one of all) expect(await dangling(one)).toEqual([]);
        }
        await exchanged(all);
        const [first, ...rest] = await Promise.all(all.map(bodiesOf));
        for (const other of rest) expect(other).toEqual(first);
        for (const one of all) expect(await dangling(one)).toEqual([]);
      },
    ),
    { numRuns: 15 },
  );
}, 120_000);
