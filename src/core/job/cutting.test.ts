import { boundingBox, type Point } from '../geometry';
import { nestPatches } from '../nest';
import { cuttingWords, glueGroups, inSheet, neededFromStock, neededSizeWords, nestInput, onSheetMm, patchesOfPiece, rackPlan, sheetFrame, sheetMm, type NeededPatch } from './cutting'; // prettier-ignore
import { DEFAULT_SHOP, newDamage, newFace, newLumber, newPiece } from './defaults';
import { patchFor } from './press';
import { rankForPatch, rankForPiece } from './stockRank';
import { surveyed } from './survey';
import type { Damage, Face, Named, Piece, Veneer } from './types';
import type { WoodCard } from '../veneer';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const piece = named<Piece>('p', newPiece('Chest', '2026-03-02T08:00:00'));
/** 600 × 400 mm, the grain upright. */
const top = named<Face>('f', {
  ...newFace('p', 'Top'),
  veneerMm: 0.8,
  species: 'walnut',
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
  grain: [[0.5, 0], [0.5, 1]], // prettier-ignore
});
/** 60 mm wide, 80 high: along this grain 80. */
const loss = (id: string, more: Partial<Damage> = {}): Named<Damage> =>
  named(id, {
    ...newDamage('p', 'f', 1, 'missingVeneer'),
    outline: [[0.4, 0.4], [0.5, 0.4], [0.5, 0.6], [0.4, 0.6]], // prettier-ignore
    method: 'veneerPatch',
    ...more,
  });
const leaf = (id: string, more: Partial<Veneer> = {}): Named<Veneer> =>
  named(id, {
    name: id,
    species: 'walnut',
    thicknessMm: 0.8,
    alongMm: 300,
    acrossMm: 150,
    note: '',
    ...more,
  });
const mm = (value: number): string => `${value.toFixed(0)} mm`;
const needed = (damages: Named<Damage>[], cut = new Set<string>(), at = piece) =>
  neededFromStock([at], [top], damages, DEFAULT_SHOP, cut);

test('every decided patch is laid with its grain along the sheet; what is cut, undecided, left or asleep is not', () => {
  const { patches } = needed([loss('a'), loss('b', { method: undefined }), loss('c', { method: 'leave' })]);
  expect(patches.map((p) => p.damageId)).toEqual(['a']);
  const { left, right, top: above, bottom } = boundingBox(patches[0]?.outline ?? []);
  const survey = surveyed(loss('a').body, top.body);
  const patch = survey.ok ? patchFor(loss('a').body, survey.value, piece.body) : undefined;
  expect(right - left).toBeCloseTo(patch?.alongMm ?? 0, 6);
  expect(bottom - above).toBeCloseTo(patch?.acrossMm ?? 0, 6);
  expect(right - left).toBeGreaterThan(85);
  expect(needed([loss('a')], new Set(['a'])).patches).toEqual([]);
  expect(needed([loss('a')], new Set(), named('p', { ...piece.body, rest: 'asleep' })).patches).toEqual([]);
  const [first] = patches;
  if (!first) throw new Error('nothing is needed');
  expect(neededSizeWords(first, mm)).toMatch(/^It takes .*alnut.*, \d+ mm along × 65 mm across, 1 mm thick/);
}); // prettier-ignore

test('a photo to scale tells how large a sheet is, else its usable size; outlines and cuts count on that', () => {
  const photo = { widthPx: 1000, heightPx: 500 };
  expect(sheetFrame(leaf('x').body, photo)).toEqual({ wideMm: 300, tallMm: 150 });
  const frame = sheetFrame(leaf('x', { photoWideMm: 400 }).body, photo);
  expect(frame).toEqual({ wideMm: 400, tallMm: 200 });
  const hole: Point[] = [[40, 20], [80, 20], [80, 50]]; // prettier-ignore
  const cut = leaf('x', { cuts: [{ outline: inSheet(hole, frame), damageId: 'a' }] }).body;
  sheetMm(cut, frame).holes[0]?.forEach((p, i) => {
    expect(p[0]).toBeCloseTo(hole[i]?.[0] ?? 0, 9);
    expect(p[1]).toBeCloseTo(hole[i]?.[1] ?? 0, 9);
  });
  expect(onSheetMm([[0.5, 0.5]], frame)).toEqual([[200, 100]]);
});

test('the chosen sheet first, then the same wood by thickness; another wood or far thicker not; twenty do not all fit one', async () => {
  const veneers = [leaf('thick', { thicknessMm: 1.4 }), leaf('near', { thicknessMm: 0.7 }), leaf('oak', { species: 'whiteOak' }), leaf('same')].map((veneer) => ({ veneer, frame: sheetFrame(veneer.body, undefined) })); // prettier-ignore
  const spot = { xMm: 90, yMm: 70, degrees: 0, flipped: false };
  const [free, chosen] = nestInput(needed([loss('a'), loss('b', { patch: { veneerId: 'oak', spot } })]).patches, veneers).pieces; // prettier-ignore
  expect(free?.sheets).toEqual(['same', 'near']);
  expect(chosen?.sheets).toEqual(['oak', 'same', 'near']);
  expect(chosen?.spot).toEqual({ ...spot, sheet: 'oak' });
  const many = needed(Array.from({ length: 20 }, (_, i) => loss(`d${i}`, { number: i + 1 }))).patches;
  const plan = await nestPatches(nestInput(many, veneers));
  expect(plan.sheets).toHaveLength(2);
  expect(plan.placed.length).toBeLessThan(20);
  expect(cuttingWords(20, plan)).toBe(`20 patches are still to be cut: ${plan.placed.length} from 2 sheets, ${plan.unplaced.length} must be bought.`); // prettier-ignore
  expect(cuttingWords(1, { unplaced: [], sheets: [] })).toBe('1 patch is still to be cut, from 0 sheets.');
});

test('as many are glued at a time as the clamps hold', () => {
  const shop = { ...DEFAULT_SHOP, clamps: DEFAULT_SHOP.clamps.map((c) => ({ ...c, count: c.id === 'fStyle' ? 5 : 0 })) }; // prettier-ignore
  const patch = (damageId: string, fStyle: number): NeededPatch => ({ damageId, pieceId: 'p', label: damageId, outline: [], species: '', thicknessMm: 0.8, clamps: { fStyle } }); // prettier-ignore
  const groups = glueGroups([patch('a', 3), patch('b', 4), patch('c', 2), patch('d', 1)], shop);
  expect(groups.map((g) => g.map((p) => p.damageId))).toEqual([
    ['a', 'c'],
    ['b', 'd'],
  ]);
});

test('blocks of several repairs on the rack: what one takes is gone for the next, by hand', () => {
  const block = (damageId: string, alongMm: number) => ({ damageId, label: damageId, blanks: { alongMm, acrossMm: 60, thickMm: 18, count: 1 }, species: 'whiteOak', kerfMm: 1 }); // prettier-ignore
  const board = named('b', { ...newLumber(1), species: 'whiteOak', alongMm: 300, acrossMm: 80, thickMm: 20 });
  const plan = rackPlan([block('short', 90), block('long', 180), block('third', 90)], [board]);
  expect(plan.map((p) => [p.needed.damageId, p.takes[0]?.leftMm, p.missing])).toEqual([
    ['long', 119, 0],
    ['short', 28, 0],
    ['third', undefined, 1],
  ]);
  const solid = named('f', { ...top.body, build: 'solid' as const, veneerMm: 0, boardMm: 20 });
  const gouge = named('g', { ...loss('g').body, kind: 'gouge' as const, method: 'dutchman' as const, answers: { depthMm: 5 } }); // prettier-ignore
  const { blocks } = neededFromStock([piece], [solid], [gouge], DEFAULT_SHOP, new Set());
  expect(blocks[0]).toMatchObject({ damageId: 'g', blanks: { count: 1 } });
  expect(blocks[0]?.blanks.alongMm).toBeGreaterThan(80);
});

describe('one sheet for all patches of a piece', () => {
  const card = (over: Partial<WoodCard> = {}): WoodCard => ({ grainDeg: 0, coherence: 0.8, periodMm: 6, strength: 0.7, contrast: 18, pores: 'fine', tones: { ground: [60, 14, 26], mid: [52, 15, 25], line: [42, 14, 20] }, shares: { ground: 0.4, mid: 0.4, line: 0.2 }, ...over }); // prettier-ignore
  const other = card({ contrast: 2, coherence: 0.3 });
  const stock = [
    { veneer: leaf('like the large'), card: card() },
    { veneer: leaf('like the small'), card: other },
    { veneer: leaf('scrap', { alongMm: 50 }), card: card() },
  ];
  const patches = [
    { damageId: 'large', old: card(), patch: { alongMm: 100, acrossMm: 60, areaMm2: 5000 }, face: top.body },
    { damageId: 'small', old: other, patch: { alongMm: 40, acrossMm: 30, areaMm2: 1000 }, face: top.body },
  ];

  test('areas weigh: scores are the mean of both, by hand; too small for one of them is told', () => {
    const both = rankForPiece(patches, piece.body, stock);
    const alone = patches.map((p) => rankForPatch(p.old, p.patch, p.face, piece.body, stock));
    if (!both.ok || alone.some((a) => !a.ok)) throw new Error('not ranked');
    const score = (i: number, id: string): number => {
      const found = alone[i];
      return found?.ok ? (found.value.ranked.find((r) => r.id === id)?.score ?? 0) : 0;
    };
    for (const r of both.value.ranked)
      expect(r.score).toBeCloseTo((5 * score(0, r.id) + score(1, r.id)) / 6, 9);
    expect(both.value.ranked[0]?.id).toBe('like the large');
    expect(both.value.ranked.find((r) => r.id === 'scrap')?.why[0]).toBe('Too small for 1 of the 2 patches.');
  });

  test('the decided patches of a piece are found, those without an outline not', () => {
    const found = patchesOfPiece(piece, [top], [loss('a'), loss('b', { outline: [] }), loss('c', { method: 'leave' })], DEFAULT_SHOP); // prettier-ignore
    expect(found.map((p) => p.damageId)).toEqual(['a']);
  });
});
