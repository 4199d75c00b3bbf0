import fc from 'fast-check';
import { attempt } from '../check';
import { bigTime, BEND_STRAIN, dowelLayout, glueClock, gluingStages, leastRadiusMm, mouthSections, OPEN_TIME_SHARE, screwForceN, thickestMm, wayIn, withSpares, type BendState, type StagesInput } from '.'; // prettier-ignore

const JOB: StagesInput = { areaMm2: 60_000, clamps: 6, spreadMinPer100Cm2: 1, secondsPerClamp: 30, openMin: 10, clampsOwned: 6 }; // prettier-ignore

test('stages by hand: 6 min of spreading and 3 min of clamps in 80 % of 10 min take two', () => {
  expect(gluingStages(JOB)).toEqual({
    limit: 'openTime',
    stages: [1, 2].map(() => ({ share: 0.5, areaMm2: 30_000, clamps: 3, layingMin: 4.5 })),
  });
  expect(gluingStages({ ...JOB, openMin: 20 })).toMatchObject({ limit: 'none', stages: [{ share: 1 }] });
  expect(gluingStages({ ...JOB, openMin: 20, clampsOwned: 2 })).toMatchObject({
    limit: 'clamps',
    stages: { length: 3 },
  });
});

test('no stage outlasts its glue or asks for more clamps than there are', () => {
  let made = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 1_000_000 }),
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: 1, max: 20 }),
      fc.double({ min: 2, max: 60, noNaN: true }),
      (areaMm2, clamps, clampsOwned, openMin) => {
        const result = attempt(() => gluingStages({ ...JOB, areaMm2, clamps, clampsOwned, openMin }));
        // It may refuse only what not even sixty stages would bring into the open time.
        const leastMin = areaMm2 / 60 / 10_000 + Math.ceil(clamps / 60) * (JOB.secondsPerClamp / 60);
        if (!result.ok) {
          expect(leastMin).toBeGreaterThan(openMin * OPEN_TIME_SHARE);
          return;
        }
        made++;
        const { stages } = result.value;
        for (const s of stages) {
          expect(s.layingMin).toBeLessThanOrEqual(openMin * OPEN_TIME_SHARE + 1e-9);
          expect(s.clamps).toBeLessThanOrEqual(clampsOwned);
        }
        expect(stages.reduce((sum, s) => sum + s.areaMm2, 0)).toBeCloseTo(areaMm2, 3);
      },
    ),
  );
  expect(made).toBeGreaterThan(50);
});

test('a glue that is gone before one clamp is on is refused', () => {
  expect(() => gluingStages({ ...JOB, openMin: 0.5, secondsPerClamp: 60 })).toThrow('Take a slower glue');
  expect(() => gluingStages({ ...JOB, clampsOwned: 0 })).toThrow('nothing holds a stage');
});

test('common practice: a mouth of 800 mm is pressed in three sections, with six clamps two at a time', () => {
  expect(mouthSections(800, 6)).toEqual({ lengthMm: 800 / 3, count: 3, atOnce: 2 });
  expect(mouthSections(180, 2)).toEqual({ lengthMm: 180, count: 1, atOnce: 1 });
});

describe('the clock', () => {
  const times = { openMin: 10, clampMin: 60, workableMin: 1440 };
  const start = Date.UTC(2026, 2, 2, 8);
  const at = (min: number, clampedMin?: number) =>
    glueClock({ startedAt: start, ...(clampedMin === undefined ? {} : { clampedAt: start + clampedMin * 60_000 }) }, times, start + min * 60_000); // prettier-ignore
  test('runs from moments, not from ticks: any time later it stands where it must', () => {
    expect(at(4)).toMatchObject({ phase: 'open', leftMs: 360_000, gone: 0.4 });
    expect(at(11)).toMatchObject({ phase: 'late', leftMs: -60_000, gone: 1 });
    expect(at(20, 8)).toMatchObject({
      phase: 'clamped',
      leftMs: 48 * 60_000,
      clampsOffAtMs: start + 68 * 60_000,
    });
    expect(at(70, 8).phase).toBe('off');
    expect(at(2000, 8).phase).toBe('workable');
  });
  test('reads at two metres', () => {
    expect(bigTime(247_000)).toBe('4:07');
    expect(bigTime(-61_000)).toBe('−1:01');
    expect(bigTime(2 * 3_600_000 + 5 * 60_000)).toBe('2 h 05');
  });
});

test('common practice: dowels 25 mm deep, a third of the thickness, even from end to end', () => {
  const d = dowelLayout(900, 24);
  expect(d).toMatchObject({ diameterMm: 8, depthMm: 25, drillMarkMm: 27, endDistanceMm: 50 });
  expect(d.atMm[0]).toBe(50);
  expect(d.atMm[d.count - 1]).toBeCloseTo(850);
  expect(d.spacingMm).toBeGreaterThan(110);
  expect(d.spacingMm).toBeLessThan(190);
  expect(() => dowelLayout(900, 8)).toThrow('The thickness of the board is 8 mm');
  for (const board of [12, 18, 30, 60])
    expect(dowelLayout(500, board).diameterMm).toBeLessThanOrEqual(board / 2);
});

test('common practice: what wicks is left to, a long split takes a syringe, a short one a blade', () => {
  expect(wayIn(400, true).by).toBe('wicking');
  expect(wayIn(400, false)).toEqual({ by: 'needles', needles: 7 });
  expect(wayIn(120, false).by).toBe('blade');
});

describe('bending', () => {
  test('the outer fibre is at its limit at the least radius', () => {
    for (const state of ['dry', 'wetted', 'steamed'] as BendState[]) {
      const r = leastRadiusMm(5, state);
      expect(5 / (2 * r + 5)).toBeCloseTo(BEND_STRAIN[state].strain, 9);
    }
    const r = leastRadiusMm(5, 'strapped');
    expect(5 / (r + 5)).toBeCloseTo(BEND_STRAIN.strapped.strain, 9);
  });
  test('wetter and hotter goes tighter, thinner too; what is laminated is as thick as the radius allows', () => {
    const radii = (['dry', 'wetted', 'steamed', 'strapped'] as BendState[]).map((s) => leastRadiusMm(4, s));
    expect([...radii].sort((a, b) => b - a)).toEqual(radii);
    expect(leastRadiusMm(thickestMm(150, 'dry'), 'dry')).toBeCloseTo(150, 6);
    expect(withSpares(4)).toBe(6);
  });
});

// The screw formula T = K d F of any machine-design handbook, K = 0.2: 10 N·m on a screw of 16 mm give 3125 N.
test('force of a clamp from the torque on its handle', () => {
  expect(screwForceN(10, 16)).toBeCloseTo(3125, 9);
  expect(screwForceN(10, 16, 0.25)).toBeCloseTo(2500, 9);
  expect(() => screwForceN(-1, 16)).toThrow('The torque is -1 N·m');
});

describe('a clock that is set back', () => {
  const times = { openMin: 10, clampMin: 120, workableMin: 1440 };
  const T = Date.UTC(2026, 2, 2, 9);
  const HOUR = 3_600_000;

  test('no wait is longer than the glue’s own, and the clock says that it cannot know', () => {
    fc.assert(
      fc.property(fc.integer({ min: -48, max: 48 }), fc.integer({ min: 0, max: 600 }), fc.boolean(), (hours, clampedAfterMin, clamped) => {
        const clock = glueClock(
          { startedAt: T, ...(clamped ? { clampedAt: T + clampedAfterMin * 60_000 } : {}) },
          times,
          T + hours * HOUR,
        );
        const own = { open: 10, late: 10, clamped: 120, off: 1320, workable: 0 }[clock.phase];
        expect(clock.leftMs).toBeLessThanOrEqual(own * 60_000);
        const ahead = clamped ? hours * 60 < clampedAfterMin : hours < 0;
        expect(clock.setBack).toBe(ahead);
      }),
      { numRuns: 1000 },
    ); // prettier-ignore
  });

  test('a zone that was crossed changes nothing: moments have no zone', () => {
    expect(glueClock({ startedAt: T, clampedAt: T }, times, T + HOUR)).toMatchObject({
      leftMs: HOUR,
      setBack: false,
    });
  });
});
