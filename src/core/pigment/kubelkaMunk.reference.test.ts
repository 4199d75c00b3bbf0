import fc from 'fast-check';
import { Color, mix } from 'spectral.js';
import { deltaE00, hexFromLab, labFromRgb, type Lab } from '../colour';
import { absorptionOf, filmOver, filterOver, reflectanceOf, SAUNDERSON, throughSurface } from './kubelkaMunk';
import { mixtureOf, partOf } from './mix';
import { labOf } from './spectrum';

const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });

/**
 * The two-flux equations of Kubelka and Munk integrated step by step from the ground up (Runge–Kutta of the fourth order):
 * dR/dx = S − 2(K + S) R + S R², with R the reflectance of everything below.
 */
function integrated(ground: number, thick: number, power: number, steps = 4000): number {
  const k = absorptionOf(thick);
  const slope = (r: number): number => 1 - 2 * (k + 1) * r + r * r;
  const h = power / steps;
  let r = ground;
  for (let i = 0; i < steps; i++) {
    const a = slope(r);
    const b = slope(r + (h / 2) * a);
    const c = slope(r + (h / 2) * b);
    r += (h / 6) * (a + 2 * b + 2 * c + slope(r + h * c));
  }
  return r;
}

test('absorption and reflectance are each other’s inverse', () => {
  fc.assert(fc.property(share, (r) => expect(reflectanceOf(absorptionOf(r))).toBeCloseTo(r, 9)));
});

test('a film over a ground is what integrating the two fluxes step by step gives', () => {
  const power = fc.double({ min: 0.001, max: 4, noNaN: true });
  fc.assert(
    fc.property(share, fc.double({ min: 0.05, max: 0.99, noNaN: true }), power, (ground, thick, x) =>
      expect(filmOver(ground, thick, x)).toBeCloseTo(integrated(ground, thick, x), 6),
    ),
    { numRuns: 60 },
  );
});

test('no film is the ground, an endless one its own colour, a white one without absorption stays finite', () => {
  fc.assert(
    fc.property(share, share, (ground, thick) => {
      expect(filmOver(ground, thick, 0)).toBe(ground);
      expect(filmOver(ground, thick, 1e4)).toBeCloseTo(thick, 3);
      expect(filmOver(thick, thick, 0.7)).toBeCloseTo(thick, 9);
    }),
  );
  expect(filmOver(0.2, 1, 1)).toBeCloseTo(integrated(0.2, 1, 1), 6);
});

test('two films are one of both thicknesses, two filters one of both amounts', () => {
  fc.assert(
    fc.property(share, share, fc.double({ min: 0.01, max: 2, noNaN: true }), (ground, own, x) => {
      expect(filmOver(filmOver(ground, own, x), own, 2 * x)).toBeCloseTo(filmOver(ground, own, 3 * x), 9);
      expect(filterOver(filterOver(ground, own, x), own, 2 * x)).toBeCloseTo(
        filterOver(ground, own, 3 * x),
        12,
      );
    }),
  );
});

test('a smooth clear surface of index 1.5 has Fresnel’s and Saunderson’s constants', () => {
  const n = 1.5;
  const straight = ((n - 1) / (n + 1)) ** 2;
  expect(SAUNDERSON.entering).toBeCloseTo(straight, 3);
  // Diffuse light from inside, integrated over all angles by Fresnel's equations: 0.596 (Judd 1942); Saunderson rounds it to 0.6.
  const steps = 20_000;
  let inside = 0;
  for (let i = 0; i < steps; i++) {
    const angle = ((i + 0.5) / steps) * (Math.PI / 2);
    const sine = n * Math.sin(angle);
    const cosine = Math.sqrt(Math.max(0, 1 - sine * sine));
    const s = (n * Math.cos(angle) - cosine) / (n * Math.cos(angle) + cosine);
    const p = (n * cosine - Math.cos(angle)) / (n * cosine + Math.cos(angle));
    const back = sine >= 1 ? 1 : (s * s + p * p) / 2;
    inside += back * 2 * Math.sin(angle) * Math.cos(angle) * (Math.PI / 2 / steps);
  }
  expect(inside).toBeCloseTo(0.596, 3);
  expect(SAUNDERSON.leaving).toBeCloseTo(inside, 2);
  expect(throughSurface(1)).toBeCloseTo(0.96, 9);
  expect(throughSurface(0.5)).toBeCloseTo((0.96 * 0.4 * 0.5) / 0.7, 12);
});

describe('mixtures beside an independent Kubelka–Munk library', () => {
  const rgb = (hex: string): [number, number, number] => [
    parseInt(hex.slice(1, 3), 16),
    parseInt(hex.slice(3, 5), 16),
    parseInt(hex.slice(5, 7), 16),
  ];
  const ours = (colours: readonly string[]): Lab =>
    labOf(mixtureOf(colours.map((hex) => ({ part: partOf({ lab: labFromRgb(...rgb(hex)) }), parts: 1 }))));
  const theirs = (colours: readonly string[]): Lab => {
    const [r = 0, g = 0, b = 0] = mix(
      ...colours.map((hex): [Color, number] => [new Color(rgb(hex)), 1]),
    ).sRGB;
    return labFromRgb(r, g, b);
  };

  test.each([
    [['#c89b5a', '#6b3f1d']],
    [['#d8b27a', '#8b4a2b']],
    [['#b5835a', '#5a3a22', '#e0c08a']],
    [['#7a4a2a', '#a0522d']],
    [['#3c2416', '#deb887']],
  ])('browns: %p', (colours) => {
    // Both give each colour a smooth spectrum of its own making; where they differ by more than this the model differs.
    expect(deltaE00(ours(colours), theirs(colours))).toBeLessThan(1.5);
  });

  test('blue and yellow make green, as there', () => {
    const green = ours(['#002185', '#fcd200']);
    expect(green[1]).toBeLessThan(-25);
    expect(green[2]).toBeGreaterThan(10);
    expect(deltaE00(green, theirs(['#002185', '#fcd200']))).toBeLessThan(8);
    expect(hexFromLab(theirs(['#002185', '#fcd200']))).toBe('#3d933e');
  });
});
