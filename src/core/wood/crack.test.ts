import { crackPlan, type CrackInput } from './crack';

const NOW = { temperatureC: 21, relativeHumidity: 0.5 };
const DRY = { temperatureC: 21, relativeHumidity: 0.3 };
const DAMP = { temperatureC: 21, relativeHumidity: 0.65 };
const PANEL: CrackInput = {
  species: 'white oak',
  cut: 'flat',
  boardMm: 400,
  gapMm: 2,
  now: NOW,
  dry: DRY,
  damp: DAMP,
};

test('the gap opens in the dry month and narrows in the damp one, by the handbook’s coefficient', () => {
  const plan = crackPlan(PANEL);
  // White oak, flat: C = 0.105 / (30 − 2.1) = 0.003763 per percent. 9.2 → 6.2 % and 9.2 → 12.0 % (Wood Handbook, EMC table).
  expect(plan.gapDryMm).toBeCloseTo(2 + 400 * 0.003763 * 3.0, 0);
  expect(plan.gapDampMm).toBeCloseTo(2 - 400 * 0.003763 * 2.8, 0);
  expect(plan.movesMm).toBeCloseTo(plan.gapDryMm - plan.gapDampMm, 10);
});

test.each<[string, Partial<CrackInput>, string]>([
  ['wide panel whose crack closes in the damp', {}, 'flexible'],
  ['hairline that closes in the damp', { gapMm: 0.4 }, 'leave'],
  ['wide gap that never closes', { gapMm: 9 }, 'sliver'],
  ['narrow board, hairline that hardly moves', { boardMm: 3, gapMm: 0.3 }, 'fill'],
  ['narrow board, hairline that moves by most of itself', { boardMm: 12, gapMm: 0.3 }, 'flexible'],
  ['narrow board, wide gap', { boardMm: 12, gapMm: 1.5 }, 'sliver'],
  ['one that closes by hand', { closesByHand: true }, 'close'],
])('common practice: %s', (_, more, advice) => {
  const plan = crackPlan({ ...PANEL, ...more });
  expect(plan.advice).toBe(advice);
  expect(plan.why).toMatch(/\.$/);
});

test('a quarter-sawn board moves less, a room that does not change moves nothing', () => {
  expect(crackPlan({ ...PANEL, cut: 'quarter' }).movesMm).toBeLessThan(crackPlan(PANEL).movesMm);
  expect(crackPlan({ ...PANEL, dry: NOW, damp: NOW }).movesMm).toBeCloseTo(0, 10);
});

test.each<[Partial<CrackInput>, string]>([
  [{ gapMm: -1 }, 'The gap is -1 mm'],
  [{ species: 'unobtainium' }, 'is not in the table'],
  [{ dry: DAMP, damp: DRY }, 'The driest month is damper than the dampest'],
  [{ now: { temperatureC: 21, relativeHumidity: 1.4 } }, 'must lie between'],
])('%j is refused', (more, words) => {
  expect(() => crackPlan({ ...PANEL, ...more })).toThrow(words);
});
