import type { Point } from '../geometry';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { repairView } from './look';
import { repairOf } from './repairs';
import type { Damage, Face, Named, Piece, Veneer } from './types';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const piece = named<Piece>('p', { ...newPiece('Chest', '2026-03-02T08:00:00') });
const face = named<Face>('f', {
  ...newFace('p', 'Top'),
  build: 'solidCore',
  veneerMm: 0.7,
  picture: { id: 'photo', widthPx: 1200, heightPx: 800 },
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
});
const sheet: Veneer = { name: 'Ash', species: 'ash', thicknessMm: 0.6, alongMm: 300, acrossMm: 90, note: '', pictureId: 'sheet', photoWideMm: 300 }; // prettier-ignore
const repair = (over: Partial<Damage>) => {
  const damage = named<Damage>('d', {
    ...newDamage('p', 'f', 1, 'missingVeneer'),
    outline: [[0.4, 0.4], [0.5, 0.4], [0.5, 0.5], [0.4, 0.5]], // prettier-ignore
    ...over,
  });
  return repairOf(piece, [face], [damage], damage, DEFAULT_SHOP);
};

test('a patch is shown from its sheet where that has a photo of known width, else as it lies on the face', () => {
  const patched = repair({ method: 'veneerPatch' });
  expect(repairView(patched, sheet)?.cut?.search.sheet).toMatchObject({ pictureId: 'sheet', wideMm: 300 });
  const { photoWideMm: _wide, ...unscaled } = sheet;
  const { pictureId: _photo, ...unseen } = sheet;
  for (const other of [unscaled, unseen, undefined]) {
    const view = repairView(patched, other);
    expect(view?.cut).toBeUndefined();
    expect(view?.outline.length).toBeGreaterThan(2);
  }
});

test('what is filled is shown as it lies, whatever sheet is at hand', () => {
  const view = repairView(repair({ method: 'bareFiller' }), sheet);
  expect(view?.cut).toBeUndefined();
  expect(view?.view.pictureId).toBe('photo');
});
