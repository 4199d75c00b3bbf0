import type { Point } from '../geometry';
import { DEFAULT_SHOP, newDamage, newFace, newPiece, type Damage, type Face, type Named } from '../job';
import { mapMarks, reportPages } from './reportPages';

const NOW = '2026-03-02T08:00:00';
const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const face = named<Face>('f', {
  ...newFace('p', 'Seat'),
  build: 'solid',
  veneerMm: 0,
  species: 'other',
  shape: { kind: 'round' },
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 340, heightMm: 340 },
  grain: [[0.1, 0.5], [0.9, 0.5]],
  thicknessReadings: [0.7, 0.8],
  moistureReadings: [0.08, 0.1],
  wipeNote: 'A pale patch at the rim.',
}); // prettier-ignore
const split = named<Damage>('d1', {
  ...newDamage('p', 'f', 1, 'endSplit'),
  mark: { tool: 'line', points: [[0.1, 0.5], [0.4, 0.5]], widthMm: 1 },
  method: 'leave',
  methodReason: 'It is held by the ring below.',
}); // prettier-ignore
const loose = named<Damage>('d2', newDamage('p', undefined, 2, 'missingFoot'));
const view = {
  piece: named('p', { ...newPiece('Stool', NOW), client: 'Reading room', deadline: '2026-04-24' }),
  faces: [face],
  damages: [split, loose],
  shop: DEFAULT_SHOP,
};
const units = {
  length: (mm: number) => `${mm.toFixed(1)} mm`,
  area: (mm2: number) => `${mm2.toFixed(0)} mm²`,
};
const jpeg = Uint8Array.from([0xff, 0xd8, 0xff]);

const textOf = (pages: ReturnType<typeof reportPages>): string =>
  pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []))).join(' ');

test('the report says who, what, how bad, where and why', () => {
  const none = { faces: new Map<string, Uint8Array>(), photos: new Map<string, { jpeg: Uint8Array; aspect: number }>() }; // prettier-ignore
  const text = textOf(reportPages(view, none, 'a4', units, '2026-03-05'));
  for (const words of [
    'Condition of Stool',
    'Reading room',
    '2026-04-24',
    'Condition score',
    'Score = 100 less the sum of points',
    'Solid wood, no veneer, another wood',
    'least 0.7 mm, mean 0.8 mm of 2',
    '8.0 to 10.0 %, mean 9.0 %',
    'A pale patch at the rim.',
    'Split at an end or screw, no. 1',
    '102.0 mm long, 1.0 mm wide',
    'Leave it as it is.',
    'It is held by the ring below.',
    'Not on a face yet',
    'Missing or broken foot, no. 2',
  ])
    expect(text).toContain(words);
  expect(text).not.toContain('undefined');
});

test('the map carries the photo, the face, each damage twice for contrast, and its number', () => {
  const map = mapMarks(face, [split], jpeg);
  const kinds = map?.marks.map((m) => m.kind);
  expect(kinds?.[0]).toBe('picture');
  expect(kinds?.filter((k) => k === 'polygon')).toHaveLength(3);
  expect(map?.marks.filter((m) => m.kind === 'text')).toMatchObject([{ text: '1', centred: true }]);
  expect(map).toMatchObject({ widthMm: 340, heightMm: 340 });
  expect(mapMarks(named<Face>('g', newFace('p', 'Bare')), [], undefined)).toBeUndefined();
});

test('photos come with what they show', () => {
  const pictured = { ...view, piece: named('p', { ...view.piece.body, photos: [{ pictureId: 'x', role: 'raking' as const, note: 'from the left' }] }) }; // prettier-ignore
  const pictures = { faces: new Map([['f', jpeg]]), photos: new Map([['x', { jpeg, aspect: 1.5 }]]) };
  const pages = reportPages(pictured, pictures, 'letter', units, '2026-03-05');
  expect(textOf(pages)).toContain('Stool, in raking light: from the left');
  expect(pages.flatMap((p) => p.marks).filter((m) => m.kind === 'picture')).toHaveLength(2);
});

test('a piece with hundreds of damages runs over as many pages as it takes, none cut', () => {
  const many = Array.from({ length: 220 }, (_, i) =>
    named<Damage>(`d${i}`, { ...newDamage('p', 'f', i + 1, 'dent'), mark: { tool: 'circle', at: [0.3 + (i % 20) / 50, 0.3 + i / 600], diameterMm: 5 } }),
  ); // prettier-ignore
  const none = { faces: new Map<string, Uint8Array>(), photos: new Map<string, { jpeg: Uint8Array; aspect: number }>() }; // prettier-ignore
  const pages = reportPages({ ...view, damages: many }, none, 'a4', units, '2026-03-05');
  expect(pages.length).toBeGreaterThan(4);
  const text = textOf(pages);
  for (const n of [1, 110, 220]) expect(text).toContain(`Dent, no. ${n}`);
  for (const p of pages)
    for (const m of p.marks) if (m.kind === 'text') expect(m.at[1]).toBeLessThan(p.heightMm);
});
