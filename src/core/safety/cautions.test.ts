import { ADHESIVES } from '../adhesive';
import { METHODS, type Deed } from '../catalogue';
import {
  CAUTIONS,
  cautionsFor,
  cautionsOf,
  HAZARDS,
  type CautionId,
  type Hazard,
  type RiskySurface,
} from '.';

test('labels, codes and licensed practice come last with every method and every glue', () => {
  for (const { id } of METHODS) {
    for (const glue of [undefined, ...ADHESIVES.map((a) => a.id)]) {
      const said = cautionsOf([id], {}, glue);
      expect(said[said.length - 1]).toBe('always');
      expect(new Set(said).size).toBe(said.length);
    }
  }
  expect(CAUTIONS.always).toContain('label and data sheet, local codes and licensed practice');
});

// Common practice: what each of these is known to do to people.
test.each<[string, CautionId]>([
  ['epoxyFast', 'epoxy'],
  ['caGel', 'cyanoacrylate'],
  ['polyurethane', 'isocyanate'],
  ['ureaFormaldehyde', 'formaldehyde'],
  ['contact', 'solvent'],
  ['hotHide', 'hotGlue'],
])('a joint glued with %s is warned of it', (glue, caution) => {
  const id = ADHESIVES.find((a) => a.id === glue)?.id;
  expect(cautionsFor([], {}, id)).toContain(caution);
  expect(cautionsFor([], {}, 'pva')).toEqual(['always']);
});

// Common practice, deed by deed.
test.each<[Deed, CautionId]>([
  ['cut', 'knife'],
  ['saw', 'bandSaw'],
  ['saw', 'dust'],
  ['rout', 'router'],
  ['rout', 'dust'],
  ['drill', 'drill'],
  ['sand', 'dust'],
  ['heat', 'heat'],
  ['iron', 'iron'],
  ['strip', 'methylene'],
  ['strip', 'stripper'],
  ['solvent', 'solvent'],
  ['spray', 'spray'],
  ['oil', 'oilyRags'],
  ['oxalic', 'oxalic'],
  ['bleach', 'bleach'],
  ['uv', 'uv'],
  ['openInside', 'mould'],
  ['openInside', 'pestTreatment'],
  ['openInside', 'asbestos'],
])('%s is warned of by %s', (deed, caution) => {
  expect(cautionsFor([deed])).toContain(caution);
});

const PAINT: RiskySurface = { finishNow: 'paint' };

test.each<Deed>(['clean', 'sand', 'scrape', 'heat', 'iron', 'strip', 'saw', 'rout', 'drill'])(
  'old paint that is disturbed by %s may hold lead; said first, and of no other finish',
  (deed) => {
    expect(cautionsFor([deed], PAINT)[0]).toBe('leadPaint');
    expect(cautionsFor([deed], { finishNow: 'varnish' })).not.toContain('leadPaint');
  },
);

test('gluing over old paint disturbs nothing', () => {
  expect(cautionsFor([], PAINT, 'pva')).not.toContain('leadPaint');
});

test.each<[Hazard, CautionId]>([
  ['electric', 'electricSet'],
  ['mould', 'mould'],
  ['pest', 'pestTreatment'],
  ['heatBoard', 'asbestos'],
])('a piece that holds %s is warned of it when it is opened', (hazard, caution) => {
  expect(cautionsFor(['openInside'], { holds: [hazard] })).toContain(caution);
});

test('a pest treatment that is feared is warned of before dry work, a heat-proof board before it is cut', () => {
  expect(cautionsFor(['sand'], { holds: ['pest'] })).toContain('pestTreatment');
  expect(cautionsFor(['sand'])).not.toContain('pestTreatment');
  expect(cautionsFor(['drill'], { holds: ['heatBoard'] })).toContain('asbestos');
});

test.each(['rosewood', 'mahogany', 'ebony', 'bandingTulipwood'])(
  '%s is protected when it is bought or sent',
  (species) => {
    expect(cautionsFor(['buyWood'], { species })).toContain('protectedWood');
    expect(cautionsFor(['sand'], { species })).not.toContain('protectedWood');
    expect(cautionsFor(['buyWood'], { species: 'oak' })).not.toContain('protectedWood');
  },
);

// What each caution must say, word by word: common practice, and the rules of many countries.
test.each<[CautionId, string[]]>([
  [
    'leadPaint',
    [
      'Test it first',
      'No dry sanding',
      'no dry scraping',
      'no heat gun',
      'wet',
      'HEPA',
      'children',
      'licensed',
    ],
  ],
  [
    'methylene',
    [
      'killed people in closed rooms',
      'many countries',
      'trades',
      'gloves dissolve',
      'cartridge masks',
      'another stripper',
    ],
  ],
  [
    'oxalic',
    ['30 to 60 g/l', 'plastic or glass', 'no iron', 'neutralise and rinse', 'never sand the dry residue'],
  ],
  ['electricSet', ['plug', 'charge', 'mains', 'qualified person']],
  ['iron', ['sound cord', 'residual-current']],
  ['mould', ['mask', 'damp wipes', 'dry']],
  ['pestTreatment', ['arsenic', 'mercury', 'DDT', 'PCP', 'HEPA', 'gloves']],
  ['asbestos', ['leave them alone', 'licensed']],
  ['protectedWood', ['check the rules', 'border']],
  ['bandSaw', ['sled', 'push stick']],
  ['spray', ['respirator', 'no spark', 'no pilot light']],
  ['oilyRags', ['catch fire', 'flat', 'water']],
])('%s says what it must', (id, words) => {
  for (const w of words) expect(CAUTIONS[id]).toContain(w);
});

test('work on motifs, let-in blocks and sawn strips raises wood dust', () => {
  for (const id of ['motifPart', 'newMotif', 'dutchman', 'sawnStrip', 'facePlug', 'newPart'] as const)
    expect(cautionsOf([id])).toContain('dust');
});

test('every caution is a sentence, and every one is said somewhere', () => {
  for (const text of Object.values(CAUTIONS)) expect(text).toMatch(/^[A-Z].*\.$/);
  const holds = Object.keys(HAZARDS) as Hazard[];
  const surface: RiskySurface = { finishNow: 'paint', species: 'rosewood', holds };
  const glues = [undefined, ...ADHESIVES.map((a) => a.id)];
  const said = new Set([
    ...METHODS.flatMap((m) => glues.flatMap((g) => cautionsOf([m.id], surface, g))),
    ...cautionsFor(['openInside', 'buyWood'], surface),
  ]);
  for (const id of Object.keys(CAUTIONS)) expect(said).toContain(id);
});
