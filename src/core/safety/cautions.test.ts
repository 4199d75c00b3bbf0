import { ADHESIVES } from '../adhesive';
import { METHODS } from '../catalogue';
import { CAUTIONS, cautionsFor, type CautionId } from '.';

test('labels, codes and licensed practice come last with every method and every glue', () => {
  for (const { id } of METHODS) {
    for (const glue of [undefined, ...ADHESIVES.map((a) => a.id)]) {
      const said = cautionsFor(id, glue);
      expect(said[said.length - 1]).toBe('always');
      expect(new Set(said).size).toBe(said.length);
    }
  }
});

// Common practice: what each of these is known to do to people.
test.each<[string, CautionId]>([
  ['epoxyFast', 'epoxy'],
  ['caGel', 'cyanoacrylate'],
  ['polyurethane', 'isocyanate'],
  ['ureaFormaldehyde', 'formaldehyde'],
  ['contact', 'solvent'],
  ['hotHide', 'hotGlue'],
])('a split glued with %s is warned of it', (glue, caution) => {
  const id = ADHESIVES.find((a) => a.id === glue)?.id;
  expect(cautionsFor('glueSplit', id)).toContain(caution);
  expect(cautionsFor('glueSplit', 'pva')).not.toContain(caution);
});

test('a method that warns already is not made longer by its glue', () => {
  expect(cautionsFor('tack', 'cyanoacrylate')).toEqual(['cyanoacrylate', 'always']);
});

test('every caution is a sentence, and every one is said somewhere', () => {
  for (const text of Object.values(CAUTIONS)) expect(text).toMatch(/^[A-Z].*\.$/);
  const glues = [undefined, ...ADHESIVES.map((a) => a.id)];
  const said = new Set(METHODS.flatMap((m) => glues.flatMap((g) => cautionsFor(m.id, g))));
  for (const id of Object.keys(CAUTIONS)) expect(said).toContain(id);
});
