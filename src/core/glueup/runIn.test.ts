import fc from 'fast-check';
import { runInMm, thinnedMPas, waterBroughtIn } from './runIn';
import { SURFACE, wickDepthMm } from './wicking';

/** The same flow followed step by step (Runge and Kutta of the fourth order in the square of the depth), written apart. */
function stepped(gapMm: number, mPas: number, tiltDeg: number, seconds: number): number {
  const w = gapMm / 1000;
  const mu = mPas / 1000;
  const pressure = 2 * SURFACE.tensionNPerM.value * Math.cos((SURFACE.contactDeg.value * Math.PI) / 180) / w; // prettier-ignore
  const perMetre = 1050 * 9.80665 * Math.sin((tiltDeg * Math.PI) / 180);
  // With q = L²: dq/dt = w²/6μ · (p + ρ g sin α · √q), which does not blow up at the mouth.
  const slope = (q: number): number => ((w * w) / (6 * mu)) * (pressure + perMetre * Math.sqrt(q));
  const steps = 20_000;
  const h = seconds / steps;
  let q = 0;
  for (let i = 0; i < steps; i++) {
    const a = slope(q);
    const b = slope(q + (h / 2) * a);
    const c = slope(q + (h / 2) * b);
    const d = slope(q + h * c);
    q += (h / 6) * (a + 2 * b + 2 * c + d);
  }
  return 1000 * Math.sqrt(q);
}

test.each([
  [0.1, 4000, 0, 600],
  [0.3, 50, 30, 300],
  [0.5, 200, 45, 600],
  [1, 1500, 20, 300],
  [2, 4000, 90, 60],
])('a gap of %s mm, %s mPa·s, tilted %s°, after %s s: as followed step by step', (gap, mPas, tilt, s) => {
  const deep = runInMm({ gapMm: gap, viscosityMPas: mPas, tiltDeg: tilt }, s, 1e6);
  expect(deep / stepped(gap, mPas, tilt, s)).toBeCloseTo(1, 3);
});

test('level it is the law of Washburn, and the closed form joins its first terms without a step', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 0.3, noNaN: true }), fc.double({ min: 1, max: 5000, noNaN: true }), (gap, mPas) => {
      const level = runInMm({ gapMm: gap, viscosityMPas: mPas, tiltDeg: 0 }, 300, 1e6);
      expect(level / wickDepthMm(gap, mPas, 300)).toBeCloseTo(1, 6);
      const hardly = runInMm({ gapMm: gap, viscosityMPas: mPas, tiltDeg: 0.001 }, 300, 1e6);
      expect(hardly).toBeGreaterThanOrEqual(level * (1 - 1e-9));
    }),
  ); // prettier-ignore
});

test('wider, thinner, steeper and longer it never runs less deep', () => {
  const gap = fc.double({ min: 0.05, max: 3, noNaN: true });
  const mPas = fc.double({ min: 2, max: 20_000, noNaN: true });
  fc.assert(
    fc.property(gap, mPas, fc.integer({ min: 0, max: 80 }), fc.integer({ min: 10, max: 1800 }), (w, m, a, t) => {
      const deep = runInMm({ gapMm: w, viscosityMPas: m, tiltDeg: a }, t);
      expect(runInMm({ gapMm: w * 1.2, viscosityMPas: m, tiltDeg: a }, t)).toBeGreaterThanOrEqual(deep - 1e-9);
      expect(runInMm({ gapMm: w, viscosityMPas: m / 2, tiltDeg: a }, t)).toBeGreaterThanOrEqual(deep - 1e-9);
      expect(runInMm({ gapMm: w, viscosityMPas: m, tiltDeg: a + 5 }, t)).toBeGreaterThanOrEqual(deep - 1e-9);
      expect(runInMm({ gapMm: w, viscosityMPas: m, tiltDeg: a }, t + 60)).toBeGreaterThanOrEqual(deep - 1e-9);
    }),
  ); // prettier-ignore
});

test('thinned glue: neat is itself, water is water, one to one is their geometric mean', () => {
  expect(thinnedMPas(4000, 1)).toBeCloseTo(4000);
  expect(thinnedMPas(4000, 0)).toBeCloseTo(1.002);
  expect(thinnedMPas(4000, 0.5)).toBeCloseTo(Math.sqrt(4000 * 1.002));
});

test('water in the wood: by hand, and against the whole series of Crank', () => {
  // 2 ml on 100 cm² under 0.9 mm of veneer: 3.9 mm · 0.01 m² · 600 kg/m³ = 23.4 g of wood, 8.5 % wetter.
  const { risesBy, driesInMin } = waterBroughtIn(2, 10_000, 0.9);
  expect(risesBy).toBeCloseTo(2 / 23.4, 6);
  const [d, s] = [3e-10, 3.9e-3];
  const left = (t: number): number =>
    Array.from(
      { length: 40 },
      (_, n) =>
        (8 / ((2 * n + 1) * Math.PI) ** 2) * Math.exp((-d * ((2 * n + 1) * Math.PI) ** 2 * t) / (4 * s * s)),
    ) // prettier-ignore
      .reduce((a, b) => a + b, 0);
  expect(left(driesInMin * 60)).toBeCloseTo(0.1, 4);
});

test('sizes that cannot be are refused in words', () => {
  expect(() => runInMm({ gapMm: 0, viscosityMPas: 100, tiltDeg: 0 }, 60)).toThrow(/opening/);
  expect(() => thinnedMPas(100, 1.5)).toThrow(/share/);
});
