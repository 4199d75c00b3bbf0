import fc from 'fast-check';
import clipping from 'polygon-clipping';
import { areaOf, centroidOf, rotate, type Point, type Polygon } from '../geometry';
import { largestRectangle, nestPatches, nestSpares, type NestPiece } from '.';

/** Areas by a second geometry library. */
const ring = (o: Polygon): [number, number][][] => [o.map(([x, y]): [number, number] => [x, y])];
const multiArea = (m: [number, number][][][]): number =>
  m.reduce((sum, p) => sum + p.reduce((s, r, i) => s + (i === 0 ? 1 : -1) * areaOf(r), 0), 0);
const overlap = (a: Polygon, b: Polygon): number => multiArea(clipping.intersection(ring(a), ring(b)));
const outside = (a: Polygon, b: Polygon): number => multiArea(clipping.difference(ring(a), ring(b)));

const box = (w: number, h: number, x = 0, y = 0): Point[] => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]]; // prettier-ignore
const lozenge = (long: number, tall: number): Point[] => [[tall, 0], [long + tall, 0], [long, tall], [0, tall]]; // prettier-ignore
const base = { gapMm: 2, grainToleranceDegrees: 4, tries: 4 };

const L_SHEET: Polygon = [[0, 0], [300, 0], [300, 80], [140, 80], [140, 200], [0, 200]]; // prettier-ignore

test('nothing overlaps, leaves the sheet or comes onto a hole, and the knife has its room: by a second library', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.integer({ min: 8, max: 90 }), fc.integer({ min: 6, max: 50 }), fc.boolean()), { minLength: 1, maxLength: 9 }), // prettier-ignore
      fc.integer({ min: 0, max: 8 }),
      async (sizes, grainToleranceDegrees) => {
        const pieces = sizes.map(([w, h, slanted], i): NestPiece => ({ id: String(i), outline: slanted ? lozenge(w, h) : box(w, h) })); // prettier-ignore
        const hole = box(40, 30, 30, 60);
        const { placed, unplaced } = await nestPatches({
          ...base,
          grainToleranceDegrees,
          pieces,
          sheets: [{ id: 'l', outline: L_SHEET, holes: [hole] }],
        });
        expect(placed.length + unplaced.length).toBe(pieces.length);
        placed.forEach((p, i) => {
          expect(outside(p.outline, L_SHEET)).toBeLessThan(0.01);
          expect(overlap(p.outline, hole)).toBeLessThan(0.01);
          for (const q of placed.slice(0, i)) {
            expect(overlap(p.outline, q.outline)).toBeLessThan(0.01);
            const near = p.outline.flatMap((a) => q.outline.map((b) => Math.hypot(a[0] - b[0], a[1] - b[1])));
            expect(Math.min(...near)).toBeGreaterThan(base.gapMm - 0.05);
          }
          // It is the piece itself, its middle where it is said to be, turned by what is said.
          const was = pieces.find((x) => x.id === p.id)?.outline ?? [];
          const [cx, cy] = centroidOf(was);
          was.forEach(([x, y], k) => {
            const [tx, ty] = rotate([x - cx, y - cy], p.degrees);
            expect(p.outline[k]?.[0]).toBeCloseTo(tx + p.xMm, 6);
            expect(p.outline[k]?.[1]).toBeCloseTo(ty + p.yMm, 6);
          });
          const turn = Math.abs(((p.degrees + 270) % 180) - 90);
          expect(turn).toBeLessThanOrEqual(grainToleranceDegrees + 1e-9);
        });
      },
    ),
    { numRuns: 40 },
  );
});

/** Most of some upright boxes on a small sheet, tried at every place of a grid in every order, the grain fixed. */
function mostPlaced(boxes: readonly [number, number][], wide: number, tall: number): number {
  const grid = Array.from({ length: wide }, () => new Array<boolean>(tall).fill(false));
  const go = (rest: readonly [number, number][]): number => {
    const [first, ...others] = rest;
    if (!first) return 0;
    let best = go(others);
    const [w, h] = first;
    for (let x = 0; x + w <= wide && best < rest.length; x++)
      for (let y = 0; y + h <= tall && best < rest.length; y++) {
        let free = true;
        for (let i = x; i < x + w && free; i++) for (let j = y; j < y + h && free; j++) free = !grid[i]?.[j];
        if (!free) continue;
        const fill = (to: boolean): void => {
          for (let i = x; i < x + w; i++) for (let j = y; j < y + h; j++) (grid[i] ?? [])[j] = to;
        };
        fill(true);
        best = Math.max(best, 1 + go(others));
        fill(false);
      }
    return best;
  };
  return go(boxes);
}

test('as many as every place and order tried by brute force, on small sheets', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 3 })), { minLength: 2, maxLength: 4 }), // prettier-ignore
      async (boxes) => {
        const [wide, tall] = [6, 4];
        const { placed } = await nestPatches({
          pieces: boxes.map(([w, h], i) => ({ id: String(i), outline: box(10 * w, 10 * h) })),
          sheets: [{ id: 's', outline: box(10 * wide, 10 * tall) }],
          gapMm: 0,
          grainToleranceDegrees: 0,
          tries: 24,
        });
        expect(placed.length).toBe(mostPlaced(boxes, wide, tall));
      },
    ),
    { numRuns: 40 },
  );
});

test('twenty patches cannot each fit the same sheet: what does not fit is told', async () => {
  const pieces = Array.from({ length: 20 }, (_, i) => ({ id: String(i), outline: box(60, 30) }));
  const { placed, unplaced, sheets } = await nestPatches({ ...base, tries: 1, pieces, sheets: [{ id: 'one', outline: box(200, 100) }] }); // prettier-ignore
  expect(placed).toHaveLength(9);
  expect(unplaced).toHaveLength(11);
  expect(unplaced[0]?.why).toContain('No sheet has room');
  expect(sheets[0]?.leftMm2).toBeCloseTo(200 * 100 - 9 * 60 * 30, 3);
});

test('a chosen spot is kept; of two that want one place the second is moved, and told when it cannot be', async () => {
  const spot = { sheet: 's', xMm: 60, yMm: 40, degrees: 5, flipped: true };
  const two = ['a', 'b'].map((id) => ({ id, outline: box(50, 30), spot }));
  const wide = await nestPatches({ ...base, pieces: two, sheets: [{ id: 's', outline: box(200, 100) }] });
  expect(wide.placed[0]).toMatchObject({ id: 'a', xMm: 60, yMm: 40, degrees: 5, flipped: true });
  expect(wide.placed.map((p) => p.id)).toEqual(['a', 'b']);
  expect(overlap(wide.placed[0]?.outline ?? [], wide.placed[1]?.outline ?? [])).toBeLessThan(0.01);
  const tight = await nestPatches({ ...base, pieces: two, sheets: [{ id: 's', outline: box(100, 70) }] });
  expect(tight.unplaced[0]).toMatchObject({ id: 'b', why: expect.stringContaining('chosen spot') });
});

test('a piece goes to the first sheet of its list that has room, and one end of the sheet stays whole', async () => {
  const pieces = [{ id: 'a', outline: box(80, 40), sheets: ['small', 'large'] }, { id: 'b', outline: box(20, 20), sheets: ['large'] }]; // prettier-ignore
  const sheets = [{ id: 'large', outline: box(400, 100) }, { id: 'small', outline: box(60, 60) }]; // prettier-ignore
  const plan = await nestPatches({ ...base, pieces, sheets });
  expect(plan.placed.map((p) => p.sheet)).toEqual(['large', 'large']);
  const offcut = plan.sheets[0]?.offcut;
  expect(offcut?.alongMm).toBeGreaterThan(300);
  expect(offcut?.acrossMm).toBeGreaterThan(95);
});

test('the largest rectangle that is left: as every one tried on the same grid', () => {
  const holes = [box(30, 20, 10, 10), box(20, 50, 60, 30)];
  const found = largestRectangle(box(100, 90), holes);
  let best = 0;
  for (let x0 = 0; x0 < 100; x0 += 5)
    for (let x1 = x0 + 5; x1 <= 100; x1 += 5)
      for (let y0 = 0; y0 < 90; y0 += 5)
        for (let y1 = y0 + 5; y1 <= 90; y1 += 5) {
          const tried = box(x1 - x0, y1 - y0, x0, y0);
          if ((x1 - x0) * (y1 - y0) > best && holes.every((h) => overlap(tried, h) < 1e-9))
            best = (x1 - x0) * (y1 - y0);
        }
  expect(found.alongMm * found.acrossMm).toBeCloseTo(best, -1);
  const self = box(found.alongMm, found.acrossMm, found.xMm, found.yMm);
  for (const h of holes) expect(overlap(self, h)).toBeLessThan(3);
  expect(largestRectangle(box(50, 50), [box(50, 50)]).alongMm).toBe(0);
});

test('spares lie on the sheet of their patch, on nothing else; those without room are counted', async () => {
  const input = {
    ...base,
    pieces: [{ id: 'a', outline: box(60, 40) }, { id: 'b', outline: lozenge(50, 20) }],
    sheets: [{ id: 's', outline: box(150, 110) }, { id: 'unused', outline: box(400, 400) }],
  }; // prettier-ignore
  const plan = await nestPatches(input);
  const { spares, without, sheets } = await nestSpares(input, plan, 3);
  expect(spares.length + without).toBe(6);
  expect(without).toBeGreaterThan(0);
  expect(spares.length).toBeGreaterThan(1);
  const all = [...plan.placed, ...spares];
  spares.forEach((s) => {
    expect(s.sheet).toBe(plan.placed.find((p) => p.id === s.of)?.sheet);
    expect(outside(s.outline, box(150, 110))).toBeLessThan(0.01);
    for (const other of all) if (other !== s) expect(overlap(s.outline, other.outline)).toBeLessThan(0.01);
  });
  const cut = all.reduce((sum, p) => sum + areaOf(p.outline), 0);
  expect(sheets.map((s) => s.id)).toEqual(['s']);
  expect(sheets[0]?.cutMm2).toBeCloseTo(cut, 3);
  expect(sheets[0]?.leftMm2).toBeCloseTo(150 * 110 - cut, 0);
  expect(await nestSpares(input, plan, 0)).toEqual({ spares: [], without: 0, sheets: plan.sheets });
});
