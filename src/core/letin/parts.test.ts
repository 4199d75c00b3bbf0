import fc from 'fast-check';
import { areaOf, boundingBox, distanceToBoundary, type Point } from '../geometry';
import {
  bandingPlan,
  drawerPlan,
  GAUGES,
  partPlan,
  pilotPlan,
  type BandingInput,
  type DrawerInput,
  type PartInput,
} from '.';
import { cutFrom } from './cutting';
import { drawerSchema } from './drawer';

describe('a screw set anew', () => {
  test.each(GAUGES.rows)('gauge $gauge: shank by ASME B18.6.1, 0.060 in + 0.013 in a number', ({ gauge, shankIn, rootIn }) => {
    expect(shankIn).toBeCloseTo(0.06 + 0.013 * gauge, 3);
    expect(rootIn).toBeLessThan(shankIn);
  }); // prettier-ignore

  // National Design Specification: 70 % of the root to 0.6 of water's weight, 90 % beyond. No. 8: shank 4.17 mm, root 3.33 mm.
  test.each([
    ['pine', 0.42, 2.33],
    ['oak, white', 0.68, 2.99],
  ])('number 8 in %s', (...[, specificGravity, pilotMm]: [string, number, number]) => {
    const plan = pilotPlan({ screw: { gauge: 8 }, lengthMm: 25, throughMm: 3, boardMm: 30, specificGravity });
    expect(plan.pilotMm).toBeCloseTo(pilotMm, 2);
    expect(plan.clearanceMm).toBeCloseTo(4.17, 2);
    expect(plan.deepMm).toBe(22);
    expect([plan.endMm, plan.edgeMm, plan.apartMm].map((v) => Number(v.toFixed(1)))).toEqual([
      41.7, 10.4, 41.7,
    ]);
  });

  test('a metric screw of 4 mm has a core of 2.8 mm (DIN 7998)', () => {
    const plan = pilotPlan({ screw: { diameterMm: 4 }, lengthMm: 30, throughMm: 8, boardMm: 40, specificGravity: 0.5 }); // prettier-ignore
    expect(plan.rootMm).toBeCloseTo(2.8, 9);
    expect(plan.pilotMm).toBeCloseTo(1.96, 9);
    const measured = pilotPlan({ screw: { coreMm: 2.8 }, lengthMm: 30, throughMm: 8, boardMm: 40, specificGravity: 0.5 }); // prettier-ignore
    expect(measured.pilotMm).toBeCloseTo(1.96, 9);
    expect(measured.shankMm).toBeCloseTo(4, 9);
  });

  test('one that comes out, and one that never bites, are refused in words', () => {
    const screw = { screw: { gauge: 6 }, specificGravity: 0.5 } as const;
    expect(() => pilotPlan({ ...screw, lengthMm: 25, throughMm: 2, boardMm: 18 })).toThrow('at most 18 mm');
    expect(() => pilotPlan({ ...screw, lengthMm: 15, throughMm: 20, boardMm: 18 })).toThrow('longer one');
  });
});

/** The fewest stocks, every order of the pieces tried one after the other. */
function fewest(lengths: readonly number[], stock: number, kerf: number): number {
  let best = Infinity;
  const go = (left: number[], used: number, count: number): void => {
    if (count >= best) return;
    if (left.length === 0) {
      best = count;
      return;
    }
    left.forEach((mm, i) => {
      const rest = left.filter((_, j) => j !== i);
      if (used + mm <= stock + 1e-9) go(rest, used + mm + kerf, count);
      else go(rest, mm + kerf, count + 1);
    });
  };
  go([...lengths], 0, 1);
  return best;
}

test('a drawer is measured front and back: two figures, neither more nor less', () => {
  expect(drawerSchema.validate(DRAWER).error).toBeUndefined();
  expect(drawerSchema.validate({ ...DRAWER, wornMm: [1] }).error).toBeDefined();
  expect(drawerSchema.validate({ ...DRAWER, wornMm: [1, 1, 1, 1, 1] }).error).toBeDefined();
});

describe('pieces from lengths of stock', () => {
  test('by hand: 300, 300, 200, 180 from 500 with 3 mm of kerf take two', () => {
    // 300 + 3 + 180 and 300 + 3 + 200 = 503 does not go, so 200 stands alone: three. From 505 it goes.
    expect(cutFrom([300, 300, 200, 180], 500, 3).stocks).toHaveLength(3);
    expect(cutFrom([300, 300, 200, 180], 505, 3).stocks).toHaveLength(2);
  });

  test('never more than every order tried out needs, and nothing longer than the stock', () => {
    const pieces = fc.array(fc.integer({ min: 40, max: 500 }), { minLength: 1, maxLength: 7 });
    fc.assert(
      fc.property(pieces, fc.integer({ min: 0, max: 5 }), (lengths, kerf) => {
        const { stocks } = cutFrom(lengths, 500, kerf);
        expect(stocks).toHaveLength(fewest(lengths, 500, kerf));
        expect(stocks.flatMap((s) => s.pieces).sort((a, b) => a - b)).toEqual(lengths.map((_, i) => i));
        for (const s of stocks) expect(s.leftMm).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 150 },
    );
  });

  test('where the longest first take three lengths, two are found', () => {
    // By hand: 400 + 350 + 150 + 100 and 350 + 300 + 200 + 150 are a metre each.
    expect(cutFrom([300, 100, 350, 350, 400, 150, 150, 200], 1000, 0).stocks).toHaveLength(2);
  });

  test('a piece longer than the stock is refused in words', () => {
    expect(() => cutFrom([600], 500, 2)).toThrow('longer stock');
  });
});

const FRAME: BandingInput = {
  runsMm: [400, 300, 400, 300],
  closed: true,
  cornerDeg: 90,
  wideMm: 6,
  kerfMm: 1,
  stockMm: 900,
  spares: 0,
};

describe('a banding', () => {
  test('by hand: a frame of 400 × 300 mm, 6 mm wide, is mitred at 45° and 12 mm shorter inside', () => {
    const plan = bandingPlan(FRAME);
    expect(plan.mitreDeg).toBe(45);
    expect(plan.pieces.map((p) => [p.outerMm, Number(p.innerMm.toFixed(6)), p.mitres])).toEqual([
      [400, 388, 2],
      [300, 288, 2],
      [400, 388, 2],
      [300, 288, 2],
    ]);
    // 402 + 402 with one kerf leave 95 of 900; 302 + 302 leave 295.
    expect(plan.stocks).toBe(2);
    expect(plan.leftMm).toEqual([95, 295]);
  });

  test('by hand: eight sides, 135° inside: 67.5°, each side 2 × 6 / tan 67.5° shorter', () => {
    const plan = bandingPlan({ ...FRAME, runsMm: Array.from({ length: 8 }, () => 100), cornerDeg: 135 });
    expect(plan.pieces[0]?.innerMm).toBeCloseTo(100 - 2 * 6 * 0.41421, 3);
  });

  test('a pattern of 20 mm: both lengths are whole repeats; 290 mm is not', () => {
    expect(bandingPlan({ ...FRAME, runsMm: [400, 300], closed: false, repeatMm: 20 }).cornersAlike).toBe(
      true,
    );
    const off = bandingPlan({ ...FRAME, runsMm: [400, 290], closed: false, repeatMm: 20 });
    expect(off.cornersAlike).toBe(false);
    expect(off.words).toContain('meet in the middle');
  });

  test('laid out from its middle, a side shows at both ends the same distance into a repeat', () => {
    const side = fc.double({ min: 60, max: 900, noNaN: true });
    fc.assert(
      fc.property(side, fc.double({ min: 3, max: 50, noNaN: true }), (run, repeatMm) => {
        const [piece] = bandingPlan({ ...FRAME, runsMm: [run], closed: false, repeatMm, stockMm: 2000 }).pieces; // prettier-ignore
        // A repeat is centred in the middle; count back from there to the left end, one repeat after the other.
        let start = run / 2 - repeatMm / 2;
        while (start > 0) start -= repeatMm;
        const into = -start % repeatMm;
        const difference = Math.abs((piece?.phaseMm ?? 0) - into);
        expect(Math.min(difference, repeatMm - difference)).toBeLessThan(1e-6);
      }),
    );
  });

  test('a side that its mitres eat up is refused in words', () => {
    expect(() => bandingPlan({ ...FRAME, runsMm: [10, 300, 10, 300] })).toThrow('eaten up');
  });
});

/** A bracket: two legs of 20 mm and a quarter hollow between. */
const BRACKET: PartInput = {
  outline: [[0, 0], [80, 0], [80, 20], [20, 50], [20, 120], [0, 120]], // prettier-ignore
  grainDeg: 90,
  mirrored: false,
  thickMm: 18,
  kerfMm: 1.2,
  copies: 2,
  spares: 1,
  boardLongMm: 600,
  boardWideMm: 110,
};

describe('a new part from the good one', () => {
  test('by hand: the blank lies with its grain along the board, four side by side end to end', () => {
    const plan = partPlan(BRACKET);
    // 120 mm along the grain and 80 across, 5 mm of room all round, 2 mm to plane.
    expect(plan.blank).toEqual({
      alongMm: expect.closeTo(130, 9),
      acrossMm: expect.closeTo(90, 9),
      thickMm: 20,
    });
    // 600 / (130 + 1.2): four; one row in 110 mm.
    expect(plan.perBoard).toBe(4);
    expect(plan.boards).toBe(1);
    expect(plan.leftMm).toBeCloseTo(600 - 3 * 131.2, 6);
    expect(plan.areaMm2).toBeCloseTo(areaOf(BRACKET.outline), 6);
  });

  test('turned and mirrored it keeps its size, and mirrored twice it is itself', () => {
    // Rays at even angles never cross.
    const outline = fc
      .array(fc.double({ min: 20, max: 100, noNaN: true }), { minLength: 4, maxLength: 9 })
      .map((rays) =>
        rays.map((r, i): Point => {
          const a = (2 * Math.PI * i) / rays.length;
          return [150 + r * Math.cos(a), 150 + r * Math.sin(a)];
        }),
      );
    fc.assert(
      fc.property(outline, fc.integer({ min: -180, max: 180 }), (shape, grainDeg) => {
        const given = { ...BRACKET, outline: shape, grainDeg, boardLongMm: 900, boardWideMm: 900 };
        const straight = partPlan(given);
        const mirrored = partPlan({ ...given, mirrored: true });
        expect(mirrored.areaMm2).toBeCloseTo(straight.areaMm2, 4);
        const back = partPlan({ ...given, outline: mirrored.outline, grainDeg: 0, mirrored: true });
        const box = boundingBox(back.outline);
        expect(box.right - box.left).toBeCloseTo(straight.blank.alongMm - 10, 6);
        for (const p of back.outline) expect(distanceToBoundary(p, straight.outline)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });

  test('the saw runs outside by half its kerf: straight sides lie 0.6 mm off', () => {
    const { outline, sawLine } = partPlan(BRACKET);
    const [part, saw] = [boundingBox(outline), boundingBox(sawLine)];
    expect(saw.right - part.right).toBeCloseTo(0.6, 2);
    expect(part.top - saw.top).toBeCloseTo(0.6, 2);
  });

  test('grain that would be short is said, and what cannot be is refused', () => {
    const across = { ...BRACKET, grainDeg: 0, boardWideMm: 200 };
    expect(partPlan(across).words).toContain('only 20 mm long');
    expect(() => partPlan({ ...BRACKET, boardWideMm: 60 })).toThrow('does not fit the board');
    expect(() => partPlan({ ...BRACKET, outline: [[0, 0], [50, 50], [50, 0], [0, 50]] })).toThrow('cross'); // prettier-ignore
  });
});

const DRAWER: DrawerInput = {
  openingWideMm: [400, 401],
  openingHighMm: [120, 120],
  drawerWideMm: [398.5, 400.4],
  drawerHighMm: [115, 115],
  wornMm: [0, 0],
  lengthMm: 350,
  growsMm: 2,
};

describe('a drawer', () => {
  test('by hand: 0.6 mm of play at the back where it needs 1: 0.4 mm are planed off there', () => {
    const plan = drawerPlan(DRAWER);
    expect(plan.binds).toEqual(['wide at the back']);
    expect(plan.planeMm['wide at the back']).toBeCloseTo(0.4, 9);
    expect(plan.strip).toBeUndefined();
  });

  test('by hand: sides worn by 3 and 1 mm get strips of 3 and 2 mm, and stand higher by the wear', () => {
    const plan = drawerPlan({ ...DRAWER, wornMm: [3, 1] });
    expect(plan.strip).toEqual({ frontMm: 3, backMm: 2, lengthMm: 350 });
    expect(plan.playMm['high at the front']).toBeCloseTo(2, 9);
    // 2 mm of play, and it needs 1 and the 2 by which the sides grow.
    expect(plan.planeMm['high at the front']).toBeCloseTo(1, 9);
  });

  test('planed by what is said, nothing binds any more', () => {
    const size = (from: number) => fc.tuple(fc.double({ min: from - 4, max: from + 2, noNaN: true }), fc.double({ min: from - 4, max: from + 2, noNaN: true })); // prettier-ignore
    fc.assert(
      fc.property(size(400), size(118), ([w0, w1], [h0, h1]) => {
        const { planeMm } = drawerPlan({ ...DRAWER, drawerWideMm: [w0, w1], drawerHighMm: [h0, h1] });
        const off = (p: keyof typeof planeMm): number => (planeMm[p] ?? 0) + 1e-9;
        const again = drawerPlan({
          ...DRAWER,
          drawerWideMm: [w0 - off('wide at the front'), w1 - off('wide at the back')],
          drawerHighMm: [h0 - off('high at the front'), h1 - off('high at the back')],
        });
        expect(again.binds).toEqual([]);
      }),
    );
  });

  test('a drawer that belongs elsewhere is told', () => {
    expect(() => drawerPlan({ ...DRAWER, drawerWideMm: [450, 450] })).toThrow('belong to another');
  });
});

test('a board that gives one part, or two, is a board that does', () => {
  // Blanks of 130 × 90 mm.
  for (const [boardLongMm, perBoard] of [
    [140, 1],
    [270, 2],
  ] as const)
    // prettier-ignore
    expect(partPlan({ ...BRACKET, boardLongMm, boardWideMm: 110 }).perBoard).toBe(perBoard);
  expect(() => partPlan({ ...BRACKET, boardLongMm: 129, boardWideMm: 110 })).toThrow(
    'does not fit the board',
  );
});
