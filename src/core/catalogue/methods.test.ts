import { METHODS } from '.';
import { step } from './kit';
import type { MethodFamily, Row } from './row';

const FAMILIES: readonly MethodFamily[] = ['reglue', 'patch', 'core', 'structure', 'letIn', 'fill', 'surface', 'care', 'leave']; // prettier-ignore

/** A new method of a family, with all that has to be said of one. */
const rowOf = (family: MethodFamily): Row => ({
  label: 'New way',
  how: 'As it is done.',
  kinds: ['gouge'],
  family,
  worksOn: 'bare',
  extent: 'place',
  glue: 'none',
  hollow: 'none',
  fills: 'nothing',
  sums: [],
  needs: [],
  marks: { strength: 3, invisibility: 3, reversibility: 3, speed: 3, ease: 3 },
  steps: [step('do', 'level', 'Do it', 'By hand.', 10)],
});

test('a new row of any family that forgets a fact does not compile', () => {
  for (const family of FAMILIES) {
    const whole = rowOf(family);
    const without = <K extends keyof Row>(key: K): Omit<Row, K> => {
      const { [key]: _gone, ...rest } = whole;
      return rest;
    };
    // @ts-expect-error which glues would do
    const noGlue: Row = without('glue');
    // @ts-expect-error what it fills with
    const noFiller: Row = without('fills');
    // @ts-expect-error the hollow that its glue fills
    const noHollow: Row = without('hollow');
    // @ts-expect-error its sums
    const noSums: Row = without('sums');
    // @ts-expect-error whether it is the place or the whole face
    const noExtent: Row = without('extent');
    expect(new Set([noGlue, noFiller, noHollow, noSums, noExtent]).size).toBe(5);
    // @ts-expect-error a filler that nobody knows
    const strange: Row = { ...whole, fills: 'porridge' };
    expect(strange.family).toBe(family);
  }
});

test('what a row says of itself holds together', () => {
  for (const m of METHODS) {
    // What is glued says with what; what only mixes an epoxy to fill with says so too.
    if (m.steps.some((s) => s.glued)) expect([m.id, m.glue]).not.toEqual([m.id, 'none']);
    // A hollow is filled in layers or by its glue, and has a sum for it.
    if (m.fills !== 'nothing') expect([m.id, m.sums]).toEqual([m.id, expect.arrayContaining(['fill'])]);
    if (m.sums.includes('fill')) expect([m.id, m.fills]).not.toEqual([m.id, 'nothing']);
    if (m.steps.some((s) => s.layer)) expect([m.id, m.fills]).not.toEqual([m.id, 'nothing']);
    if (m.glue === 'fills') expect([m.id, m.hollow]).not.toEqual([m.id, 'none']);
  }
});
