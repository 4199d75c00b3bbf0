import { boardOf, DEFAULT_SHOP, newDamage, newFace, newPiece } from '@/core/job';
import type { Point } from '@/core/geometry';
import type { Bodies, Damage, Face, Kind, Piece, Stored } from '@/records/types';
import { around, contentOf, viewOf } from './drawingPlaces';
import { trailOf } from './nextStep';

const NOW = '2026-03-02T08:00:00';
const record = <K extends Kind>(kind: K, id: string, body: Bodies[K]): Stored<K> => ({
  kind,
  id,
  version: 1,
  revision: 1,
  savedAt: NOW,
  body,
});
const piece: Piece = { ...newPiece('Washstand', NOW), goal: 'lacquer' };
/** A face of 600 × 400 mm that fills its picture, so that fractions are easily turned into millimetres. */
const face: Face = {
  ...newFace('p', 'Top'),
  picture: { id: 'x', widthPx: 1200, heightPx: 800 },
  scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]],
  veneerMm: 0.9,
}; // prettier-ignore
const mm = (outline: Point[]): Point[] => outline.map(([x, y]): Point => [x / 600, y / 400]);
const lifted: Damage = { ...newDamage('p', 'f', 1, 'liftedEdge'), outline: mm([[100, 400], [110, 360], [270, 360], [280, 400]]) }; // prettier-ignore
const chip: Damage = { ...newDamage('p', 'f', 2, 'missingVeneer'), outline: mm([[560, 0], [600, 0], [600, 30], [580, 14]]) }; // prettier-ignore
const p = record('piece', 'p', piece);
const f = record('face', 'f', face);
const d1 = record('damage', 'd1', { ...lifted, method: 'floodAndPress' });
const d2 = record('damage', 'd2', { ...chip, method: 'veneerPatch', patch: { veneerId: 'v' } });

describe('the trail of a piece', () => {
  const view = (faces: Stored<'face'>[], damages: Stored<'damage'>[]) => ({
    piece: p,
    faces,
    damages,
    log: [],
    shop: DEFAULT_SHOP,
    loading: false,
  });
  const { scale: _scale, ...unscaled } = face;
  const { method: _m, ...undecided } = lifted;

  test.each<[string, Stored<'face'>[], Stored<'damage'>[], number, string, string]>([
    ['nothing yet', [], [], 0, 'Photograph the first face', 'survey'],
    ['a photo', [record('face', 'f', unscaled)], [], 0, 'Set the scale of top', 'survey'],
    ['a scale', [f], [], 0, 'Outline the first damage', 'survey'],
    [
      'two points',
      [f],
      [record('damage', 'd', { ...lifted, outline: lifted.outline.slice(0, 2) })],
      0,
      'Outline lifted edge, no. 1',
      'survey',
    ],
    [
      'an outline',
      [f],
      [record('damage', 'd', undecided)],
      0,
      'Decide the repair of lifted edge, no. 1',
      'decide',
    ],
    [
      'no veneer',
      [f],
      [d1, record('damage', 'd2', { ...chip, method: 'veneerPatch' })],
      0,
      'Choose the veneer for missing veneer, no. 2',
      'patch',
    ],
    ['all chosen', [f], [d1, d2], 0, 'Start at the bench', 'bench'],
    ['half done', [f], [d1, d2], 5, 'Go on at the bench', 'bench'],
    ['all done', [f], [d1, d2], 10, 'All steps are done', 'record'],
  ])('%s: one next thing, and one step is lit', (_, faces, damages, done, title, lit) => {
    const { next, steps } = trailOf(view(faces, damages), { done, all: 10, known: true });
    expect(next.title).toBe(title);
    expect(steps.filter((s) => s.state === 'now').map((s) => s.id)).toEqual([lit]);
    for (const s of steps) expect(s.href).not.toMatch(/\/damage\/\//);
  });

  test.each<[string, Partial<Face>, string]>([
    ['a clear face', {}, 'Choose the veneer for missing veneer, no. 2'],
    ['a face that is painted, of a piece that is not', { goal: 'paint' }, 'Start at the bench'],
    ['a face of the paint school', { school: 'paint' }, 'Start at the bench'],
  ])('%s: veneer is matched where it will be seen', (_, treated, title) => {
    const bare = record('damage', 'd2', { ...chip, method: 'veneerPatch' });
    const on = record('face', 'f', { ...face, ...treated });
    expect(trailOf(view([on], [bare]), { done: 0, all: 10, known: true }).next.title).toBe(title);
  });

  test('while the steps are counted, nothing is said of nought', () => {
    const counting = trailOf(view([f], [d1, d2]), { done: 0, all: 0, known: false });
    expect(counting.next.detail).toBe('The steps are being counted.');
    expect(JSON.stringify(counting)).not.toContain('0 of 0');
  });
});

test('the neighbourhood of an outline', () => {
  expect(around([[10, 20], [30, 20], [30, 50]], 5)).toEqual({ x: 5, y: 15, width: 30, height: 40 }); // prettier-ignore
});

test('a face to scale is drawn in its own millimetres, and redrawn from its photo no finer than it shows', () => {
  const board = boardOf(face);
  if (!board.ok) throw new Error(board.problem);
  expect(contentOf(board.value)).toEqual({ width: expect.closeTo(600, 6), height: expect.closeTo(400, 6) });
  expect(viewOf(board.value, 'jpeg')).toMatchObject({ widthPx: 1400, heightPx: 933 });
});
