import { newDamage, newFace, newPiece } from './defaults';
import { goesWith, LINKING, linksOf, picturesOf, swapPicture, withoutMissing } from './links';
import { readRecord } from './migrate';
import { KINDS, SHAPE_VERSION } from './schemas';
import type { AnyStored, Bodies, Kind } from './types';

const NOW = '2026-03-02T10:00:00';
const record = <K extends Kind>(kind: K, body: Bodies[K]): AnyStored => {
  const read = readRecord({ kind, id: 'r', version: SHAPE_VERSION, revision: 1, savedAt: NOW, body });
  if (!read.ok) throw new Error(read.reason);
  return read.record;
};
const photo = (pictureId: string) => ({ pictureId, role: 'detail' as const, note: '' });
const part = (id: string, pictureId: string) => ({ id, kind: 'screw' as const, label: id, count: 1, from: '', odd: '', back: false, spot: { pictureId, at: [0.5, 0.5] as const } }); // prettier-ignore
const tone: [number, number, number] = [50, 10, 20];
const tones = { ground: tone, mean: tone, line: tone, coherence: 0.5, pixels: 10 };

/** A record of every kind that points at others, with every place in which it can. */
const FULL: AnyStored[] = [
  record('piece', { ...newPiece('Chest', NOW), photos: [photo('x1'), photo('x2')], parts: [part('a', 'x3'), part('b', 'x1')], ownSteps: [{ id: 'a', phase: 'blend', title: 'Even out', detail: '', attendedMin: 10, waitMin: 30, faceId: 'f', lays: { colourId: 'c1', on: [{ faceId: 'g', coats: 2 }] } }] }),
  record('face', { ...newFace('p', 'Top'), picture: { id: 'x1', widthPx: 4, heightPx: 4 }, photos: [photo('x2'), photo('x3')] }),
  record('damage', { ...newDamage('p', 'f', 1, 'gouge'), patch: { veneerId: 'v' }, coats: [{ colourId: 'c1', coats: 2 }], mixes: { ground: [{ colourId: 'c2', parts: 1 }] }, aim: { from: 'points', label: 'Side', tones, faceId: 'g' } }),
  record('veneer', { name: 'Ash', species: 'ash', thicknessMm: 0.6, alongMm: 300, acrossMm: 90, note: '', pictureId: 'x1', wipedPictureId: 'x2' }),
  record('log', { pieceId: 'p', taskId: 't', title: 'Glued', doneAt: NOW, actualMin: 3, note: '', pictures: [{ pictureId: 'x1', role: 'before' }, { pictureId: 'x2', role: 'after' }] }),
  record('colour', { name: 'Umber', kind: 'stick', carrier: 'none', lab: tone, strength: 1, note: '', pictureId: 'x1' }),
  record('board', { name: 'Board', wood: 'ash', ground: tone, coats: [{ colourId: 'c1', coats: 1 }], measured: tone, doneAt: NOW, note: '', pictureId: 'x1' }),
]; // prettier-ignore

test('every kind that points at something has its record here; the others point at nothing', () => {
  expect(FULL.map((r) => r.kind).sort()).toEqual([...LINKING].sort());
  expect(KINDS.filter((k) => !LINKING.includes(k)).sort()).toEqual(['lumber', 'picture', 'shop']);
});

test('no name of another record stands anywhere that the table does not know', () => {
  for (const r of FULL) {
    const named = JSON.stringify(r.body).match(/"(?:\w*[iI]d)":"(\w+)"/g) ?? [];
    const ids = named
      .map((n) => n.split('"')[3] ?? '')
      .filter((id) => id !== 't' && !['a', 'b'].includes(id));
    expect([r.kind, linksOf(r).map((l) => l.id).sort()]).toEqual([r.kind, ids.sort()]); // prettier-ignore
  }
});

test.each(FULL.map((r): [string, AnyStored] => [r.kind, r]))(
  '%s: a photo put in the place of another stands wherever that stood, and is a change of its fields',
  (_, r) => {
    for (const from of new Set(picturesOf(r))) {
      const next = swapPicture(r, from, 'new', 'phone');
      expect(picturesOf(next)).toEqual(picturesOf(r).map((id) => (id === from ? 'new' : id)));
      const fields = linksOf(r).filter((l) => l.id === from).map((l) => l.field); // prettier-ignore
      expect(Object.keys(next.edits ?? {}).sort()).toEqual([...new Set(fields)].sort());
      expect(next.revision).toBe(r.revision + 1);
      expect(readRecord(next).ok).toBe(true);
    }
    expect(swapPicture(r, 'nowhere', 'new', 'phone')).toBe(r);
  },
);

test.each(FULL.map((r): [string, AnyStored] => [r.kind, r]))(
  '%s: it does without what is nowhere, keeps the rest, and reads back',
  (_, r) => {
    for (const { kind, id, hold } of linksOf(r)) {
      const next = withoutMissing(r, (k, i) => k === kind && i === id);
      const kept = linksOf(r).filter((l) => !(l.kind === kind && l.id === id) || l.hold === 'names' || l.hold === 'needs'); // prettier-ignore
      expect([hold, linksOf(next)]).toEqual([hold, kept]);
      expect(readRecord(next).ok).toBe(true);
      // The one that was given is as it was.
      expect(linksOf(r).some((l) => l.id === id)).toBe(true);
    }
  },
);

test('a damage goes with its piece and its face; what it was coloured like, and with, may go', () => {
  const damage = FULL.find((r) => r.kind === 'damage');
  expect(damage && goesWith(damage)).toEqual(['piece/p', 'face/f']);
  expect(damage && linksOf(damage).filter((l) => l.hold === 'names').map((l) => l.id)).toEqual(['g', 'v', 'c1', 'c2']); // prettier-ignore
});

test('what is measured on, or read for its colour, is told from what only reminds', () => {
  const measured = FULL.flatMap((r) => linksOf(r).filter((l) => l.measured).map((l) => `${r.kind}.${l.field}`)); // prettier-ignore
  expect(measured).toEqual(['face.picture', 'veneer.pictureId', 'veneer.wipedPictureId', 'colour.pictureId', 'board.pictureId']); // prettier-ignore
});
