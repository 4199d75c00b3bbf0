import fc from 'fast-check';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { seededRandom } from '../check';
import type { Point } from '../geometry';
import { elimination } from './cholesky';
import { bridgeBowMm } from '../stack';
import { dissect } from './dissection';
import { pressField, type FieldInput } from './field';
import { symmetric } from './sparse';

const MDF = { thicknessMm: 18, modulusMPa: 3000, poisson: 0.3 };
const TARGET = { leastKPa: 50, mostKPa: 2000 };
const input = (more: Partial<FieldInput>): FieldInput => ({
  panel: { widthMm: 900, heightMm: 600 },
  platen: MDF,
  foundation: { stiffnessMPaPerMm: 1 },
  cauls: [],
  clamps: [{ at: [450, 300], forceN: 2000 }],
  gridMm: 10,
  target: TARGET,
  ...more,
});
const MINUTE = 60_000;

test('sparse elimination gives what a dense one gives', () => {
  const random = seededRandom(3);
  const [columns, rows, extra] = [14, 11, 9];
  const size = columns * rows + extra;
  const m = symmetric(size, columns, columns * rows);
  const dense = Matrix.zeros(size, size);
  const add = (at: number[], b: number[], c: number): void => {
    m.addSquare(at, b, c);
    at.forEach((i, p) =>
      at.forEach((j, q) => dense.set(i, j, dense.get(i, j) + c * (b[p] ?? 0) * (b[q] ?? 0))),
    );
  };
  for (let n = 0; n < columns * rows; n++) {
    if (n % columns > 1) add([n - 2, n - 1, n], [1, -2, 1], 1 + random());
    if (n >= columns) add([n - columns, n], [1, -1], 1 + random());
  }
  for (let k = 0; k < extra; k++)
    add([columns * rows + k, Math.floor(random() * columns * rows)], [1, -1], 2);
  for (let n = 0; n < size; n++) add([n], [1], 0.1);
  const x = Float64Array.from({ length: size }, (_, n) => n % columns);
  const y = Float64Array.from({ length: size }, (_, n) => Math.floor(n / columns));
  const frozen = m.freeze();
  const b = Float64Array.from({ length: size }, () => random() - 0.5);
  const ours = elimination(
    frozen,
    dissect(frozen, x, y),
  )({ value: frozen.value, extra: new Float64Array(size) })(Float64Array.from(b));
  const theirs = new CholeskyDecomposition(dense).solve(Matrix.columnVector(Array.from(b))).to1DArray();
  theirs.forEach((v, i) => expect(ours[i]).toBeCloseTo(v, 8));
});

// Westergaard, Timoshenko: an endless plate on an elastic foundation that also pulls, under one load: w = P / (8 √(k D)).
test.each([
  [18, 3000, 1],
  [25, 3000, 0.4],
  [12, 9000, 2],
])(
  'a plate of %d mm under one load, bonded, within 3 %% of the closed form',
  async (thicknessMm, modulusMPa, k) => {
    const rigidity = (modulusMPa * thicknessMm ** 3) / (12 * (1 - 0.3 ** 2));
    const closed = (1000 * k * 2000) / (8 * Math.sqrt(k * rigidity));
    const platen = { thicknessMm, modulusMPa, poisson: 0.3 };
    const field = await pressField(
      input({ platen, foundation: { stiffnessMPaPerMm: k }, gridMm: 7.5, bonded: true }),
    );
    expect(field.greatestKPa / closed).toBeGreaterThan(0.97);
    expect(field.greatestKPa / closed).toBeLessThan(1.03);
  },
  MINUTE,
);

/** A strip of 50 × 50 mm, E = 12 600 MPa, on 40 N/mm³, under 2000 N. */
const BEAM = input({
  panel: { widthMm: 1600, heightMm: 50 },
  platen: { thicknessMm: 50, modulusMPa: 12_600, poisson: 0 },
  foundation: { stiffnessMPaPerMm: 40 },
  clamps: [{ at: [800, 25], forceN: 2000 }],
  gridMm: 6.25,
});
const LAMBDA = ((40 * 50) / ((4 * 12_600 * 50 ** 4) / 12)) ** 0.25;

/** Mean pressure over the width of the strip, along it. */
function along({ grid: { columns, rows, kPa } }: Awaited<ReturnType<typeof pressField>>): number[] {
  return Array.from({ length: columns }, (_, i) => {
    let sum = 0;
    for (let j = 0; j < rows; j++) sum += (kPa[j * columns + i] ?? 0) * (j === 0 || j === rows - 1 ? 0.5 : 1);
    return sum / (rows - 1);
  });
}

/** Where a line of values first crosses nought, going right from the middle. */
function firstZero(values: number[], stepMm: number): number {
  const middle = (values.length - 1) / 2;
  for (let i = middle; i + 1 < values.length; i++) {
    const [a, b] = [values[i] ?? 0, values[i + 1] ?? 0];
    if (a > 0 && b <= 0) return (i - middle + a / (a - b)) * stepMm;
  }
  return NaN;
}

// Hetényi: the endless beam on an elastic foundation: y₀ = P λ / 2 k = 0.0083070 mm, p₀ = 332.28 kPa, first zero 3π/4λ = 141.82 mm.
test(
  'a beam under one load, bonded: deflection, pressure and first zero within 2 %',
  async () => {
    const field = await pressField({ ...BEAM, bonded: true });
    const line = along(field);
    const p0 = line[(line.length - 1) / 2] ?? NaN;
    expect(p0 / 332.28).toBeGreaterThan(0.98);
    expect(p0 / 332.28).toBeLessThan(1.02);
    expect(p0 / 1000 / 40 / 0.008307).toBeGreaterThan(0.98);
    expect(p0 / 1000 / 40 / 0.008307).toBeLessThan(1.02);
    expect(firstZero(line, 6.25) / 141.82).toBeGreaterThan(0.98);
    expect(firstZero(line, 6.25) / 141.82).toBeLessThan(1.02);
  },
  MINUTE,
);

/**
 * The same beam without weight on a foundation that only pushes, solved apart: within the contact, whose length a is not known,
 * y = A cosh ξ cos ξ + B sinh ξ sin ξ + C sinh ξ cos ξ + D cosh ξ sin ξ (ξ = λ x); no slope in the middle, half the load as shear
 * there, and neither deflection, moment nor shear at a. The last three leave one equation for a.
 */
function unbonded(): { y0: number; a: number } {
  const ei = (12_600 * 50 ** 4) / 12;
  const at = (x: number): number[][] => {
    const [c, s, C, S] = [Math.cos(x), Math.sin(x), Math.cosh(x), Math.sinh(x)];
    return [
      [C * c, S * s, S * c, C * s],
      // Second and third derivatives by ξ.
      [-2 * S * s, 2 * C * c, -2 * C * s, 2 * S * c],
      [-2 * (C * s + S * c), 2 * (S * c - C * s), -2 * (S * s + C * c), 2 * (C * c - S * s)],
    ];
  };
  const solve = (x: number): { y0: number; left: number } => {
    const [w = [], m = [], v = []] = at(x);
    // Slope 0 in the middle: C + D = 0. Shear: E I λ³ y‴(0) = P/2 with y‴(0) = 2 (D − C).
    const d = 2000 / 2 / (ei * LAMBDA ** 3) / 4;
    const known = (row: number[]): number => -d * (row[2] ?? 0) + d * (row[3] ?? 0);
    const [m0 = 0, m1 = 0, v0 = 0, v1 = 0] = [m[0], m[1], v[0], v[1]];
    const det = m0 * v1 - m1 * v0;
    const a = (-known(m) * v1 + known(v) * m1) / det;
    const b = (-m0 * known(v) + v0 * known(m)) / det;
    return { y0: a, left: a * (w[0] ?? 0) + b * (w[1] ?? 0) + known(w) };
  };
  let [low, high] = [0.6, 3];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (solve(middle).left * solve(low).left <= 0) high = middle;
    else low = middle;
  }
  return { y0: solve(low).y0, a: low / LAMBDA };
}

test(
  'the same beam on a foundation that only pushes: pressure and lift-off within 2 % of its own equation',
  async () => {
    const { y0, a } = unbonded();
    expect(a * LAMBDA).toBeCloseTo(Math.PI / 2, 3);
    const line = along(await pressField({ ...BEAM, gridMm: 5 }));
    const p0 = line[(line.length - 1) / 2] ?? NaN;
    expect(p0 / (40_000 * y0)).toBeGreaterThan(0.98);
    expect(p0 / (40_000 * y0)).toBeLessThan(1.02);
    const pressed = line.filter((p) => p > 0).length;
    // The rim of the contact lies somewhere in the last cell on either side.
    expect(Math.abs((pressed * 5) / 2 - a)).toBeLessThan(5);
  },
  MINUTE,
);

const place = (w: number, h: number): fc.Arbitrary<Point> =>
  fc.tuple(fc.double({ min: 0, max: w, noNaN: true }), fc.double({ min: 0, max: h, noNaN: true }));

test(
  'the foundation gives back what the clamps give, within 0.1 %, for any layout',
  async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(place(900, 600), fc.integer({ min: 50, max: 4000 })), {
          minLength: 1,
          maxLength: 7,
        }),
        fc.boolean(),
        fc.double({ min: 0, max: 3, noNaN: true }),
        async (places, withCaul, camberMm) => {
        const caul = { from: [150, 300] as Point, to: [750, 300] as Point, widthMm: 45, heightMm: 38, modulusMPa: 11_000, camberMm };
        const clamps = places.map(([at, forceN]) => ({ at, forceN }));
        const more = [{ at: [150, 300] as Point, forceN: 1500, caul: 0 }, { at: [750, 300] as Point, forceN: 1500, caul: 0 }];
        const all = withCaul ? [...clamps, ...more] : clamps;
        const field = await pressField(input({ cauls: withCaul ? [caul] : [], clamps: all, gridMm: 30 }));
        const force = all.reduce((s, c) => s + c.forceN, 0);
        expect(Math.abs(field.reactionN / force - 1)).toBeLessThan(1e-3);
        expect(Math.min(...field.grid.kPa)).toBeGreaterThanOrEqual(0);
      }, // prettier-ignore
      ),
      { numRuns: 40 },
    );
  },
  MINUTE,
);

test('a stiffer platen never lowers the least pressure under one centred clamp', async () => {
  let before = -1;
  for (const thicknessMm of [6, 12, 18, 25, 40, 60]) {
    const platen = { ...MDF, thicknessMm };
    const panel = { widthMm: 200, heightMm: 160 };
    const field = await pressField(input({ panel, platen, clamps: [{ at: [100, 80], forceN: 2000 }] }));
    expect(field.leastKPa).toBeGreaterThanOrEqual(before - 1e-6);
    before = field.leastKPa;
  }
  expect(before).toBeGreaterThan(0);
});

test('a very stiff platen presses evenly: force over area', async () => {
  const panel = { widthMm: 200, heightMm: 160 };
  const platen = { thicknessMm: 100, modulusMPa: 200_000, poisson: 0.3 };
  const field = await pressField(input({ panel, platen, clamps: [{ at: [100, 80], forceN: 3200 }], foundation: { stiffnessMPaPerMm: 0.1 } })); // prettier-ignore
  expect(field.leastKPa / 100).toBeCloseTo(1, 2);
  expect(field.greatestKPa / 100).toBeCloseTo(1, 2);
  expect(field.coverage).toBe(1);
});

test('end clamps on a bowed caul press the middle that a straight one leaves weak', async () => {
  const bar = {
    from: [50, 60] as Point,
    to: [650, 60] as Point,
    widthMm: 45,
    heightMm: 45,
    modulusMPa: 11_000,
  };
  const layout = (camberMm: number) =>
    pressField(
      input({
        panel: { widthMm: 700, heightMm: 120 },
        cauls: [{ ...bar, camberMm }],
        clamps: [{ at: [50, 60], forceN: 2500, caul: 0 }, { at: [650, 60], forceN: 2500, caul: 0 }],
        region: [[300, 40], [400, 40], [400, 80], [300, 80]],
      }), // prettier-ignore
    );
  const [straight, bowed] = [await layout(0), await layout(4)];
  expect(bowed.meanKPa).toBeGreaterThan(3 * straight.meanKPa);
  expect(straight.reactionN).toBeCloseTo(5000, -1);
});

describe('a caul that reaches beyond the platen', () => {
  const across = (camberMm: number) => ({ from: [-200, 60] as Point, to: [400, 60] as Point, widthMm: 45, heightMm: 60, modulusMPa: 11_000, camberMm }); // prettier-ignore
  const bridge = (camberMm: number, clamps: FieldInput['clamps']) =>
    pressField(input({ panel: { widthMm: 200, heightMm: 120 }, foundation: { stiffnessMPaPerMm: 10 }, gridMm: 6, overhang: true, cauls: [across(camberMm)], clamps, region: [[10, 40], [190, 40], [190, 80], [10, 80]] })); // prettier-ignore
  const ends = [{ at: [-200, 60] as Point, forceN: 2000, caul: 0 }, { at: [400, 60] as Point, forceN: 2000, caul: 0 }]; // prettier-ignore

  test('hands the forces of both ends to the platen; its bow makes them even', async () => {
    const bow = bridgeBowMm(2000, 600, 200, across(0));
    const [straight, bowed] = [await bridge(0, ends), await bridge(bow, ends)];
    expect(straight.reactionN / 4000).toBeCloseTo(1, 3);
    expect(bowed.reactionN / 4000).toBeCloseTo(1, 3);
    expect(bowed.leastKPa / bowed.meanKPa).toBeGreaterThan(1.5 * (straight.leastKPa / straight.meanKPa));
    expect(bowed.greatestKPa).toBeLessThan(straight.greatestKPa);
  });

  test('any such caul gives back what its clamps give, or is said to tip', async () => {
    const across = fc.record({ left: fc.integer({ min: 10, max: 400 }), right: fc.integer({ min: 10, max: 400 }), y: fc.integer({ min: 10, max: 110 }), a: fc.integer({ min: 100, max: 3000 }), b: fc.integer({ min: 0, max: 3000 }), camberMm: fc.integer({ min: 0, max: 5 }) }); // prettier-ignore
    let [held, tipped] = [0, 0];
    await fc.assert(
      fc.asyncProperty(across, async ({ left, right, y, a, b, camberMm }) => {
        const caul = { from: [-left, y] as Point, to: [200 + right, y] as Point, widthMm: 45, heightMm: 45, modulusMPa: 11_000, camberMm }; // prettier-ignore
        const clamps = [{ at: caul.from, forceN: a, caul: 0 }, { at: caul.to, forceN: b, caul: 0 }]; // prettier-ignore
        try {
          const { reactionN } = await pressField(input({ panel: { widthMm: 200, heightMm: 120 }, foundation: { stiffnessMPaPerMm: 10 }, gridMm: 10, overhang: true, cauls: [caul], clamps })); // prettier-ignore
          held++;
          expect(Math.abs(reactionN / (a + b) - 1)).toBeLessThan(2e-3);
          // It could not be held if the resultant lay beyond the platen by more than a cell of the grid.
          const at = (a * -left + b * (200 + right)) / (a + b);
          expect(at).toBeGreaterThan(-10);
          expect(at).toBeLessThan(210);
        } catch (error) {
          if (!(error instanceof RangeError)) throw error;
          tipped++;
          expect(error.message).toContain('A caul tips');
        }
      }),
      { numRuns: 60, endOnFailure: true },
    );
    expect(Math.min(held, tipped)).toBeGreaterThan(5);
  });

  test('tips when only one end is clamped, and says so', async () => {
    await expect(bridge(0, ends.slice(0, 1))).rejects.toThrow('A caul tips');
  });
});

test('what is symmetric stays symmetric', async () => {
  const field = await pressField(input({ clamps: [{ at: [200, 300], forceN: 900 }, { at: [700, 300], forceN: 900 }] })); // prettier-ignore
  const { columns, rows, kPa } = field.grid;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++)
      expect(kPa[j * columns + i]).toBeCloseTo(kPa[j * columns + columns - 1 - i] ?? NaN, 4);
});

test.each<[string, Partial<FieldInput>, string]>([
  ['a clamp off the panel', { clamps: [{ at: [950, 100], forceN: 100 }] }, 'Clamp 1 at 950, 100 mm stands off the panel'],
  ['a platen without thickness', { platen: { ...MDF, thicknessMm: 0 } }, 'The thickness of the platen is 0 mm'],
  ['a negative force', { clamps: [{ at: [1, 1], forceN: -5 }] }, 'The force of clamp 1 is -5 N'],
  ['no clamps', { clamps: [] }, 'nothing holds the platen down'],
  ['loose clamps', { clamps: [{ at: [1, 1], forceN: 0 }] }, 'nothing presses'],
  ['a caul longer than the panel', { cauls: [{ from: [0, 10], to: [1200, 10], widthMm: 40, heightMm: 40, modulusMPa: 9000, camberMm: 0 }] }, 'Caul 1 is 1200 mm long and reaches beyond the panel'],
  ['a caul that is not there', { clamps: [{ at: [1, 1], forceN: 5, caul: 2 }] }, 'caul 3, which is not there'],
  ['a grid too fine', { gridMm: 0.5 }, 'Take a coarser grid'],
  ['a region between the nodes', { region: [[1, 1], [2, 1], [2, 2]] }, 'Take a finer grid'],
])('%s is refused in words', async (_, more, words) => {
  await expect(pressField(input(more))).rejects.toThrow(words);
}); // prettier-ignore

test('long work hears a cancel', async () => {
  const stop = new AbortController();
  const work = pressField(input({ gridMm: 8 }), { signal: stop.signal, pause: async () => stop.abort() });
  await expect(work).rejects.toThrow();
});

test('cauls within their limits are worked out, beyond them refused by name', async () => {
  const caul = { from: [100, 25] as Point, to: [400, 25] as Point, widthMm: 45, heightMm: 38, modulusMPa: 11_000, camberMm: 0 }; // prettier-ignore
  const to = (x: number): Promise<unknown> => pressField({ ...BEAM, cauls: [{ ...caul, to: [caul.from[0] + x, caul.from[1]] }] }); // prettier-ignore
  await expect(to(15)).resolves.toBeDefined();
  await expect(to(9)).rejects.toThrow('Caul 1 has no length');
  await expect(pressField({ ...BEAM, cauls: [{ ...caul, widthMm: 501 }] })).rejects.toThrow('The width of caul 1'); // prettier-ignore
  const long = { ...BEAM, panel: { ...BEAM.panel, widthMm: 5000 }, gridMm: 60 };
  await expect(pressField({ ...long, overhang: true, cauls: [{ ...caul, from: [0, caul.from[1]], to: [10_001, caul.from[1]] }] })).rejects.toThrow('The length of caul 1'); // prettier-ignore
});

test('a caul in the middle presses both sides of its line alike', async () => {
  const field = await pressField(
    input({
      panel: { widthMm: 300, heightMm: 200 },
      cauls: [{ from: [20, 100], to: [280, 100], widthMm: 60, heightMm: 40, modulusMPa: 11_000, camberMm: 0 }],
      clamps: [{ at: [60, 100], forceN: 2000, caul: 0 }, { at: [240, 100], forceN: 2000, caul: 0 }],
    }),
  ); // prettier-ignore
  const { columns, rows, kPa } = field.grid;
  const at = (i: number, j: number): number => kPa[j * columns + i] ?? NaN;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      expect(at(i, j)).toBeCloseTo(at(i, rows - 1 - j), 4);
      expect(at(i, j)).toBeCloseTo(at(columns - 1 - i, j), 4);
    }
});
