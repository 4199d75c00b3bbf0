import fc from 'fast-check';
import { pressField } from '../field';
import { bandPullN, caseProps, clampSpacingMm, edgeClamps, flattenCup, halfRoundEars, hammerPlan, midShare, padded, roundBlocks, thickestStripMm } from '.'; // prettier-ignore

describe('edge veneer', () => {
  test('the thickest strip by hand: 0.4 % round 125 mm is about 1 mm', () => {
    expect(thickestStripMm('springSteel', 125)).toBeCloseTo(1.004, 3);
    expect(thickestStripMm('bendingPly', 125)).toBeCloseTo(5.1, 1);
    expect(() => thickestStripMm('bendingPly', 0)).toThrow('The radius of the edge is 0 mm');
  });

  test('the row of clamps against the plate solver: half-way and under the clamps', async () => {
    // A strip 40 mm wide with Poisson's ratio 0 is a beam; nine clamps 100 mm apart stand for an endless row.
    const strip = { thicknessMm: 20, modulusMPa: 11_000, stiffnessMPaPerMm: 0.5 };
    const clamps = Array.from({ length: 9 }, (_, i): { at: [number, number]; forceN: number } => ({ at: [50 + 100 * i, 20], forceN: 1000 })); // prettier-ignore
    const field = await pressField({
      panel: { widthMm: 900, heightMm: 40 },
      platen: { thicknessMm: 20, modulusMPa: 11_000, poisson: 0 },
      foundation: { stiffnessMPaPerMm: 0.5 },
      cauls: [],
      clamps,
      gridMm: 5,
      target: { leastKPa: 0, mostKPa: 1e5 },
    });
    const { columns, rows, kPa } = field.grid;
    const across = (i: number): number =>
      Array.from({ length: rows }, (_, j) => (kPa[j * columns + i] ?? 0) * (j === 0 || j === rows - 1 ? 0.5 : 1)).reduce((a, b) => a + b, 0) / (rows - 1); // prettier-ignore
    const mean = (1000 / (100 * 40)) * 1000;
    // Half-way between the fourth and the fifth clamp: 400 mm.
    expect(Math.abs(across(80) / mean - midShare(strip, 100))).toBeLessThan(0.02);
  });

  test('clamps as close as the share asks for; stiffer strips let them stand farther apart', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (thicknessMm, stiffnessMPaPerMm, least) => {
          const strip = { thicknessMm, modulusMPa: 11_000, stiffnessMPaPerMm };
          const spacing = clampSpacingMm(strip, least);
          expect(midShare(strip, spacing)).toBeCloseTo(least, 6);
          expect(clampSpacingMm({ ...strip, thicknessMm: 2 * thicknessMm }, least)).toBeCloseTo(spacing * 2 ** 0.75, 5); // prettier-ignore
        },
      ),
    );
  });

  test('a pad in series by hand: 30 and 5 MPa/mm give 4.29; none leaves the wood as it is', () => {
    expect(padded(30, 'cork')).toBeCloseTo(30 / 7, 9);
    expect(padded(30, 'none')).toBe(30);
  });

  test('clamps on an edge by hand: 1000 N carry 250 kPa over 200 mm of a 20 mm edge; a slack strip wants them closer', () => {
    const job = { lengthMm: 600, widthMm: 20, targetKPa: 250, forceN: 1000 };
    const stiff = { thicknessMm: 150, modulusMPa: 200_000, stiffnessMPaPerMm: 1 };
    expect(edgeClamps(stiff, job)).toEqual({ apartMm: 200, count: 3, setBy: 'force' });
    const slack = edgeClamps({ thicknessMm: 3, modulusMPa: 350, stiffnessMPaPerMm: 5 }, job);
    expect(slack.setBy).toBe('strip');
    expect(slack.count).toBe(Math.ceil(600 / slack.apartMm));
    expect(() => edgeClamps(stiff, { ...job, widthMm: 0 })).toThrow('The width of the edge is 0 mm');
  });

  test('a band by hand: 100 kPa round 300 mm with 25 mm takes 750 N', () => {
    expect(bandPullN(100, 300, 25)).toBeCloseTo(750, 9);
  });
});

describe('rounds', () => {
  test('five clamps on a half-round of 400 mm: the middle one square, the outer ones on blocks of 72°', () => {
    const ears = halfRoundEars(400, 5);
    expect(ears.map((e) => Math.round(e.angleDeg))).toEqual([72, 36, 0, 36, 72]);
    expect(ears.map((e) => e.needsBlock)).toEqual([true, true, false, true, true]);
    expect(ears[0]?.alongMm).toBeCloseTo(-0.4 * Math.PI * 400, 6);
  });

  test('a block of 80 mm on a round of 400 mm is hollowed by 2 mm', () => {
    expect(roundBlocks(400, 4, 80)).toEqual({ everyMm: expect.closeTo(314.16, 2), hollowMm: expect.closeTo(2.005, 3), openingMm: 800 }); // prettier-ignore
    expect(() => roundBlocks(400, 0, 80)).toThrow('The number of pairs is 0');
  });
});

describe('flat things that are not', () => {
  test('a cup of 3 mm over 300 mm in 18 mm, by hand', () => {
    // I = 200 · 18³ / 12 = 97 200 mm⁴; F = 48 · 600 · 97 200 · 3 / 300³ = 311 N; strain 4 · 18 · 3 / 300² = 0.24 %.
    const cup = flattenCup({ lengthMm: 800, widthMm: 300, thicknessMm: 18, cupMm: 3, acrossMPa: 600 });
    expect(cup).toMatchObject({ bars: 4, verdict: 'flatten' });
    expect(cup.forceN).toBeCloseTo(311.04, 2);
    expect(cup.strain).toBeCloseTo(0.0024, 6);
    expect(flattenCup({ lengthMm: 800, widthMm: 300, thicknessMm: 25, cupMm: 4, acrossMPa: 600 }).verdict).toBe('dampen'); // prettier-ignore
    expect(flattenCup({ lengthMm: 800, widthMm: 200, thicknessMm: 25, cupMm: 8, acrossMPa: 600 }).verdict).toBe('leave'); // prettier-ignore
  });

  test('props of a case by hand, and no room for them', () => {
    // L = 500 − 36 − 6 = 458 mm; I = 3 · 2000 · 458² / (π² · 9000) = 14 169 mm⁴; a = (12 I)^¼ = 20.3 mm.
    expect(caseProps({ insideMm: 500, platenMm: 18, forceN: 2000 })).toEqual({ propMm: 458, sectionMm: expect.closeTo(20.3, 1) }); // prettier-ignore
    expect(() => caseProps({ insideMm: 52, platenMm: 18, forceN: 2000 })).not.toThrow();
    // Crushing along the grain, softwood at 35 MPa (Wood Handbook, from memory): 3 × 5000 N / 35 MPa = 428.6 mm², 20.7 mm square, however short it is.
    for (const insideMm of [80, 150, 250])
      expect(caseProps({ insideMm, platenMm: 18, forceN: 5000 }).sectionMm).toBeGreaterThan(20.6);
    expect(caseProps({ insideMm: 80, platenMm: 18, forceN: 5000 }).sectionMm).toBeCloseTo(
      Math.sqrt(15000 / 35),
      6,
    );
    expect(() => caseProps({ insideMm: 50, platenMm: 20, forceN: 2000 })).toThrow('no room for a prop');
  });
});

describe('hammer veneering', () => {
  test('common practice: from the middle to either side, paths that overlap and reach both edges', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 900 }),
        fc.integer({ min: 40, max: 150 }),
        (acrossMm, hammerMm) => {
          const { paths } = hammerPlan({ alongMm: 600, acrossMm, hammerMm, gelMin: 20 });
          const sorted = [...paths].sort((a, b) => a.centreMm - b.centreMm);
          const [first, last] = [sorted[0], sorted[sorted.length - 1]];
          expect((first?.centreMm ?? 0) - (first?.widthMm ?? 0) / 2).toBeCloseTo(0, 6);
          expect((last?.centreMm ?? 0) + (last?.widthMm ?? 0) / 2).toBeCloseTo(acrossMm, 6);
          sorted
            .slice(1)
            .forEach((p, i) =>
              expect(p.centreMm - (sorted[i]?.centreMm ?? 0)).toBeLessThanOrEqual((hammerMm * 2) / 3 + 1e-9),
            );
          const away = paths.map((p) => Math.abs(p.centreMm - acrossMm / 2));
          expect(away).toEqual([...away].sort((a, b) => a - b));
        },
      ),
    );
  });

  test('no section outlasts the gel; a glue that gels at once is refused in words', () => {
    const plan = hammerPlan({ alongMm: 600, acrossMm: 300, hammerMm: 90, gelMin: 3 });
    expect(plan.paths).toHaveLength(5);
    expect(plan.minutesPerSection).toBeLessThanOrEqual(3 * 0.8 + 1e-9);
    expect(plan.sections).toBe(5);
    expect(plan.waterMl).toBeCloseTo(7.2, 9);
    expect(() => hammerPlan({ alongMm: 600, acrossMm: 900, hammerMm: 90, gelMin: 0.5 })).toThrow(
      'before 15 paths',
    );
  });
});

test('a sheet longer than any is a slip of the hand, not a sheet', () => {
  expect(hammerPlan({ alongMm: 5000, acrossMm: 300, hammerMm: 90, gelMin: 3 }).paths.length).toBeGreaterThan(
    0,
  );
  expect(() => hammerPlan({ alongMm: 5001, acrossMm: 300, hammerMm: 90, gelMin: 3 })).toThrow('5000 mm');
});

test('a strip stiffer than steel is a slip of the hand', () => {
  const strip = { thicknessMm: 10, stiffnessMPaPerMm: 20 };
  expect(clampSpacingMm({ ...strip, modulusMPa: 210_000 })).toBeGreaterThan(0);
  expect(() => clampSpacingMm({ ...strip, modulusMPa: 300_001 })).toThrow('300000 MPa');
});
