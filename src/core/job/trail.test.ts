import type { Point } from '../geometry';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { linkPlansOf } from './links';
import { repairsOf } from './repairs';
import { boardOf } from './survey';
import { trailOf } from './trail';
import type { Damage, Face, Named, Piece } from './types';
import { around, contentOf, viewOf } from './views';

const NOW = '2026-03-02T08:00:00';
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
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const p = named('p', piece);
const f = named('f', face);
const d1 = named<Damage>('d1', { ...lifted, method: 'floodAndPress' });
const d2 = named<Damage>('d2', { ...chip, method: 'veneerPatch', patch: { veneerId: 'v' } });

describe('the trail of a piece', () => {
  const trail = (faces: Named<Face>[], damages: Named<Damage>[], done: number, all = 10) => {
    const walked = repairsOf(p, faces, damages, DEFAULT_SHOP).map((repair) => ({
      repair,
      links: linkPlansOf(repair, DEFAULT_SHOP),
    }));
    return trailOf(p, faces, walked, { done, all });
  };
  const { scale: _scale, ...unscaled } = face;
  const { method: _m, ...undecided } = lifted;

  test.each<[string, Named<Face>[], Named<Damage>[], number, string, string]>([
    ['nothing yet', [], [], 0, 'Photograph the first face', 'survey'],
    ['a photo', [named<Face>('f', unscaled)], [], 0, 'Set the scale of top', 'survey'],
    ['a scale', [f], [], 0, 'Outline the first damage', 'survey'],
    [
      'two points',
      [f],
      [named<Damage>('d', { ...lifted, outline: lifted.outline.slice(0, 2) })],
      0,
      'Outline lifted edge, no. 1',
      'survey',
    ],
    [
      'an outline',
      [f],
      [named<Damage>('d', undecided)],
      0,
      'Decide the repair of lifted edge, no. 1',
      'decide',
    ],
    [
      'no veneer',
      [f],
      [d1, named<Damage>('d2', { ...chip, method: 'veneerPatch' })],
      0,
      'Choose the veneer for missing veneer, no. 2',
      'patch',
    ],
    ['all chosen', [f], [d1, d2], 0, 'Start at the bench', 'bench'],
    ['half done', [f], [d1, d2], 5, 'Go on at the bench', 'bench'],
    ['all done', [f], [d1, d2], 10, 'All steps are done', 'record'],
  ])('%s: one next thing, and one step is lit', (_, faces, damages, done, title, lit) => {
    const { next, steps } = trail(faces, damages, done);
    expect(next.title).toBe(title);
    expect(steps.filter((s) => s.state === 'now').map((s) => s.id)).toEqual([lit]);
    for (const s of steps) expect(s.href).not.toMatch(/\/damage\/\//);
  });

  test.each<[string, Partial<Face>, string]>([
    ['a clear face', {}, 'Choose the veneer for missing veneer, no. 2'],
    ['a face that is painted, of a piece that is not', { goal: 'paint' }, 'Start at the bench'],
    ['a face of the paint school', { school: 'paint' }, 'Start at the bench'],
  ])('%s: veneer is matched where it will be seen', (_, treated, title) => {
    const bare = named<Damage>('d2', { ...chip, method: 'veneerPatch' });
    const on = named<Face>('f', { ...face, ...treated });
    expect(trail([on], [bare], 0).next.title).toBe(title);
  });

  test('of many repairs four are named', () => {
    const many = (['veneerPatch', 'edgeStrip', 'bareFiller', 'burnIn', 'hardWax', 'softWax'] as const).map((method, i) =>
      named<Damage>(`m${i}`, { ...chip, number: i + 1, method }),
    ); // prettier-ignore
    const decided = trail([f], many, 0).steps.find((s) => s.id === 'decide');
    expect(decided?.detail).toMatch(/^Veneer patch( · [^·]+){3} · and 2 more$/);
  });

  test('nothing is said of nought steps', () => {
    expect(JSON.stringify(trail([f], [], 0, 0))).not.toContain('0 of 0');
  });

  test('the steps lead to the worksheets of the links, and none to a page that has nothing to do', () => {
    const split = named<Damage>('d3', { ...lifted, number: 3, kind: 'openGlueLine', mark: { tool: 'line', points: [[0.1, 0.5], [0.6, 0.5]], widthMm: 1 }, outline: [], method: 'planeJoint' }); // prettier-ignore
    const href = (id: string) => trail([f], [split, d2], 0).steps.find((s) => s.id === id)?.href;
    expect([href('press'), href('patch'), href('blend')]).toEqual(['/damage/d2/press', '/damage/d2/patch', '/damage/d2/blend']); // prettier-ignore
    expect(trail([f], [split], 0).steps.find((s) => s.id === 'press')?.href).toBe('/damage/d3/joint');
  });
});

test('the neighbourhood of an outline', () => {
  expect(around([[10, 20], [30, 20], [30, 50]], 5)).toEqual({ x: 5, y: 15, width: 30, height: 40 }); // prettier-ignore
});

test('a face to scale is drawn in its own millimetres, and redrawn from its photo no finer than it shows', () => {
  const board = boardOf(face);
  if (!board.ok) throw new Error(board.problem);
  expect(contentOf(board.value)).toEqual({ width: expect.closeTo(600, 6), height: expect.closeTo(400, 6) });
  expect(viewOf(board.value, 'x')).toMatchObject({ widthPx: 1400, heightPx: 933 });
});
