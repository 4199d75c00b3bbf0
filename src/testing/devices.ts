// Devices with clocks of their own that work on one shop and hand it to each other in files.
import { linksOf } from '@/records/links';
import { newDamage, newFace, newPiece } from '@/records/defaults';
import { readBackup, takeBackup, writeBackup, type TakeChoices } from '@/records/backup';
import { clearUnused, thinPictures } from '@/records/room';
import { createStore, type Exclusively } from '@/records/store';
import type { AnyStored, Kind } from '@/records/types';
import { memoryStorage } from './memoryStorage';

export const START = '2026-03-02T08:00:00';
const PHOTO = { name: 'x.jpg', widthPx: 8, heightPx: 6, jpeg: `/9jA${'A'.repeat(400)}` };
export const ALL: Kind[] = ['piece', 'face', 'damage', 'veneer', 'log', 'colour', 'board', 'lumber', 'shop'];

/** A device with a clock of its own, which may be years off. */
export function device(name: string, years = 0) {
  const storage = memoryStorage();
  let minutes = 0;
  const now = (): string => {
    const date = new Date(Date.UTC(2026 + years, 2, 2, 8, minutes++));
    return date.toISOString().slice(0, 19);
  };
  // One window writes at a time, as browsers see to it.
  let queue: Promise<unknown> = Promise.resolve();
  const exclusively: Exclusively = (work) => {
    const next = queue.then(work);
    queue = next.catch(() => undefined);
    return next;
  };
  const store = createStore(storage, { now, exclusively, device: () => name });
  return {
    name,
    now,
    storage,
    store,
    file: async (only?: string) =>
      (await writeBackup(store, { savedAt: now(), ...(only ? { only } : {}) })).blob,
    opened: async (blob: Blob) => readBackup(blob, 'shop.zip'),
    take: async (blob: Blob, choices: TakeChoices = {}) =>
      takeBackup(store, await readBackup(blob, 'shop.zip'), choices, { now: now(), device: name }),
  };
}
export type Device = ReturnType<typeof device>;

export async function begun(name: string, years = 0): Promise<Device> {
  const one = device(name, years);
  await one.store.create('picture', 'x1', PHOTO);
  await one.store.create('piece', 'p1', newPiece('Lectern', START));
  await one.store.create('face', 'f1', { ...newFace('p1', 'Top'), picture: { id: 'x1', widthPx: 8, heightPx: 6 } }); // prettier-ignore
  await one.store.create('damage', 'd1', newDamage('p1', 'f1', 1, 'gouge'));
  return one;
}
/** Every link that must hold does, and no photo that something shows is gone. */
export async function dangling({ store }: Device): Promise<string[]> {
  const { records } = await store.listAll(ALL);
  const names = new Set((await store.keys()).records);
  return records.flatMap((r: AnyStored) =>
    linksOf(r)
      .filter((l) => l.hold !== 'names' && !names.has(`${l.kind}/${l.id}`))
      .map((l) => `${r.kind}/${r.id} → ${l.kind}/${l.id}`),
  );
}

export const STEPS = ['note', 'face', 'damage', 'part', 'sheet', 'log', 'remove', 'undo', 'thin', 'clear', 'send', 'send'] as const; // prettier-ignore
export type Step = { on: number; what: (typeof STEPS)[number]; n: number };
/** One thing done on a device; what its store refuses is no fault. */
export async function doStep(
  all: readonly Device[],
  { on, what, n }: Step,
  undo: Map<string, AnyStored[]>,
): Promise<void> {
  const one = all[on % all.length];
  const other = all[n % all.length];
  if (!one || !other) return;
  const { store } = one;
  const { records } = await store.listAll(ALL);
  const pick = <K extends Kind>(kind: K): AnyStored | undefined => {
    const own = records.filter((r) => r.kind === kind);
    return own[n % Math.max(1, own.length)];
  };
  const photo = async (): Promise<string> => (await store.create('picture', `x-${one.name}-${one.now().replace(/\D/g, '')}`, PHOTO)).id; // prettier-ignore
  const [piece, face] = [pick('piece'), pick('face')];
  const name = `${one.name}${n}-${one.now().replace(/\D/g, '')}`;
  switch (what) {
    case 'note':
      if (piece?.kind === 'piece')
        await store.update('piece', piece.id, piece.body, { note: `${one.name} ${n}` });
      break;
    case 'face':
      if (piece) await store.create('face', name, { ...newFace(piece.id, 'Side'), photos: [{ pictureId: await photo(), role: 'raking', note: '' }] }); // prettier-ignore
      break;
    case 'damage':
      if (face?.kind === 'face') await store.create('damage', name, newDamage(face.body.pieceId, face.id, 1 + n, 'dent')); // prettier-ignore
      break;
    case 'part':
      if (piece?.kind === 'piece') await store.update('piece', piece.id, piece.body, { parts: [{ id: 'a', kind: 'screw', label: 'Hinge', count: 1, from: '', odd: '', back: false, spot: { pictureId: await photo(), at: [0.5, 0.5] } }] }); // prettier-ignore
      break;
    case 'sheet':
      await store.create('veneer', name, { name: 'Ash', species: 'ash', thicknessMm: 0.6, alongMm: 300, acrossMm: 90, note: '', pictureId: await photo(), wipedPictureId: await photo() }); // prettier-ignore
      break;
    case 'log':
      if (piece) await store.create('log', name, { pieceId: piece.id, taskId: 't', title: 'Glued', doneAt: START, actualMin: 3, note: '', pictures: [{ pictureId: await photo(), role: 'after' }] }); // prettier-ignore
      break;
    case 'remove': {
      const gone = records[n % Math.max(1, records.length)];
      if (gone && gone.kind !== 'shop') undo.set(one.name, await store.remove([gone]));
      break;
    }
    case 'undo':
      await store.restore(undo.get(one.name) ?? []);
      undo.delete(one.name);
      break;
    case 'thin': {
      const pictures = (await store.keys()).records.filter((k) => k.startsWith('picture/'));
      const id = pictures[n % Math.max(1, pictures.length)]?.slice('picture/'.length);
      if (id) await thinPictures(store, [id], { shrink: async (p) => ({ ...p, jpeg: p.jpeg.slice(0, -4) }), newId: () => `${id}t`.slice(-60), device: one.name }); // prettier-ignore
      break;
    }
    case 'clear':
      await clearUnused(store, '2099-01-01T00:00:00');
      break;
    case 'send':
      if (other !== one) await one.take(await other.file());
  }
}

/** What a device holds, by name, whatever the order of its fields. */
export async function bodiesOf({ store }: Device): Promise<[string, Record<string, unknown>][]> {
  const { records } = await store.listAll(ALL);
  return records
    .map((r): [string, Record<string, unknown>] => [
      `${r.kind}/${r.id}`,
      Object.fromEntries(Object.entries(r.body).sort()),
    ])
    .sort(([a], [b]) => a.localeCompare(b));
}

/** Everybody hears from everybody, until nothing is left to say. */
export async function exchanged(all: readonly Device[]): Promise<void> {
  for (let round = 0; round < 3; round++)
    for (const one of all) for (const other of all) if (one !== other) await one.take(await other.file());
}
