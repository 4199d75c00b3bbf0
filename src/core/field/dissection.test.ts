import fc from 'fast-check';
import type { Point } from '../geometry';
import { dissect, type Front } from './dissection';
import { modelOf } from './plate';

const model = (gridMm: number, ys: readonly number[]) =>
  modelOf(
    {
      panel: { widthMm: 600, heightMm: 400 },
      platen: { thicknessMm: 18, modulusMPa: 3000, poisson: 0.3 },
      cauls: ys.map((y) => ({
        from: [20, y] as Point,
        to: [580, y] as Point,
        widthMm: 45,
        heightMm: 38,
        modulusMPa: 11_000,
        camberMm: 1,
      })),
      clamps: [],
    },
    gridMm,
  );

/** Children before their parents. */
const inOrder = (front: Front): Front[] => [...front.children.flatMap(inOrder), front];

const products = (fronts: readonly Front[]): number =>
  fronts.reduce((s, { own, rim }) => s + own.length * (own.length + rim.length) ** 2, 0);

test('every unknown is eliminated once, and what it touches later stands in its front', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 14, max: 60 }),
      fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 3 }),
      (gridMm, ys) => {
        const { bending, x, y, size } = model(gridMm, ys);
        const fronts = inOrder(dissect(bending, x, y));
        const when = new Map(
          fronts.flatMap(({ own }) => [...own]).map((unknown, position) => [unknown, position]),
        );
        expect(when.size).toBe(size);
        expect(fronts.reduce((s, { own }) => s + own.length, 0)).toBe(size);
        let missing = 0;
        for (const { own, rim, children } of fronts) {
          const here = new Set([...own, ...rim]);
          for (const v of own) {
            for (let p = bending.start[v] ?? 0; p < (bending.start[v + 1] ?? 0); p++) {
              const u = bending.column[p] ?? -1;
              if ((when.get(u) ?? -1) > (when.get(v) ?? -1) && !here.has(u)) missing++;
            }
          }
          for (const child of children) for (const u of child.rim) if (!here.has(u)) missing++;
          const later = [...own, ...rim].map((u) => when.get(u) ?? -1);
          expect(later).toEqual([...later].sort((a, b) => a - b));
        }
        expect(missing).toBe(0);
      },
    ),
    { numRuns: 25 },
  );
});

test('a caul along the middle costs little more than one beside it', () => {
  const work = (y: number): number => {
    const { bending, x, y: down } = model(10, [y]);
    return products(inOrder(dissect(bending, x, down)));
  };
  expect(work(200) / work(130)).toBeLessThan(1.15);
});
