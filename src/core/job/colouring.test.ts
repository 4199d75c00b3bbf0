import type { Tones } from '../colour';
import { colouringOf, colourStart, newDamage } from '.';
import type { Damage } from './types';

const OLD: Tones = { ground: [52, 13, 32], mean: [45, 13, 28], line: [34, 11, 20], coherence: 0.5, pixels: 2000 }; // prettier-ignore
const BARE: Tones = { ground: [66, 9, 24], mean: [60, 9, 23], line: [50, 9, 20], coherence: 0.5, pixels: 2000 }; // prettier-ignore
const damage = (over: Partial<Damage> = {}): Damage => ({
  ...newDamage('p', 'f', 1, 'missingVeneer'),
  ...over,
});
const ids = (d: Damage): string[] => (colouringOf(d, OLD, BARE, 'shellac', [])?.steps ?? []).map((s) => s.id);
const at = '2026-03-02T10:00:00';

test('what nobody has said yet is asked: wet, and after the first coat of colour', () => {
  const steps = ids(damage());
  expect(steps[0]).toBe('wipe');
  expect(steps.slice(0, 3)).toEqual(['wipe', 'dye', 'look']);
  const wiped = damage({ tried: [{ at, what: 'wipe', outcome: 'light', note: '', lab: [58, 9, 23], finished: true }] }); // prettier-ignore
  expect(ids(wiped)).not.toContain('wipe');
  expect(ids(wiped)).toContain('look');
});

test('after a coat the rest is planned from what it looks like: less is left to do, nothing is asked again', () => {
  const half = damage({ tried: [{ at, what: 'coat', outcome: 'measured', note: '', lab: [52, 11, 26] }] });
  const before = colouringOf(damage(), OLD, BARE, 'shellac', []);
  const then = colouringOf(half, OLD, BARE, 'shellac', []);
  expect(then?.bareDifference).toBeLessThan(before?.bareDifference ?? 0);
  expect(ids(half)).not.toContain('look');
  expect(colourStart(half, BARE, []).mean).toEqual([52, 11, 26].map((v) => expect.closeTo(v, 9)));
  // The tones keep their distance from each other.
  expect(colourStart(half, BARE, []).ground[0] - colourStart(half, BARE, []).line[0]).toBeCloseTo(16, 9);
});

test('what vanishes wet, or looks right, takes no colour any more; a board does not say so', () => {
  expect(
    ids(damage({ tried: [{ at, what: 'wipe', outcome: 'vanished', note: '', lab: OLD.mean }] })),
  ).toEqual([]);
  expect(ids(damage({ tried: [{ at, what: 'coat', outcome: 'right', note: '', lab: OLD.mean }] }))).toEqual(
    [],
  );
  expect(ids(damage({ tried: [{ at, what: 'board', outcome: 'right', note: '' }] }))).not.toEqual([]);
});

test('bleach of the chain, or one that was chosen, is reckoned with', () => {
  const dark: Tones = { ...BARE, ground: [44, 10, 20], mean: [40, 10, 19], line: [33, 9, 16] };
  expect(colouringOf(damage(), OLD, dark, 'shellac', [])?.tooDark).toBe(true);
  expect(colouringOf(damage(), OLD, dark, 'shellac', ['woodBleach'])?.tooDark).toBe(false);
  expect(colourStart(damage({ first: 'light' }), BARE, [], 'walnut').mean[0]).toBeGreaterThan(BARE.mean[0]);
  expect(colourStart(damage({ first: 'light' }), BARE, [], 'cherry').mean[0]).toBeLessThan(BARE.mean[0]);
  expect(colouringOf(damage({ first: 'bleachOnce' }), OLD, dark, 'shellac', [])?.tooDark).toBe(false);
  expect(colouringOf(damage({ first: 'none' }), OLD, dark, 'shellac', ['woodBleach'])?.tooDark).toBe(true);
});
