import fc from 'fast-check';
import { FINISH_GOALS, FINISH_STATES, FINISHES_NOW, PROFILES, SCHOOLS, BUILDS } from '../terms';
import { preparationOf, PREPARATIONS, type FaceToPrepare, type PreparationId } from '.';

const face = (over: Partial<FaceToPrepare>): FaceToPrepare => ({
  finishNow: 'varnish',
  goal: 'varnish',
  school: 'clear',
  build: 'solid',
  veneerMm: 0,
  profile: 'flat',
  refreshed: false,
  thinVeneer: 'strip',
  ...over,
});

// Written down before the rules: what a careful refinisher does with each. Common practice.
const CASES: [what: string, face: Partial<FaceToPrepare>, expected: PreparationId, passes?: number][] = [
  ['paint over a sound varnish', { goal: 'paint', school: 'paint', state: 'sound' }, 'scuff'],
  ['paint over a worn varnish', { goal: 'paint', school: 'paint', state: 'worn' }, 'scuff'],
  ['paint over a flaking varnish', { goal: 'paint', school: 'paint', state: 'flaking' }, 'strip', 2],
  ['paint over sound paint', { finishNow: 'paint', goal: 'paint', school: 'paint', state: 'sound' }, 'scuff'],
  ['a clear finish over paint', { finishNow: 'paint', goal: 'varnish' }, 'strip', 3],
  ['new varnish over a sound one', { state: 'sound' }, 'scuff'],
  ['new varnish over a sound one with polish on it', { state: 'waxed' }, 'scuff'],
  ['new varnish over a worn one', { state: 'worn' }, 'strip', 2],
  ['new varnish, and nobody has looked', {}, 'strip', 2],
  ['lacquer over a sound varnish, which it would lift', { goal: 'lacquer', state: 'sound' }, 'strip', 2],
  ['shellac over sound lacquer', { finishNow: 'lacquer', goal: 'shellac', state: 'sound' }, 'scuff'],
  ['oil under a film', { goal: 'oil', state: 'sound' }, 'strip', 2],
  ['oil over oil', { finishNow: 'oil', goal: 'oil' }, 'clean', 1],
  ['shellac over wax', { finishNow: 'wax', goal: 'shellac' }, 'clean', 2],
  ['bare wood, refinished clear', { finishNow: 'bare', goal: 'varnish' }, 'sand'],
  ['bare wood, conserved', { finishNow: 'bare', goal: 'shellac', school: 'conserve' }, 'clean'],
  ['shellac that stays', { finishNow: 'shellac', goal: 'keep', school: 'conserve', state: 'sound' }, 'leave'],
  ['crazed shellac, conserved', { finishNow: 'shellac', goal: 'keep', school: 'conserve', state: 'crazed' }, 'leave'],
  ['a sticky finish that stays', { goal: 'keep', state: 'sticky' }, 'clean'],
  ['flaking shellac on thin veneer, the way of scraping', { finishNow: 'shellac', goal: 'shellac', state: 'flaking', build: 'solidCore', veneerMm: 0.6, thinVeneer: 'scrape' }, 'scrape'],
  ['the same, but carved', { finishNow: 'shellac', goal: 'shellac', state: 'flaking', build: 'solidCore', veneerMm: 0.6, thinVeneer: 'scrape', profile: 'carved' }, 'strip', 3],
  ['crazed lacquer on thick old veneer', { finishNow: 'lacquer', goal: 'lacquer', state: 'crazed', build: 'solidCore', veneerMm: 2 }, 'strip', 2],
  ['a small sound film on veneer that bears it, the way of sanding', { finishNow: 'varnish', goal: 'lacquer', state: 'sound', build: 'solidCore', veneerMm: 0.9, thinVeneer: 'sand' }, 'sand'],
  ['the same on veneer that is nearly gone', { finishNow: 'varnish', goal: 'lacquer', state: 'sound', build: 'solidCore', veneerMm: 0.3, thinVeneer: 'sand' }, 'strip', 2],
  ['what its own repair refreshes', { finishNow: 'shellac', goal: 'shellac', refreshed: true }, 'leave'],
]; // prettier-ignore

test.each(CASES)('%s', (...[, over, expected, passes]: (typeof CASES)[number]) => {
  const found = preparationOf(face(over));
  expect(found.proposed).toBe(expected);
  if (passes !== undefined) expect(found.passes).toBe(passes);
});

test('what the user takes goes before the proposal, and what stands against it stays said', () => {
  const found = preparationOf(face({ state: 'sound', own: 'sand' }));
  expect(found).toMatchObject({ id: 'sand', proposed: 'scuff', bareAfter: true });
  const paint = preparationOf(face({ finishNow: 'paint', own: 'scrape' }));
  expect(paint.options.find((o) => o.id === 'scrape')).toMatchObject({ fits: false, why: expect.stringContaining('lead') }); // prettier-ignore
});

const keys = <K extends string>(table: Record<K, unknown>) => fc.constantFrom(...(Object.keys(table) as K[]));
const anyFace: fc.Arbitrary<FaceToPrepare> = fc.record({
  finishNow: keys(FINISHES_NOW),
  state: keys(FINISH_STATES),
  goal: keys(FINISH_GOALS),
  school: keys(SCHOOLS),
  build: keys(BUILDS),
  veneerMm: fc.double({ min: 0.2, max: 6, noNaN: true }),
  profile: keys(PROFILES),
  refreshed: fc.constant(false),
  thinVeneer: fc.constantFrom('strip' as const, 'scrape' as const, 'sand' as const),
});

test('every face has a preparation that fits it, every way its reason, and the trade’s refusals hold', () => {
  fc.assert(
    fc.property(anyFace, (f) => {
      const { id, options, passes, bareAfter } = preparationOf(f);
      const chosen = options.find((o) => o.id === id);
      expect(chosen?.fits).toBe(true);
      expect(options.map((o) => o.id)).toEqual(Object.keys(PREPARATIONS));
      for (const o of options) expect(o.why).toMatch(/^[A-Z].*\.$/);
      expect(passes).toBeGreaterThanOrEqual(1);
      if (f.goal === 'keep') expect(['leave', 'clean']).toContain(id);
      else expect(id).not.toBe('leave');
      // Nothing bonds over wax; conserving never sands to bright wood; old paint is worked wet.
      if (f.finishNow === 'wax') expect(id).not.toBe('scuff');
      if (f.school === 'conserve') expect(id).not.toBe('sand');
      if (f.finishNow === 'paint') expect(['sand', 'scrape']).not.toContain(id);
      if (f.goal === 'oil' && f.finishNow !== 'oil') expect(bareAfter).toBe(true);
      // A film that fails is never coated over.
      if (['crazed', 'flaking', 'sticky'].includes(f.state ?? '')) expect(id).not.toBe('scuff');
    }),
    { numRuns: 2000 },
  );
});
