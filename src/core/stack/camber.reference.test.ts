import { bowHeightMm, bowOffsets, bridgeBowMm, camberOf, parabolaHeightMm } from './camber';

const CAUL = {
  lengthMm: 600,
  widthMm: 50,
  heightMm: 50,
  modulusMPa: 12_600,
  pressureKPa: 100,
  pressedWidthMm: 50,
};

// Simply supported beam under a uniform load, Roark and any table of beams; the figure for w = 5 N/mm, L = 600 mm, E = 12 600 MPa,
// 50 × 50 mm worked out by hand: 5 · 5 · 600⁴ / (384 · 12 600 · 520 833) = 1.2857143 mm.
test('the middle bow and the end forces of a worked example', () => {
  const c = camberOf(CAUL);
  expect(c.midCamberMm).toBeCloseTo(1.2857143, 6);
  expect(c.endForceN).toBeCloseTo(1500, 9);
});

test('offsets every 50 mm follow the curve, nought at both ends, the same from either', () => {
  const { offsets, midCamberMm } = camberOf(CAUL);
  expect(offsets.map((o) => o.xMm)).toEqual([0, 50, 100, 150, 200, 250, 300, 350, 400, 450, 500, 550, 600]);
  expect(offsets[6]?.mm).toBeCloseTo(midCamberMm, 12);
  offsets.forEach((o, i) => expect(o.mm).toBeCloseTo(offsets[offsets.length - 1 - i]?.mm ?? NaN, 9));
  // At a quarter of the length the curve of the table is 57/80 of the middle.
  expect(camberOf({ ...CAUL, lengthMm: 800 }).offsets[4]?.mm).toBeCloseTo((57 / 80) * camberOf({ ...CAUL, lengthMm: 800 }).midCamberMm, 9); // prettier-ignore
});

test('the curve agrees with a beam that is integrated step by step', () => {
  const steps = 6000;
  const h = 600 / steps;
  const ei = (12_600 * 50 * 50 ** 3) / 12;
  let [slope, y, best] = [0, 0, 0];
  // Shooting: the slope at the end that brings the far end to nought is found from the linear remainder.
  const run = (start: number): number => {
    [slope, y, best] = [start, 0, 0];
    for (let i = 0; i < steps; i++) {
      const x = (i + 0.5) * h;
      slope -= ((5 * x * (600 - x)) / 2 / ei) * h;
      y += slope * h;
      best = Math.max(best, y);
    }
    return y;
  };
  run(-run(0) / 600);
  expect(best / camberOf(CAUL).midCamberMm).toBeCloseTo(1, 3);
});

test('a length that is no multiple of 50 mm ends at its own end', () => {
  const { offsets } = camberOf({ ...CAUL, lengthMm: 430 });
  expect(offsets[offsets.length - 1]).toEqual({ xMm: 430, mm: 0 });
});

test.each([
  [{ heightMm: 0 }, 'The height of the caul is 0 mm'],
  [{ pressureKPa: -5 }, 'The pressure is -5 kPa'],
  [{ lengthMm: 1e5 }, 'The length between the clamps'],
])('%j is refused', (more, words) => {
  expect(() => camberOf({ ...CAUL, ...more })).toThrow(words);
});

test('the parabola that the solver takes: full in the middle, three quarters at a quarter, nought at the ends', () => {
  expect([0, 150, 300, 600].map((x) => parabolaHeightMm(2, 600, x))).toEqual([0, 1.5, 2, 0]);
  expect(bowOffsets(120, (x) => parabolaHeightMm(2, 120, x)).map((o) => o.xMm)).toEqual([0, 50, 100, 120]);
  // It stays within 5 % of the camber of the curve of the even load.
  const { midCamberMm } = camberOf(CAUL);
  for (let x = 0; x <= 600; x += 20)
    expect(Math.abs(parabolaHeightMm(midCamberMm, 600, x) - bowHeightMm(CAUL, x)) / midCamberMm).toBeLessThan(
      0.05,
    );
});

describe('a caul that bridges a face', () => {
  const section = { widthMm: 50, heightMm: 50, modulusMPa: 12_600 };
  const stiffness = (12_600 * 50 * 50 ** 3) / 12;

  test('pressing all along it takes the bow of the even load', () => {
    const { endForceN, midCamberMm } = camberOf(CAUL);
    expect(bridgeBowMm(endForceN, 600, 600, section)).toBeCloseTo(midCamberMm, 9);
  });

  test('pressing on a point: the parabola with the curvature F L / 2 E I of the middle', () => {
    expect(bridgeBowMm(1000, 600, 1e-6, section)).toBeCloseTo(
      (((1000 * 600) / 2 / stiffness) * 300 ** 2) / 2,
      6,
    );
  });

  test('in between it stands off at the ends of the stretch as far as a beam that is integrated step by step bends', () => {
    const [force, span, pressed] = [1000, 600, 150];
    const steps = 30_000;
    const h = pressed / 2 / steps;
    let [slope, y] = [0, 0];
    for (let i = 0; i < steps; i++) {
      const s = (i + 0.5) * h;
      const moment = force * (span / 2 - s) - ((2 * force) / pressed) * ((pressed / 2 - s) ** 2 / 2);
      slope += (moment / stiffness) * h;
      y += slope * h;
    }
    const bow = bridgeBowMm(force, span, pressed, section);
    expect((bow * (pressed / span) ** 2) / y).toBeCloseTo(1, 3);
  });
});
