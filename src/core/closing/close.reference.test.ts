import { closePlan, type CloseInput } from './close';

/** 900 × 25 mm of oak, two boards of 100 mm, hollow by 2 mm in the middle. */
const arc = (gap: number, n = 9): number[] =>
  Array.from({ length: n }, (_, i) => gap * (1 - ((2 * i) / (n - 1) - 1) ** 2));
const OAK: CloseInput = {
  lengthMm: 900,
  boards: [{ widthMm: 100, thickMm: 25 }, { widthMm: 100, thickMm: 25 }],
  gapsMm: arc(2),
  // White oak, Wood Handbook, Table 5-3: 12.3 GPa at 12 % moisture.
  modulusMPa: 12_300,
  clampN: 3500,
  clamps: 6,
}; // prettier-ignore

/** Both boards in series, with the shear of a short beam: written out by hand for the boards above. */
const inertia = (25 * 100 ** 3) / 12;
const shear = (12 * inertia * 14) / ((5 / 6) * 25 * 100 * 900 ** 2);
const EI = (12_300 * inertia) / (1 + shear) / 2;

test('common practice: a 2 mm gap on 900 × 25 mm of oak takes a force that a bar clamp gives', () => {
  const plan = closePlan(OAK);
  expect(plan.closes).toBe(true);
  // A beam on its two ends, drawn in the middle (Roark): F = 48 E I g / L³. An arc takes two pulls, and somewhat more in all.
  const roark = (48 * EI * 2) / 900 ** 3;
  expect(plan.clamps).toBe(2);
  expect(plan.clamps * plan.eachN).toBeGreaterThan(0.9 * roark);
  expect(plan.clamps * plan.eachN).toBeLessThan(2 * roark);
  expect(plan.verdict).toMatch(/^2 clamps of \d+ N each close it/);
});

test('a gap of the very shape that one force bends out closes with that force: 48 E I g / L³', () => {
  const L = 900;
  const shape = Array.from({ length: 41 }, (_, i) => {
    const x = Math.min(i, 40 - i) * (L / 40);
    return (2 * x * (3 * L * L - 4 * x * x)) / L ** 3;
  });
  const plan = closePlan({ ...OAK, gapsMm: shape });
  // What is left open is a tenth: the last of the force is not needed.
  expect(plan.eachN).toBeCloseTo((48 * EI * (2 - 0.1)) / L ** 3, -1.5);
});

/** The same beam by plain relaxation with the boards' own shear: no matrix, no active set. */
function relaxed({ lengthMm }: CloseInput, gapsMm: readonly number[], clamps: number, each: number): number {
  const n = 40;
  const h = lengthMm / n;
  const gap = (i: number): number => {
    const at = (i / n) * (gapsMm.length - 1);
    const j = Math.min(gapsMm.length - 2, Math.floor(at));
    return (gapsMm[j] ?? 0) + ((gapsMm[j + 1] ?? 0) - (gapsMm[j] ?? 0)) * (at - j);
  };
  const force = Array.from({ length: n + 1 }, () => 0);
  for (let c = 0; c < clamps; c++) {
    const i = Math.round(((c + 0.5) / clamps) * n);
    force[i] = (force[i] ?? 0) + each;
  }
  const gaps = Array.from({ length: n + 1 }, (_, i) => gap(i));
  const u = new Float64Array(n + 1);
  const s = EI / h ** 3;
  const bend = (i: number): number =>
    i < 1 || i > n - 1 ? 0 : (u[i - 1] ?? 0) - 2 * (u[i] ?? 0) + (u[i + 1] ?? 0);
  let moved = 1;
  for (let sweep = 0; sweep < 150_000 && moved > 1e-9; sweep++) {
    moved = 0;
    for (let i = 0; i <= n; i++) {
      const grad = s * (bend(i - 1) - 2 * bend(i) + bend(i + 1)) - (force[i] ?? 0);
      const own = s * ((i > 1 ? 1 : 0) + (i > 0 && i < n ? 4 : 0) + (i < n - 1 ? 1 : 0));
      const next = Math.min(gaps[i] ?? 0, (u[i] ?? 0) - (1.93 * grad) / own);
      moved = Math.max(moved, Math.abs(next - (u[i] ?? 0)));
      u[i] = next;
    }
  }
  return Math.max(...gaps.map((g, i) => g - (u[i] ?? 0)));
}

test.each([
  ['too little force in the middle', arc(2), 1, 900],
  ['a gap at one end', [0, 0, 0, 0.2, 0.6, 1.2, 2], 2, 200],
  ['two places', [0, 1, 0, 0, 0, 1, 0], 2, 800],
])(
  '%s: what stays open, as relaxed step by step',
  (...[, gapsMm, clamps, each]: [string, number[], number, number]) => {
    const plan = closePlan({ ...OAK, gapsMm, clamps, clampN: each });
    expect(plan.closes).toBe(false);
    expect(plan.mostOpenMm).toBeCloseTo(relaxed(OAK, gapsMm, clamps, each), 1);
  },
);

test.each([
  ['hollow in the middle', arc(2), 2],
  ['hollow by half of that', arc(1), 1],
])(
  '%s: the fewest clamps that close it do so when relaxed step by step',
  (...[, gapsMm, clamps]: [string, number[], number]) => {
    const plan = closePlan({ ...OAK, gapsMm });
    expect(plan).toMatchObject({ closes: true, clamps });
    expect(relaxed(OAK, gapsMm, clamps, plan.eachN)).toBeLessThan(0.16);
  },
);

test('what the shop cannot do is said, with what is left open', () => {
  const wide = closePlan({ ...OAK, boards: [{ widthMm: 300, thickMm: 40 }, { widthMm: 300, thickMm: 40 }], clamps: 2, clampN: 1500 }); // prettier-ignore
  expect(wide.closes).toBe(false);
  expect(wide.mostOpenMm).toBeGreaterThan(1);
  expect(wide.verdict).toContain('mm stay open. Plane the edges where their width may change');
});

test('a slat closes by hand, and edges that meet need nothing', () => {
  const slat = closePlan({
    ...OAK,
    boards: [
      { widthMm: 30, thickMm: 12 },
      { widthMm: 30, thickMm: 12 },
    ],
  });
  expect(slat.byHand).toBe(true);
  expect(closePlan({ ...OAK, gapsMm: [0, 0.05, 0] })).toMatchObject({ closes: true, eachN: 0, byHand: true });
});

test('the joint carries what the clamps give: pressure adds up to their force', () => {
  const plan = closePlan({ ...OAK, gapsMm: arc(2, 41) });
  const carried = plan.pressureKPa.reduce((sum, p) => sum + (p / 1000) * (900 / 40) * 25, 0);
  expect(carried).toBeCloseTo(plan.eachN * plan.clamps, -1);
  for (const p of plan.pressureKPa) expect(p).toBeGreaterThanOrEqual(0);
});

test('gaps that cannot be are refused in words', () => {
  expect(() => closePlan({ ...OAK, gapsMm: [0, -1, 0] })).toThrow('less than nothing');
  expect(() => closePlan({ ...OAK, lengthMm: 50, gapsMm: [0, 51, 0] })).toThrow(
    'wider than the joint is long',
  );
});
