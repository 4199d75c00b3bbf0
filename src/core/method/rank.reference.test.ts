import fc from 'fast-check';
import type { DamageFacts } from '../damage';
import type { SurfaceFacts, School } from './facts';
import type { MethodId } from './methods';
import { rankMethods, RULES } from './rank';

const LIFTED: DamageFacts = {
  kind: 'liftedEdge',
  areaMm2: 5400,
  alongMm: 180,
  acrossMm: 40,
  atEdge: true,
  faceShare: 0.03,
};
const CHIP: DamageFacts = {
  kind: 'missingVeneer',
  areaMm2: 600,
  alongMm: 35,
  acrossMm: 25,
  atEdge: true,
  faceShare: 0.01,
};
const FACE: SurfaceFacts = {
  build: 'solidCore',
  show: true,
  finishNow: 'shellac',
  goal: 'shellac',
  veneerMm: 0.9,
};
const KEPT: SurfaceFacts = { ...FACE, goal: 'keep' };
const PAINTED: SurfaceFacts = { ...FACE, finishNow: 'paint', goal: 'paint' };

type Row = [string, DamageFacts, SurfaceFacts, School, MethodId, Partial<Record<MethodId, string>>];

/** Each row is common practice: the damage, the face, the school → first choice, and what is set aside with which words. */
const ROWS: Row[] = [
  [
    'open edge, clear',
    LIFTED,
    FACE,
    'clear',
    'floodAndPress',
    { tack: 'too large', liftAndRelay: 'Most of the face', leave: 'active damage' },
  ],
  ['open edge, paint', LIFTED, PAINTED, 'paint', 'floodAndPress', { tack: 'too large' }],
  [
    'open edge, conserve, glue unknown',
    LIFTED,
    FACE,
    'conserve',
    'floodAndPress',
    { tack: 'cannot be undone' },
  ],
  [
    'open edge, conserve, live hide glue',
    { ...LIFTED, oldGlue: 'hide', glueLine: 'clean' },
    FACE,
    'conserve',
    'reactivate',
    {},
  ],
  [
    'open edge, another glue',
    { ...LIFTED, oldGlue: 'other' },
    FACE,
    'clear',
    'floodAndPress',
    { reactivate: 'Only old hide glue' },
  ],
  [
    'wax in the glue line, most of a panel',
    { ...LIFTED, glueLine: 'waxy', faceShare: 0.6 },
    FACE,
    'clear',
    'liftAndRelay',
    { floodAndPress: 'no glue holds', tack: 'no glue holds' },
  ],
  ['tiny flake, paint', { ...LIFTED, areaMm2: 90, atEdge: true }, PAINTED, 'paint', 'tack', {}],
  [
    'tiny flake, conserve',
    { ...LIFTED, areaMm2: 90 },
    FACE,
    'conserve',
    'floodAndPress',
    { tack: 'cannot be undone' },
  ],
  [
    'loose place without a mouth',
    { ...LIFTED, atEdge: false },
    FACE,
    'clear',
    'injectAndPress',
    { floodAndPress: 'no mouth' },
  ],
  [
    'lifted with a gap',
    { ...LIFTED, woodAllPresent: false, faceShare: 0.9 },
    FACE,
    'clear',
    'reveneer',
    { floodAndPress: 'missing veneer' },
  ],
  [
    'chip, clear',
    CHIP,
    FACE,
    'clear',
    'veneerPatch',
    {
      bareFiller: 'shows under a clear finish',
      polyesterFiller: 'only paint',
      reveneer: 'small part',
    },
  ],
  ['chip, clear, a donor place', { ...CHIP, donor: true }, FACE, 'clear', 'harvestedPatch', {}],
  [
    'chip, conserve, a donor place',
    { ...CHIP, donor: true },
    FACE,
    'conserve',
    'harvestedPatch',
    { reveneer: '', epoxyPutty: '' },
  ],
  [
    'chip, conserve, no donor',
    { ...CHIP, donor: false },
    FACE,
    'conserve',
    'veneerPatch',
    { harvestedPatch: 'No hidden place', reveneer: 'patina' },
  ],
  ['chip of 20 mm, paint', CHIP, PAINTED, 'paint', 'polyesterFiller', { burnIn: 'hard film' }],
  ['chip, hidden face, clear', CHIP, { ...FACE, show: false }, 'clear', 'bareFiller', {}],
  [
    'tiny loss in lacquer that stays',
    { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false },
    { ...KEPT, finishNow: 'lacquer' },
    'clear',
    'burnIn',
    { bareFiller: 'finish stays' },
  ],
  [
    'tiny loss in oil that stays',
    { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false },
    { ...KEPT, finishNow: 'oil' },
    'clear',
    'hardWax',
    { burnIn: 'hard film' },
  ],
  [
    'tiny stable loss, conserve',
    { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false },
    KEPT,
    'conserve',
    'leave',
    {},
  ],
  ['edge band, thin', { ...CHIP, edgeBanding: true }, FACE, 'clear', 'edgeStrip', {}],
  [
    'edge band, thick and sawn',
    { ...CHIP, edgeBanding: true },
    { ...FACE, veneerMm: 2.5 },
    'clear',
    'sawnStrip',
    {},
  ],
  [
    'half of the face gone',
    { ...CHIP, areaMm2: 90_000, faceShare: 0.5 },
    FACE,
    'clear',
    'reveneer',
    { bareFiller: 'shows' },
  ],
  [
    'half of the face gone, conserve',
    { ...CHIP, areaMm2: 90_000, faceShare: 0.5, donor: false },
    FACE,
    'conserve',
    'veneerPatch',
    { reveneer: 'patina' },
  ],
];

test.each(ROWS)('common practice: %s', (_, damage, surface, school, first, aside) => {
  const { ranked, excluded } = rankMethods({ damage, surface, school });
  expect(ranked[0]?.method).toBe(first);
  for (const [method, words] of Object.entries(aside)) {
    const found = excluded.find((e) => e.method === method);
    expect(`${method}: ${found?.because.map((b) => b.text).join(' ')}`).toContain(words);
    expect(found).toBeDefined();
  }
});

test('nothing rests on a core that is not sound', () => {
  const { ranked } = rankMethods({ damage: { ...CHIP, coreSound: false }, surface: FACE, school: 'clear' });
  expect(ranked.map((r) => r.method)).not.toContain('veneerPatch');
});

test('every method is either ranked or set aside with a reason, and a reason has a source', () => {
  const { ranked, excluded } = rankMethods({ damage: CHIP, surface: FACE, school: 'clear' });
  expect(ranked.length + excluded.length).toBe(18);
  for (const e of excluded) expect(e.because.length).toBeGreaterThan(0);
  for (const r of [
    ...ranked.flatMap((m) => [...m.for, ...m.against]),
    ...excluded.flatMap((e) => e.because),
  ]) {
    expect(r.source).not.toBe('');
  }
});

test('what is not known is asked when it would change the first choice', () => {
  const { questions } = rankMethods({
    damage: { ...LIFTED, glueLine: 'clean' },
    surface: FACE,
    school: 'conserve',
  });
  expect(questions.find((q) => q.fact === 'oldGlue')?.changes).toEqual([
    { answer: 'Hide glue', first: 'reactivate' },
  ]);
  const settled = rankMethods({
    damage: { ...LIFTED, oldGlue: 'hide', glueLine: 'clean' },
    surface: FACE,
    school: 'conserve',
  });
  expect(settled.questions.map((q) => q.fact)).not.toContain('oldGlue');
});

const anyDamage: fc.Arbitrary<DamageFacts> = fc.record(
  {
    kind: fc.constantFrom(...(['liftedEdge', 'missingVeneer'] as const)),
    areaMm2: fc.double({ min: 1, max: 1e5, noNaN: true }),
    acrossMm: fc.double({ min: 1, max: 300, noNaN: true }),
    atEdge: fc.boolean(),
    openingMm: fc.double({ min: 0, max: 20, noNaN: true }),
    woodAllPresent: fc.boolean(),
    oldGlue: fc.constantFrom(...(['hide', 'other'] as const)),
    glueLine: fc.constantFrom(...(['clean', 'powdery', 'waxy'] as const)),
    brittle: fc.boolean(),
    coreSound: fc.boolean(),
    donor: fc.boolean(),
    edgeBanding: fc.boolean(),
    faceShare: fc.double({ min: 0, max: 1, noNaN: true }),
  },
  { requiredKeys: ['kind'] },
);
const anySurface: fc.Arbitrary<SurfaceFacts> = fc.record(
  {
    build: fc.constantFrom(...(['solid', 'plywood', 'solidCore', 'particleBoard', 'mdf'] as const)),
    show: fc.boolean(),
    finishNow: fc.constantFrom(
      ...(['bare', 'shellac', 'lacquer', 'varnish', 'oil', 'wax', 'paint'] as const),
    ),
    goal: fc.constantFrom(...(['keep', 'shellac', 'lacquer', 'varnish', 'oil', 'paint'] as const)),
    veneerMm: fc.double({ min: 0.3, max: 4, noNaN: true }),
  },
  { requiredKeys: [] },
);
const anySchool = fc.constantFrom(...(['conserve', 'clear', 'paint'] as const));

test('the order of the rules does not matter', () => {
  fc.assert(
    fc.property(anyDamage, anySurface, anySchool, (damage, surface, school) => {
      const one = rankMethods({ damage, surface, school });
      expect(rankMethods({ damage, surface, school }, [...RULES].reverse())).toEqual(one);
    }),
  );
});

test('a new fact never brings back what another fact ruled out', () => {
  fc.assert(
    fc.property(anyDamage, anySurface, anySchool, (damage, surface, school) => {
      const all = { ...damage };
      for (const key of ['atEdge', 'donor', 'oldGlue', 'faceShare', 'coreSound', 'edgeBanding'] as const) {
        const less = { ...all };
        delete less[key];
        const before = rankMethods({ damage: less, surface, school }).excluded.map((e) => e.method);
        const after = rankMethods({ damage: all, surface, school }).excluded.map((e) => e.method);
        expect(after).toEqual(expect.arrayContaining(before));
      }
    }),
    { numRuns: 200 },
  );
});

test.each([0, 40])('a veneer of %d mm is refused', (veneerMm) => {
  expect(() => rankMethods({ damage: CHIP, surface: { ...FACE, veneerMm }, school: 'clear' })).toThrow(
    `The veneer thickness is ${veneerMm} mm; it must lie between 0.2 mm and 6 mm.`,
  );
});
