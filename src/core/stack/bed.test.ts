import { SPECIES } from '../wood';
import { bedOf } from './bed';

test('a thinner panel is stiffer, and a wood that is not in the table takes a stated default', () => {
  expect(bedOf('walnut', 10).stiffnessMPaPerMm).toBeCloseTo(2 * bedOf('walnut', 20).stiffnessMPaPerMm, 9);
  // Walnut, 11.6 GPa along the grain: 580 MPa across, over 20 mm.
  expect(bedOf('walnut', 20).stiffnessMPaPerMm).toBeCloseTo(29, 9);
  expect(bedOf('other', 20).crushingKPa).toBeGreaterThan(3000);
});

test('the estimate from the density lies within a third of the tabled crushing strengths of hardwoods', () => {
  for (const s of SPECIES.filter((x) => x.crushingMPa && x.specificGravity.value > 0.4)) {
    const estimate = 21.6 * s.specificGravity.value ** 2.09;
    expect(`${s.id} ${estimate / (s.crushingMPa?.value ?? 1) > 0.66 && estimate / (s.crushingMPa?.value ?? 1) < 1.34}`).toBe(`${s.id} true`); // prettier-ignore
  }
});
