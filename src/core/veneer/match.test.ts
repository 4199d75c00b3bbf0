import { matchVeneers, type Candidate, type Wanted } from './match';
import type { Tones } from '../colour';

const tones = (l: number, a: number, b: number, contrast = 12, coherence = 0.8): Tones => ({
  coherence,
  ground: [l + contrast / 2, a, b],
  mean: [l, a, b],
  line: [l - contrast / 2, a, b],
  pixels: 1000,
});
const sheet = (id: string, t: Tones, over: Partial<Candidate> = {}): Candidate => ({
  id,
  name: id,
  species: 'walnut',
  thicknessMm: 0.9,
  alongMm: 300,
  acrossMm: 150,
  tones: t,
  ...over,
});
const wanted: Wanted = {
  tones: tones(45, 14, 26),
  species: 'walnut',
  thicknessMm: 0.9,
  alongMm: 60,
  acrossMm: 40,
};

test('common practice: of two equally far ones the lighter comes first', () => {
  const { ranked } = matchVeneers(wanted, [
    sheet('darker', tones(41, 14, 26)),
    sheet('lighter', tones(49.2, 14, 26)),
  ]);
  expect(ranked.map((m) => m.id)).toEqual(['lighter', 'darker']);
  expect(ranked[1]?.notes.join()).toContain('cannot be taken away');
});

test('common practice: another wood with the right stripe beats the right wood with the wrong one', () => {
  const { ranked } = matchVeneers(wanted, [
    sheet('right wood, no stripe', tones(45, 14, 26, 1)),
    sheet('other wood, right stripe', tones(46, 14, 26, 12), { species: 'sapele' }),
  ]);
  expect(ranked[0]?.id).toBe('other wood, right stripe');
});

test('common practice: for a burr, a burr a little off in colour beats straight grain of the right colour', () => {
  const burr = { ...wanted, tones: tones(45, 14, 26, 12, 0.1) };
  const { ranked } = matchVeneers(burr, [
    sheet('straight', tones(46, 14, 26)),
    sheet('burr', tones(51, 14, 28, 12, 0.15)),
  ]);
  expect(ranked.map((m) => m.id)).toEqual(['burr', 'straight']);
  expect(ranked[1]?.notes.join()).toContain('straighter');
});

test('a sheet that is too small is set aside with the size that is needed', () => {
  const { ranked, excluded } = matchVeneers(wanted, [sheet('scrap', tones(45, 14, 26), { acrossMm: 30 })]);
  expect(ranked).toEqual([]);
  expect(excluded[0]?.because).toBe('Too small: the patch takes 60 × 40 mm along and across the grain.');
});

test('shims are told and cost a little', () => {
  const { ranked } = matchVeneers(wanted, [
    sheet('thin', tones(45, 14, 26), { thicknessMm: 0.6 }),
    sheet('even', tones(45, 14, 26)),
  ]);
  expect(ranked.map((m) => m.id)).toEqual(['even', 'thin']);
  expect(ranked[1]?.thickness.sheets).toBe(2);
});
