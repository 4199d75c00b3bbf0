import { ADHESIVES } from './adhesive';
import { PHASES } from './catalogue';
import { questionsFor } from './damage';
import { METHODS, methodById } from './catalogue';
import { RULES } from './method/rank';
import { CLAMPS } from './press';
import { CAUTIONS, cautionsFor } from './safety';
import { GRITS } from './sanding';
import { describeSource, type Source, type Sourced } from './sources';
import { SPECIES, speciesById } from './wood';

const unique = (ids: string[]): void => expect(new Set(ids).size).toBe(ids.length);

test('names in every table are told apart', () => {
  for (const table of [ADHESIVES, CLAMPS, METHODS, SPECIES, RULES, PHASES]) unique(table.map((x) => x.id));
});

test('every figure of the tables has a source that reads as a sentence', () => {
  const figures: Sourced[] = [
    ...ADHESIVES.flatMap((a) => [
      a.spreadGPerM2,
      a.densityGPerMl,
      a.openMin,
      a.clampMin,
      a.workableMin,
      a.leastC,
      a.leastPressureKPa,
    ]),
    ...CLAMPS.flatMap((c) => [c.forceN, c.reachMm, c.padMm]),
    ...SPECIES.flatMap((s) => [s.specificGravity, ...(s.crushingMPa ? [s.crushingMPa] : [])]),
    ...GRITS.map((g) => g.medianUm),
  ];
  for (const f of figures) {
    expect(Number.isFinite(f.value) && f.value > 0).toBe(true);
    expect(describeSource(f.source)).toMatch(
      /^(Published|Common practice|From memory|Measured|Worked out here).*\.$/,
    );
  }
  for (const r of RULES) expect(describeSource(r.source)).toMatch(/\.$/);
});

test.each<[Source, string]>([
  [{ kind: 'published', title: 'Wood Handbook', where: 'Table 4-2' }, 'Published: Wood Handbook, Table 4-2.'],
  [{ kind: 'practice' }, 'Common practice.'],
  [{ kind: 'practice', note: 'three clamps' }, 'Common practice: three clamps.'],
  [{ kind: 'memory', note: 'x' }, 'From memory, check it against your product or a handbook: x.'],
  [{ kind: 'measured', by: 'caliper' }, 'Measured: caliper.'],
  [{ kind: 'derived', how: 'a × b' }, 'Worked out here: a × b.'],
])('%j', (source, words) => {
  expect(describeSource(source)).toBe(words);
});

test('rules speak in whole sentences, of methods that exist', () => {
  for (const r of RULES) {
    expect(r.text).toMatch(/^[A-Z].*\.$/);
    expect(r.methods.length).toBeGreaterThan(0);
    for (const m of r.methods) expect(methodById(m).id).toBe(m);
  }
});

test('papers get finer, and so do their grains', () => {
  const grains = GRITS.map((g) => g.medianUm.value);
  expect([...grains].sort((a, b) => b - a)).toEqual(grains);
});

test('a method that cuts, heats or glues with something harsh has its caution, and all end with labels and codes', () => {
  for (const m of METHODS) {
    const cautions = cautionsFor(m.id);
    expect(cautions[cautions.length - 1]).toBe('always');
  }
  expect(CAUTIONS.always).toContain('label and data sheet, local codes and licensed practice');
  expect(cautionsFor('tack')).toContain('cyanoacrylate');
  expect(cautionsFor('burnIn')).toContain('heat');
  expect(cautionsFor('polyesterFiller')).toContain('polyester');
  expect(cautionsFor('veneerPatch')).toEqual(expect.arrayContaining(['knife', 'dust']));
});

test('only what decides a repair is asked, and each question says how to look', () => {
  for (const kind of ['liftedEdge', 'missingVeneer'] as const) {
    for (const q of questionsFor(kind)) {
      expect(q.ask).toMatch(/\?$/);
      expect(q.look).toMatch(/\.$/);
      expect(q.answers.length).toBeGreaterThan(1);
    }
  }
});

test('a wood that is not in the table is named', () => {
  expect(() => speciesById('unobtainium')).toThrow('The wood “unobtainium” is not in the table.');
});
