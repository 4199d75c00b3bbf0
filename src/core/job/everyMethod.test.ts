import fc from 'fast-check';
import { METHODS } from '../catalogue';
import type { Point } from '../geometry';
import { SCHOOLS } from '../terms';
import { worksheetsOf } from './colourStage';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { planOf, stepsOfLink } from './plan';
import { repairOf } from './repairs';
import { needsOf } from './table';
import type { Damage, Face, KnownShop, Named, Piece } from './types';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const keys = <K extends string>(table: Record<K, unknown>) => fc.constantFrom(...(Object.keys(table) as K[]));

const anyCase = fc.record({
  school: keys(SCHOOLS),
  goal: fc.constantFrom('keep' as const, 'shellac' as const, 'lacquer' as const, 'paint' as const),
  solid: fc.boolean(),
  lengthUnit: fc.constantFrom('mm' as const, 'in' as const),
  wide: fc.integer({ min: 8, max: 400 }),
  high: fc.integer({ min: 4, max: 200 }),
  depthMm: fc.option(fc.integer({ min: 1, max: 17 }), { nil: undefined }),
  nth: fc.nat(20),
  clamps: fc.integer({ min: 0, max: 12 }),
});

/** Of every kind of use what the plan's list adds up, g and ml and pieces of wood. */
const totals = (amounts: readonly { of: string; grams?: number; ml?: number; count?: number }[]) => ({
  grams: amounts.reduce((s, a) => s + (a.grams ?? 0), 0),
  ml: amounts.reduce((s, a) => s + (a.ml ?? 0), 0),
  wood: amounts.filter((a) => a.of === 'wood').reduce((s, a) => s + (a.count ?? 1), 0),
});

const MENDING = METHODS.filter((m) => m.kinds.length > 0 && m.id !== 'leave');

test.each(MENDING.map((m) => m.id))(
  '%s: worksheet, plan, list and steps have the same figures, whatever the damage, school, unit and shop',
  (method) => {
    const { kinds } = METHODS.find((m) => m.id === method) ?? { kinds: [] };
    fc.assert(
      fc.property(anyCase, ({ school, goal, solid, lengthUnit, wide, high, depthMm, nth, clamps }) => {
        const piece = named<Piece>('p', { ...newPiece('Chest', '2026-03-02T08:00:00'), school, goal });
        const face = named<Face>('f', {
          ...newFace('p', 'Top'),
          build: solid ? 'solid' : 'solidCore',
          veneerMm: solid ? 0 : 0.8,
          boardMm: 18,
          scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
          grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
        });
        const [x, y] = [wide / 1200, high / 800];
        const outline: Point[] = [[0.5 - x, 0.5 - y], [0.5 + x, 0.5 - y], [0.5 + x, 0.5 + y], [0.5 - x, 0.5 + y]]; // prettier-ignore
        const damage = named<Damage>('d', {
          ...newDamage('p', 'f', 1, kinds[nth % kinds.length] ?? 'gouge'),
          outline,
          method,
          ...(depthMm === undefined ? {} : { answers: { depthMm } }),
        });
        const shop: KnownShop = { ...DEFAULT_SHOP, lengthUnit, clamps: [{ id: 'fStyle', count: clamps }, { id: 'pipe', count: clamps >> 1 }] }; // prettier-ignore
        const { links } = worksheetsOf(repairOf(piece, [face], [damage], damage, shop), shop);
        const plan = planOf({ piece, faces: [face], damages: [damage], shop });
        expect(plan.repairs[0]?.links).toEqual(links);
        const list = needsOf({ repairs: plan.repairs, tasks: [], evening: [] }, shop);
        const said = totals(links.flatMap((l) => l.amounts));
        expect(list.reduce((s, n) => s + (n.grams ?? 0), 0)).toBeCloseTo(said.grams, 6);
        expect(list.reduce((s, n) => s + (n.ml ?? 0), 0)).toBeCloseTo(said.ml, 6);
        expect(list.reduce((s, n) => s + n.wood.length, 0)).toBe(said.wood);
        for (const link of links) {
          const steps = stepsOfLink(plan, 'd', link.method);
          // Of no kind of clamp is more taken than there is, and what a step holds is what the worksheet says.
          for (const { needs } of steps)
            for (const [id, count] of Object.entries(needs)) {
              expect(count).toBeLessThanOrEqual(shop.clamps.find((c) => c.id === id)?.count ?? 0);
              expect(count).toBe(link.clamps?.[id]);
            }
          // The layers are the amount that is made up.
          const poured = link.layers?.reduce((s, l) => s + l.ml, 0);
          const volume = link.amounts.find((a) => a.of === 'volume');
          if (poured !== undefined && volume?.of === 'volume' && method !== 'epoxyCap')
            expect(poured).toBeCloseTo(volume.ml, 6);
          for (const { detail, title } of steps)
            expect(`${title} ${detail}`).not.toMatch(/NaN|Infinity|undefined/);
        }
      }),
      { numRuns: 50 },
    );
  },
);
