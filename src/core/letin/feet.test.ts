import fc from 'fast-check';
import { feetPlan, sliverPlan, type Foot } from '.';

const table = (gaps: readonly number[]): Foot[] =>
  gaps.map((gapMm, i) => ({
    name: `Foot ${i + 1}`,
    xMm: (i % 2) * 600,
    yMm: Math.floor(i / 2) * 400,
    gapMm,
  }));

describe('feet', () => {
  test('by hand: one short foot of four is built up by its gap, or its opposite neighbours give way', () => {
    expect(feetPlan({ feet: table([3, 0, 0, 0]), way: 'add' }).changes.map((c) => c.mm)).toEqual([
      3, 0, 0, 0,
    ]);
    // Taken off: the foot across from the short one loses as much, for the two between them are the axis it rocks on.
    const taken = feetPlan({ feet: table([3, 0, 0, 0]), way: 'take' });
    expect(taken.totalMm).toBeCloseTo(3);
    expect(taken.words).toContain('Half at a time');
  });

  test('three feet never rock, and four on a slope do not either', () => {
    expect(feetPlan({ feet: table([3, 1, 0, 0]).slice(0, 3), way: 'add' }).level).toBe(true);
    expect(feetPlan({ feet: table([0, 2, 3, 5]), way: 'take' }).level).toBe(true);
  });

  test('feet in a line are refused in words', () => {
    const line = [0, 1, 2].map((i) => ({ name: `F${i}`, xMm: i * 100, yMm: 0, gapMm: 0 }));
    expect(() => feetPlan({ feet: line, way: 'add' })).toThrow('stand in a line');
  });

  test('against floors laid at random: none takes less wood, and every foot stands', () => {
    const gap = fc.double({ min: 0, max: 12, noNaN: true });
    fc.assert(
      fc.property(
        fc.tuple(gap, gap, gap, gap, gap),
        fc.constantFrom('add' as const, 'take' as const),
        (gaps, way) => {
          const feet = [...table(gaps.slice(0, 4)), { name: 'Middle', xMm: 280, yMm: 190, gapMm: gaps[4] }];
          const { totalMm, changes } = feetPlan({ feet, way });
          for (const c of changes) expect(c.mm).toBeGreaterThanOrEqual(0);
          const sign = way === 'add' ? 1 : -1;
          // Any slope of the floor, lowered or raised until no foot is on the wrong side of it.
          for (let i = 0; i < 300; i++) {
            const [sx, sy] = [((i % 17) - 8) / 600, ((i % 13) - 6) / 400];
            const over = feet.map((f) => sign * (f.gapMm - sx * f.xMm - sy * f.yMm));
            const least = Math.min(...over);
            expect(over.reduce((a, b) => a + b - least, 0)).toBeGreaterThanOrEqual(totalMm - 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('slivers', () => {
  const CRACK = { lengthMm: 640, gapsMm: [1, 2, 1.2], depthMm: 12 };

  test('by hand: 640 mm in three pieces, 2 mm wide in the middle', () => {
    const plan = sliverPlan(CRACK);
    expect(plan.piecesMm).toHaveLength(3);
    expect(plan.piecesMm[0]).toBeCloseTo(640 / 3);
    // 2 + 0.2 + 2 · 0.03 · 3 at the top; 15 mm high, 0.9 mm less at the bottom.
    expect(plan.topMm[1]).toBeCloseTo(2.38);
    expect(plan.bottomMm[1]).toBeCloseTo(2.38 - 0.9);
    expect(plan.highMm).toBe(15);
  });

  test('at the face of the board it is fuller than the gap, at the floor it is not', () => {
    const { topMm, bottomMm, highMm } = sliverPlan(CRACK);
    topMm.forEach((t, i) => {
      const atFace = t - ((t - (bottomMm[i] ?? 0)) * 3) / highMm;
      expect(atFace).toBeGreaterThanOrEqual(CRACK.gapsMm[i] ?? 0);
      expect(bottomMm[i]).toBeLessThan(CRACK.gapsMm[i] ?? 0);
    });
  });

  test('common practice: in a crack that moves only one side is glued', () => {
    expect(sliverPlan({ ...CRACK, movesMm: 1.4 }).glued).toBe('one');
    expect(sliverPlan({ ...CRACK, movesMm: 0.1 }).glued).toBe('both');
  });

  test('a hairline takes none, and a gap wider than long is refused', () => {
    expect(() => sliverPlan({ ...CRACK, gapsMm: [0.1, 0.1] })).toThrow('no sliver goes in');
    expect(() => sliverPlan({ ...CRACK, lengthMm: 10, gapsMm: [12, 12] })).toThrow('wider than it is long');
  });
});

test('what is known of two feet is no floor', () => {
  expect(() => feetPlan({ feet: table([0, 2]).slice(0, 2), way: 'add' })).toThrow(RangeError);
});

test('two feet are no floor: they are refused as feet in a line are', () => {
  expect(() => feetPlan({ feet: table([3, 0]), way: 'add' })).toThrow('stand in a line');
});
