import fc from 'fast-check';
import { areaOf, type Point } from '../geometry';
import {
  dutchmanPlan,
  plugPlan,
  sliverOutlines,
  sliverPlan,
  stripOutlines,
  stripsPlan,
  type DutchmanInput,
  type PlugInput,
  type StripsInput,
} from '.';

const HOLE: PlugInput = {
  holeMm: 9,
  depthMm: 12,
  boardMm: 20,
  clear: true,
  load: false,
  bitsMm: [6, 8, 10, 12],
  cuttersMm: [10, 12],
};

describe('a plug', () => {
  test('by hand: a hole of 9 mm is bored to 10, its plug stands 2 mm proud', () => {
    expect(plugPlan(HOLE)).toMatchObject({ kind: 'plug', bitMm: 10, cutterMm: 10, fitMm: 0, boreMm: 12, lengthMm: 13.9, proudMm: 2 }); // prettier-ignore
  });

  test('common practice: plug over dowel under a clear finish, a dowel where it carries load unseen', () => {
    expect(plugPlan(HOLE).why).toContain('end grain');
    expect(plugPlan({ ...HOLE, load: true }).kind).toBe('plug');
    expect(plugPlan({ ...HOLE, load: true, clear: false }).kind).toBe('dowel');
  });

  test('holes that touch and a rim that broke out to the edge become one block', () => {
    expect(plugPlan({ ...HOLE, nextMm: 2 }).kind).toBe('dutchman');
    expect(plugPlan({ ...HOLE, nextMm: 8, brokenMm: 6 }).kind).toBe('dutchman');
    expect(plugPlan({ ...HOLE, nextMm: 8 }).kind).toBe('plug');
  });

  test('what is not owned is named, and what cannot be is refused', () => {
    expect(plugPlan({ ...HOLE, cuttersMm: [] }).missing).toContain('9.5 mm');
    expect(() => plugPlan({ ...HOLE, depthMm: 25 })).toThrow('the board only 20 mm thick');
  });

  test('whatever is owned, the bit clears the hole and the fit is one that holds', () => {
    const sizes = fc.array(fc.integer({ min: 4, max: 40 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(fc.double({ min: 3, max: 35, noNaN: true }), sizes, sizes, (holeMm, bitsMm, cuttersMm) => {
        const plan = plugPlan({ ...HOLE, holeMm, bitsMm, cuttersMm });
        // Tried out one by one: the smallest bit for which there is a cutter.
        const all = bitsMm.filter((b) => b >= holeMm + 0.5 && cuttersMm.includes(b)).sort((a, b) => a - b);
        expect(plan.bitMm).toBe(all[0]);
      }),
    );
  });
});

const FACE: Point[] = [[0, 0], [600, 0], [600, 400], [0, 400]]; // prettier-ignore
const LOSS: DutchmanInput = {
  outline: [[200, 150], [240, 150], [240, 170], [200, 170]], // prettier-ignore
  face: FACE,
  grainDeg: 0,
  depthMm: 5,
  boardMm: 20,
  ends: 'square',
};

describe('a dutchman', () => {
  test('by hand: 40 × 20 mm with 2.5 mm of sound wood all round is 45 × 25 mm, 6 mm deep', () => {
    expect(dutchmanPlan(LOSS)).toMatchObject({
      alongMm: 45,
      acrossMm: 25,
      depthMm: 6,
      openSides: 0,
      block: { alongMm: 47, acrossMm: 26, thickMm: 7.5 },
      // The floor 45 × 25 and walls 140 × 6.
      gluedMm2: 45 * 25 + 140 * 6,
    });
  });

  test('near an edge the wall would break out: the recess runs through', () => {
    const plan = dutchmanPlan({ ...LOSS, outline: LOSS.outline.map(([x, y]): Point => [x, y - 148]) });
    expect(plan.openSides).toBe(1);
    expect(Math.min(...plan.recess.map((p) => p[1]))).toBe(0);
  });

  test('tapered ends run out along the grain', () => {
    const plan = dutchmanPlan({ ...LOSS, ends: 'tapered' });
    // 25 mm across at a rise of one half: 25 mm beyond each end.
    expect(plan.alongMm).toBeCloseTo(45 + 2 * 25);
    expect(plan.recess).toHaveLength(6);
  });

  test('a loss over the edge, and one deeper than the board, are refused in words', () => {
    expect(() => dutchmanPlan({ ...LOSS, outline: LOSS.outline.map(([x, y]): Point => [x, y - 160]) })).toThrow('over the edge'); // prettier-ignore
    expect(() => dutchmanPlan({ ...LOSS, depthMm: 30 })).toThrow('only 20 mm thick');
  });

  test('whatever the loss and the grain: it lies inside its recess, with sound wood round it, and no smaller box does', () => {
    const corner = fc.tuple(fc.double({ min: 220, max: 330, noNaN: true }), fc.double({ min: 150, max: 250, noNaN: true })); // prettier-ignore
    fc.assert(
      fc.property(corner, fc.double({ min: 8, max: 60, noNaN: true }), fc.double({ min: 5, max: 30, noNaN: true }), fc.integer({ min: 0, max: 179 }), ([x, y], w, h, grainDeg) => {
        const outline: Point[] = [[x, y], [x + w, y + 1], [x + w - 2, y + h], [x + 1, y + h - 1]];
        const { recess, alongMm, acrossMm } = dutchmanPlan({ ...LOSS, outline, grainDeg });
        const t = (-grainDeg * Math.PI) / 180;
        const along = (p: Point): number => p[0] * Math.cos(t) - p[1] * Math.sin(t);
        const across = (p: Point): number => p[0] * Math.sin(t) + p[1] * Math.cos(t);
        for (const f of [along, across]) {
          const [lo, hi] = [Math.min(...recess.map(f)), Math.max(...recess.map(f))];
          expect(Math.min(...outline.map(f)) - lo).toBeCloseTo(2.5, 6);
          expect(hi - Math.max(...outline.map(f))).toBeCloseTo(2.5, 6);
        }
        // The shoelace formula, written apart.
        const shoelace = Math.abs(recess.reduce((s, [px, py], i) => {
          const [qx, qy] = recess[(i + 1) % recess.length] ?? [0, 0];
          return s + px * qy - qx * py;
        }, 0)) / 2;
        expect(shoelace).toBeCloseTo(alongMm * acrossMm, 4);
      }),
    ); // prettier-ignore
  });
});

const EDGE: StripsInput = {
  runMm: 1200,
  highMm: 30,
  thickMm: 2,
  planedMm: 0.5,
  blockWideMm: 40,
  blockThickMm: 25,
  kerfMm: 1.2,
  slantDeg: 0,
  spares: 3,
};

describe('strips sawn from solid', () => {
  test('by hand: 1200 mm in pieces of 40 mm, seven slices to a block', () => {
    // 30 pieces and 3 spares; (25 + 1.2) / (2.5 + 1.2) = 7.08; 33 / 7 = 4.7.
    expect(stripsPlan(EDGE)).toEqual({
      eachMm: 40,
      pieces: 33,
      slicesPerBlock: 7,
      blocks: 5,
      blockLengthMm: 36,
    });
  });

  test('a slanted joint takes of each piece what it climbs', () => {
    expect(stripsPlan({ ...EDGE, slantDeg: 30 }).eachMm).toBeCloseTo(40 - 30 * Math.tan(Math.PI / 6));
    expect(() => stripsPlan({ ...EDGE, slantDeg: 55 })).toThrow('takes all of a piece');
  });

  test('blocks in a board, and slices in a block, as laid one after the other', () => {
    const laid = (room: number, size: number, kerf: number): number => {
      let count = 0;
      for (let at = 0; at + size <= room + 1e-9; at += size + kerf) count++;
      return count;
    };
    const mm = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(mm(50, 900), mm(41, 300), mm(25, 80), (alongMm, acrossMm, thickMm) => {
        const plan = stripsPlan({ ...EDGE, board: { alongMm, acrossMm, thickMm } });
        expect(plan.blocksInBoard).toBe(
          laid(alongMm, 36, 1.2) * laid(acrossMm, 40, 1.2) * laid(thickMm, 25, 1.2),
        );
        expect(plan.slicesPerBlock).toBe(laid(25, 2.5, 1.2));
      }),
    );
  });
});

test('a sliver and a strip at full size have the area of their trapezoids', () => {
  const plan = sliverPlan({ lengthMm: 200, gapsMm: [1, 2, 1], depthMm: 10 });
  const { outline, recess } = sliverOutlines(plan);
  const [a = 0, b = 0, c = 0] = plan.topMm;
  expect(areaOf(outline)).toBeCloseTo(100 * ((a + b) / 2 + (b + c) / 2), 6);
  expect(areaOf(recess)).toBeLessThan(areaOf(outline));
  const strip = stripOutlines({ runMm: 500, highMm: 20, thickMm: 1, planedMm: 0.5, blockWideMm: 40, blockThickMm: 25, kerfMm: 1, slantDeg: 30, spares: 0 }); // prettier-ignore
  // What it covers, times its height; with what stands over, 6 mm higher.
  const each = 40 - 20 * Math.tan(Math.PI / 6);
  expect(areaOf(strip.outline)).toBeCloseTo(each * 20, 6);
  expect(areaOf(strip.recess)).toBeCloseTo(each * 26, 6);
});
