import { pairOfCauls, type PairInput } from './pair';

const INPUT: PairInput = {
  lengthMm: 600,
  outer: { widthMm: 45, heightMm: 38 },
  inner: { widthMm: 60, heightMm: 30 },
  modulusMPa: 10_000,
  pressureKPa: 300,
  pressedWidthMm: 80,
  props: 1,
};

/**
 * Shears, moments, slopes and heights added up along the beam by the trapezium rule, then laid through its supports: written
 * apart, without a formula for the deflection.
 */
function integrated(length: number, load: number, stiffness: number, supports: number[], x: number): number {
  const n = 60_000;
  const h = length / n;
  const each = (load * length) / supports.length;
  const heights = [0];
  let [moment, slope, height] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const shear = (at: number): number => supports.reduce((s, p) => s + (at > p ? each : 0), 0) - load * at;
    const next = moment + h * shear((i + 0.5) * h);
    const turned = slope - (h * (moment + next)) / 2 / stiffness;
    height += (h * (slope + turned)) / 2;
    [moment, slope] = [next, turned];
    heights.push(height);
  }
  const at = (mm: number): number => heights[Math.round(mm / h)] ?? 0;
  const [first = 0, second] = supports;
  // Two supports fix the line; under one the halves are alike.
  const tilt =
    second === undefined ? (at(length) - at(0)) / length : (at(second) - at(first)) / (second - first);
  return at(x) - at(first) - tilt * (x - first);
}

test('the outer caul, held at its ends, is the beam of any table: 5 w L⁴ / 384 E I', () => {
  const { outerMm, endForceN } = pairOfCauls(INPUT);
  const inertia = (45 * 38 ** 3) / 12;
  // 0.3 MPa on 80 mm: 24 N/mm over 600 mm.
  expect(outerMm).toBeCloseTo((5 * 24 * 600 ** 4) / (384 * 10_000 * inertia), 9);
  expect(endForceN).toBeCloseTo(7200);
});

test('the inner caul on one prop bends back at its ends like two cantilevers: w (L/2)⁴ / 8 E I', () => {
  const { innerMm, propForceN, propAtMm } = pairOfCauls(INPUT);
  const inertia = (60 * 30 ** 3) / 12;
  expect(innerMm).toBeCloseTo((24 * 300 ** 4) / (8 * 10_000 * inertia), 6);
  expect(propForceN).toBeCloseTo(14_400);
  expect(propAtMm).toBe(300);
});

test.each([1, 2] as const)('%s props: as added up along the beam', (props) => {
  const { stations, propAtMm } = pairOfCauls({ ...INPUT, props });
  const supports = props === 1 ? [300] : [propAtMm, 600 - propAtMm];
  const stiffness = (10_000 * 60 * 30 ** 3) / 12;
  const heights = stations.map((s) => integrated(600, 24, stiffness, supports, s.xMm));
  const lowest = Math.min(...heights);
  stations.forEach((s, i) => expect(s.innerMm).toBeCloseTo(Math.abs((heights[i] ?? 0) - lowest), 2));
});

test('two props where they belong: the ends and the middle bend back alike, and far less than with one', () => {
  const two = pairOfCauls({ ...INPUT, props: 2 });
  const [end, middle] = [two.stations[0], two.stations[10]];
  expect(end?.innerMm).toBeCloseTo(middle?.innerMm ?? 0, 2);
  expect(two.innerMm).toBeLessThan(pairOfCauls(INPUT).innerMm / 20);
});

test('twice as stiff bends half as much; nothing else changes', () => {
  const stiff = pairOfCauls({ ...INPUT, modulusMPa: 20_000 });
  const soft = pairOfCauls(INPUT);
  expect(stiff.outerMm).toBeCloseTo(soft.outerMm / 2, 9);
  expect(stiff.innerMm).toBeCloseTo(soft.innerMm / 2, 9);
  expect(stiff.propForceN).toBe(soft.propForceN);
});

test('sizes that cannot be are refused in words', () => {
  expect(() => pairOfCauls({ ...INPUT, lengthMm: 0 })).toThrow(/length between the clamps/);
  expect(() => pairOfCauls({ ...INPUT, inner: { widthMm: 60, heightMm: 0 } })).toThrow(/inner caul/);
});
