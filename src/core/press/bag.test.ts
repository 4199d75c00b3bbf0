import { atmosphereKPa, bagPlan } from './bag';

const PANEL = { longMm: 600, wideMm: 450, thickMm: 18, bagKPa: 80, heightM: 0, targetKPa: 70, clampMin: 60, dries: true }; // prettier-ignore

// ISO 2533, standard atmosphere: pressures of its table, which goes by geometric height; the formula by geopotential, 0.02 % apart at 3000 m.
test.each([
  [0, 101.325],
  [500, 95.461],
  [1000, 89.876],
  [2000, 79.501],
  [3000, 70.121],
])('at %d m the air presses with %d kPa', (heightM, kPa) => {
  expect(atmosphereKPa(heightM) / kPa).toBeCloseTo(1, 3);
});

test('a panel of 600 × 450 mm at sea level by hand', () => {
  const plan = bagPlan(PANEL);
  expect(plan.pressureKPa).toBeCloseTo(80, 9);
  expect(plan.enough).toBe(true);
  // 0.08 N/mm² on 270 000 mm².
  expect(plan.forceN).toBeCloseTo(21_600, 6);
  expect(plan.bagMm).toEqual({ long: 918, wide: 768 });
  expect(plan.clampMin).toBeCloseTo(90, 9);
  expect(bagPlan({ ...PANEL, dries: false }).clampMin).toBe(60);
});

test('the same bag is too weak in the mountains: the pump leaves 21.3 kPa inside wherever it stands', () => {
  expect(bagPlan({ ...PANEL, heightM: 2000 })).toMatchObject({ enough: false });
  expect(bagPlan({ ...PANEL, heightM: 2000 }).pressureKPa).toBeCloseTo(79.501 - (101.325 - 80), 1);
});

test('no bag presses harder than the air', () => {
  expect(() => bagPlan({ ...PANEL, bagKPa: 120 })).toThrow('The pressure of the bag is 120 kPa');
});
