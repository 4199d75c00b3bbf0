import { METHODS, USES, type MethodId } from '../catalogue';
import type { Point } from '../geometry';
import { CLAMPS } from '../press';
import { amountWords } from './amountWords';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { gapViewOf } from './gapView';
import { glueUpOf, nextClamps, withinReach } from './glueUp';
import { HELD_BY } from './held';
import { linkPlansOf } from './links';
import { planOf, stepsOfLink } from './plan';
import { repairOf } from './repairs';
import { closeOf, jointOf, stripsOf } from './sums';
import type { Damage, Face, GlueChoice, HeldBy, Named, Piece, Shop } from './types';
import { worksheetOf, worksheetPage } from './worksheet';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const piece = named<Piece>('p', { ...newPiece('Chest', '2026-03-02T08:00:00'), goal: 'keep' });
/** 600 × 400 mm, 18 mm thick. */
const top: Face = {
  ...newFace('p', 'Top'),
  veneerMm: 0.8,
  boardMm: 18,
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
};
/** 60 × 40 mm along the front edge. */
const mark: Point[] = [[0.2, 1], [0.2, 0.9], [0.3, 0.9], [0.3, 1]]; // prettier-ignore
const damaged = (method: MethodId, more: Partial<Damage> = {}): Named<Damage> =>
  named('d', {
    ...newDamage('p', 'f', 1, METHODS.find((m) => m.id === method)?.kinds[0] ?? 'missingVeneer'),
    outline: mark,
    method,
    ...more,
  });
const repairFor = (damage: Named<Damage>, shop: Shop = DEFAULT_SHOP, face: Face = top) =>
  repairOf(piece, [named('f', face)], [damage], damage, shop);
const linkFor = (method: MethodId, more: Partial<Damage> = {}, shop: Shop = DEFAULT_SHOP) =>
  linkPlansOf(repairFor(damaged(method, more), shop), shop).find((l) => l.method === method);

// No dead end: whatever is chosen leads to a sheet, and from there to the bench.
const REPAIRS = METHODS.filter((m) => m.id !== 'leave' && m.kinds.length > 0);

test.each(REPAIRS.map((m) => m.id))('%s has a worksheet with its amounts, and its steps stand on the bench', (method) => {
  const damage = damaged(method);
  const link = linkFor(method);
  expect(link?.worksheet).toBe(worksheetOf(method));
  expect(link?.amounts.map((a) => a.material)).toEqual(METHODS.find((m) => m.id === method)?.needs);
  expect(link?.cautions).toContain('always');
  const plan = planOf({ piece, faces: [named('f', top)], damages: [damage], shop: DEFAULT_SHOP });
  expect(stepsOfLink(plan, 'd', method).length).toBeGreaterThan(0);
  for (const amount of link?.amounts ?? []) {
    const words = amountWords(amount, (mm) => `${mm.toFixed(1)} mm`);
    expect(words === undefined).toBe(amount.of === 'tool');
    expect(String(words)).not.toMatch(/NaN|Infinity|undefined mm/);
  }
}); // prettier-ignore

test('each link of a chain has its own page; the main one needs no name', () => {
  expect(worksheetPage('d', 'veneerPatch', 'floodAndPress')).toBe('/damage/d/patch?link=veneerPatch');
  expect(worksheetPage('d', 'floodAndPress', 'floodAndPress')).toBe('/damage/d/press');
  expect(worksheetPage('d', 'bareFiller', 'bareFiller')).toBe('/damage/d/sheet');
  expect(worksheetPage('d', 'dutchman', 'dutchman')).toBe('/damage/d/joint');
});

describe('amounts, worked by hand', () => {
  test('a fill is worked out in its layers: 60 × 40 mm, 3 mm deep in its middle, straight to its rim', () => {
    const [amount] = linkFor('bareFiller', { answers: { depthMm: 3 } })?.amounts ?? [];
    // A cone: 2400 × 3 / 3 = 2400 mm³ in the first layer, which sinks to 2.7 mm. The second goes on to 0.5 mm proud when it has
    // sunk: 0.8 / 0.9 = 0.889 mm, of which 0.3 mm are the rest of the cone, 2400 × (1 − 0.9³), and 0.589 mm stand over all of it.
    // A fifth is for the knife.
    const ml = (1.2 * (2400 + 2400 * (1 - 0.9 ** 3) + 2400 * (0.8 / 0.9 - 0.3))) / 1000;
    expect(amount).toMatchObject({ of: 'volume', ml: expect.closeTo(ml, 2) });
    expect(USES.bareFiller.by).toBe('volume');
  });

  test('what is brushed on covers the place and a finger’s breadth round it, or the whole panel where that is the way', () => {
    const acidBy = (acid: 'spot' | 'panel') => {
      const way = named<Piece>('p', { ...piece.body, ways: { acid } });
      const damage = damaged('oxalicAcid');
      const repair = repairOf(way, [named('f', top)], [damage], damage, DEFAULT_SHOP);
      return linkPlansOf(repair, DEFAULT_SHOP).flatMap((l) => l.amounts).find((a) => a.material === 'oxalicAcid'); // prettier-ignore
    };
    // 90 × 70 mm, or 600 × 400 mm, at 100 ml/m², two times.
    expect(acidBy('spot')).toMatchObject({ of: 'volume', ml: expect.closeTo(0.09 * 0.07 * 100 * 2, 6) });
    expect(acidBy('panel')).toMatchObject({ of: 'volume', ml: expect.closeTo(0.6 * 0.4 * 100 * 2, 6) });
  });

  test('a split is glued on both sides through its board, not over the circle of its mark', () => {
    const line: Partial<Damage> = { outline: [], mark: { tool: 'line', points: [[0.1, 0.5], [0.6, 0.5]], widthMm: 1 } }; // prettier-ignore
    const link = linkFor('glueSplit', { ...line, kind: 'longCrack' });
    // 300 mm long through 18 mm of board, both sides.
    expect(link?.areaMm2).toBeCloseTo(300 * 18, 3);
    expect(link?.amounts[0]).toMatchObject({
      of: 'weight',
      grams: expect.closeTo(2 * 0.3 * 0.018 * 200 * 1.2, 3),
    });
  });

  test('a block is a little larger than the hole it fills', () => {
    const block = linkFor('dutchman', { answers: { depthMm: 10 } })?.amounts.find((a) => a.of === 'wood');
    expect(block).toMatchObject({
      // 2.5 mm into sound wood at each end and on the one side that is no edge, 2 and 1 mm to fit; 1 mm into the floor, 1.5 proud.
      alongMm: expect.closeTo(60 + 5 + 2, 6),
      acrossMm: expect.closeTo(40 + 2.5 + 1, 6),
      thickMm: 12.5,
    });
  });
});

describe('what a sum works out reaches the bench', () => {
  const stepsOf = (method: MethodId, more: Partial<Damage>, shop: Shop = DEFAULT_SHOP) => {
    const damage = damaged(method, more);
    return stepsOfLink(planOf({ piece, faces: [named('f', top)], damages: [damage], shop }), 'd', method);
  };
  const split: Partial<Damage> = { kind: 'longCrack', outline: [], mark: { tool: 'line', points: [[0.1, 0.5], [0.6, 0.5]], widthMm: 1 } }; // prettier-ignore

  test('each layer of a deep fill is a step with its own wait; one layer is as the book has it', () => {
    const deep = stepsOf('bareFiller', { answers: { depthMm: 9 } });
    const layers = deep.filter((t) => t.title.startsWith('First fill'));
    // 9 mm and half a millimetre proud, 3 mm at a time that sink by a tenth: 2.7, 5.4, 8.1, and the last, which is the book's second.
    expect(layers.map((t) => t.title.split(':')[0])).toEqual(['First fill, layer 1', 'First fill, layer 2', 'First fill, layer 3']); // prettier-ignore
    expect(layers[1]?.detail).toContain('Layer 2 of 4');
    expect(layers.every((t) => t.unattendedMin === 150)).toBe(true);
    expect(deep.filter((t) => t.title.startsWith('Last fill'))).toHaveLength(1);
    const putty = stepsOf('epoxyPutty', { answers: { depthMm: 15 } }).filter((t) =>
      t.title.startsWith('Knead'),
    );
    expect(putty.at(-1)?.detail).toMatch(/Layer 2 of 2, 8\.1 ml, to 0\.5 mm over the surface/);
    const shallow = stepsOf('bareFiller', { answers: { depthMm: 1 } });
    expect(shallow.map((t) => t.title.split(':')[0])).toEqual(['Fill', 'Level the fill']);
    expect(shallow[0]?.unattendedMin).toBe(180);
  });

  test('the bar clamps that close a joint are the ones its page counts', () => {
    const bars: Shop = { ...DEFAULT_SHOP, clamps: [{ id: 'fStyle', count: 9 }, { id: 'pipe', count: 6 }] }; // prettier-ignore
    const gaps = { 'close.quarter': 0.05, 'close.middle': 0.15, 'close.far': 0.05, 'close.thick': 18 };
    const link = linkFor('glueSplit', { ...split, figures: gaps }, bars);
    const { plan } = closeOf(repairFor(damaged('glueSplit', { ...split, figures: gaps }), bars), bars);
    expect(plan.ok && plan.value.closes).toBe(true);
    expect(link?.clamps).toEqual({ pipe: plan.ok ? plan.value.clamps : 0 });
    // What hands draw together is still clamped every hand's breadth: three on 300 mm.
    const met = { 'close.quarter': 0, 'close.middle': 0, 'close.far': 0 };
    expect(linkFor('glueSplit', { ...split, figures: met }, bars)?.clamps).toEqual({ pipe: 3 });
    // An F-style clamp opens 300 mm; these boards are 400 mm across. What is not there is said, with what it takes.
    const without = linkFor('glueSplit', { ...split, figures: gaps });
    expect(without?.clamps).toBeUndefined();
    expect(without?.heldWords).toMatch(
      /^It takes \d bar clamps? of \d+ N that opens? 400 mm; you have none\./,
    );
    expect(linkFor('glueSplit', { ...split, figures: met })?.heldWords).toMatch(
      /^None of your clamps opens 400 mm/,
    );
  });

  test('a clamp that stands on a round top’s rim is given its block', () => {
    const round: Face = { ...top, shape: { kind: 'round' }, scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 600 } }; // prettier-ignore
    const across: Partial<Damage> = { kind: 'openGlueLine', outline: [], mark: { tool: 'line', points: [[0.02, 0.5], [0.98, 0.5]], widthMm: 1 } }; // prettier-ignore
    const repair = repairFor(damaged('planeJoint', across), DEFAULT_SHOP, round);
    const { across: clamps } = closeOf(repair, DEFAULT_SHOP);
    for (const { at, ends } of clamps) {
      const slope = (Math.asin(Math.abs(at[0] - 300) / 300) * 180) / Math.PI;
      for (const end of ends) expect(Math.abs(end.slopeDeg - slope)).toBeLessThan(3);
    }
    expect(clamps.some((c) => c.ends[0].needsBlock)).toBe(true);
    expect(clamps.some((c) => !c.ends[0].needsBlock)).toBe(true);
  });

  test('the joint lies along its mark, or along the grain of what was marked', () => {
    const along = jointOf(repairFor(damaged('glueSplit', split)));
    expect(along?.from[0]).toBeCloseTo(60, 6);
    expect(along?.to[0]).toBeCloseTo(360, 6);
    // 60 × 40 mm, the grain from left to right: its middle is at 150.
    const area = jointOf(repairFor(damaged('dutchman')));
    expect([area?.from[0], area?.to[0]].map((x) => Math.round(x ?? 0))).toEqual([120, 180]);
    expect(gapViewOf(repairFor(damaged('glueSplit', split)))).toBeUndefined();
    const seen = { ...top, picture: { id: 'x', widthPx: 1200, heightPx: 800 } };
    const view = gapViewOf(repairFor(damaged('glueSplit', split), DEFAULT_SHOP, seen));
    // 15 mm of wood round it: the joint begins there in its own view.
    expect(view?.line[0]?.map(Math.round)).toEqual([15, 15]);
  });

  test('blocks for strips and copies of a part are counted', () => {
    const { plan } = stripsOf(repairFor(damaged('sawnStrip')));
    const wood = linkFor('sawnStrip')?.amounts.find((a) => a.of === 'wood');
    expect(wood).toMatchObject({ count: plan.ok ? plan.value.blocks : 0 });
    expect(wood && amountWords({ ...wood, of: 'wood', alongMm: 24, acrossMm: 40, thickMm: 25, count: 2 }, (mm) => `${mm} mm`)).toBe('2 of 24 mm × 40 mm × 25 mm'); // prettier-ignore
    const part = linkFor('newPart', { figures: { 'part.copies': 3, 'part.spares': 1 } });
    expect(part?.amounts.find((a) => a.of === 'wood')).toMatchObject({ count: 4 });
  });
});

describe('the ways of holding where a flat press does not do', () => {
  const shop: Shop = { ...DEFAULT_SHOP, clamps: CLAMPS.map((c) => ({ id: c.id, count: 30 })) };
  const held = (by: HeldBy, figures: Damage['figures'] = {}, own = shop, glue: GlueChoice = {}) =>
    linkFor('floodAndPress', { kind: 'liftedEdge', glue: { ...glue, held: by }, figures }, own);

  test.each(Object.keys(HELD_BY) as HeldBy[])(
    '%s reaches the bench, the clock and the record alike',
    (by) => {
      const damage = damaged('floodAndPress', { kind: 'liftedEdge', glue: { held: by } });
      const link = held(by);
      expect(link?.held?.by).toBe(by);
      const plan = planOf({ piece, faces: [named('f', top)], damages: [damage], shop });
      const step = plan.tasks.find((t) => t.id === 'd/press');
      expect(step?.needs).toEqual(link?.clamps);
      expect(step?.detail).toContain(link?.heldWords);
      expect(plan.repairs[0]?.words).toContain(link?.heldWords);
      const clock = glueUpOf(repairFor(damage, shop), 'floodAndPress', shop);
      if (!clock.ok) throw new Error(clock.problem);
      const reach = withinReach(clock.value, (mm) => `${mm} mm`);
      for (const thing of link?.held?.also ?? []) expect(reach).toContain(thing);
    },
  );

  test('a hammer takes no clamps and works with hot hide glue, its hands counted', () => {
    const link = held('hammer');
    expect(link?.clamps).toEqual({});
    expect(link?.glue?.id).toBe('hotHide');
    expect(link?.held?.handMin).toBeGreaterThan(0);
    // The clock runs with the same glue, and no other is laid ready.
    const damage = damaged('floodAndPress', {
      kind: 'liftedEdge',
      glue: { adhesive: 'pva', held: 'hammer' },
    });
    const clock = glueUpOf(repairFor(damage, shop), 'floodAndPress', shop);
    if (!clock.ok) throw new Error(clock.problem);
    expect(clock.value.adhesive.id).toBe('hotHide');
    expect(clock.value.times.clampMin).toBe(link?.glue?.clampMin);
    expect(withinReach(clock.value, String).filter((t) => /glue|PVA/i.test(t))).toEqual([
      expect.stringMatching(/^Hot hide glue/),
    ]);
  });

  test('a band is taken where there is one and it pulls enough; else blocks in pairs', () => {
    expect(held('round', { 'round.radius': 60 }, shop, { targetKPa: 50 })?.clamps).toEqual({ band: 1 });
    const none: Shop = { ...shop, clamps: shop.clamps.filter((c) => c.id !== 'band') };
    expect(held('round', { 'round.pairs': 3 }, none)?.clamps).toEqual({ pipe: 3 });
  });

  test('no more clamps are asked of the bench than there are; its words say what it takes', () => {
    const few: Shop = { ...shop, clamps: [{ id: 'edge', count: 2 }, { id: 'fStyle', count: 4 }] }; // prettier-ignore
    const link = held('edge', {}, few);
    expect(link?.clamps).toEqual({ edge: 2 });
    expect(Number(/(\d+) × Edge clamp/.exec(link?.heldWords ?? '')?.[1])).toBeGreaterThan(2);
  });
});

describe('the glue-up clock', () => {
  test('runs for a clamped joint with its own glue and clamps, and logs its own step', () => {
    const damage = damaged('dutchman');
    const clock = glueUpOf(repairFor(damage), 'dutchman', DEFAULT_SHOP);
    if (!clock.ok) throw new Error(clock.problem);
    const link = linkFor('dutchman');
    expect(clock.value).toMatchObject({ adhesive: { id: link?.glue?.id }, key: 'glue' });
    expect(clock.value.clampWords).toBe(
      Object.entries(link?.clamps ?? {}).map(([kind, n]) => `${n} × ${CLAMPS.find((c) => c.id === kind)?.label}`).join(' and '),
    ); // prettier-ignore
  });

  test('in stages it says when the next clamps are free: at once where some are left, else when these come off', () => {
    const wide: Partial<Damage> = { kind: 'liftedEdge', outline: [[0.05, 1], [0.05, 0.6], [0.95, 0.6], [0.95, 1]] }; // prettier-ignore
    const withClamps = (count: number) => {
      const shop: Shop = { ...DEFAULT_SHOP, clamps: [{ id: 'deepC', count }], pace: { spreadMinPer100Cm2: 2, secondsPerClamp: 30 } }; // prettier-ignore
      const made = glueUpOf(repairFor(damaged('floodAndPress', wide), shop), 'floodAndPress', shop);
      if (!made.ok) throw new Error(made.problem);
      return { plan: made.value, next: nextClamps(made.value, 1000) };
    };
    const many = withClamps(60);
    // 540 × 160 mm at two minutes for 100 cm² is over the open time: stages, though clamps are plenty.
    expect(many.plan.stages?.limit).toBe('openTime');
    expect(many.next?.atMs).toBeUndefined();
    expect(many.next?.freeNow).toBeGreaterThanOrEqual(many.next?.needed ?? Infinity);
    const few = withClamps(3);
    expect(few.next).toMatchObject({ atMs: 1000, needed: few.plan.stages?.stages[0]?.clamps });
    expect(nextClamps({ ...few.plan, stages: { stages: [], limit: 'none' } }, 1000)).toBeUndefined();
  });

  test.each<[string, MethodId, Partial<Damage>, Partial<Shop>, string]>([
    ['nothing is glued', 'bareFiller', {}, {}, 'not glued'],
    ['no size', 'dutchman', { outline: [] }, {}, 'points'],
    ['too cold', 'dutchman', {}, { temperatureC: 0 }, 'does not set soundly'],
    ['no clamps', 'floodAndPress', { kind: 'liftedEdge' }, { clamps: [] }, 'nothing holds'],
  ])('%s: it says why it cannot begin', (_, method, more, own, words) => {
    const shop = { ...DEFAULT_SHOP, ...own };
    const clock = glueUpOf(repairFor(damaged(method, more), shop), method, shop);
    expect(clock.ok ? '' : clock.problem).toContain(words);
  });
});

describe('what is glued without a face has its amounts all the same', () => {
  const unfaced = (method: MethodId, figures: Damage['figures']) => {
    const [kind] = METHODS.find((m) => m.id === method)?.kinds ?? [];
    const damage = named<Damage>('d', { ...newDamage('p', undefined, 1, kind ?? 'rocks'), method, ...(figures ? { figures } : {}) }); // prettier-ignore
    const repair = repairOf(piece, [], [damage], damage, DEFAULT_SHOP);
    return linkPlansOf(repair, DEFAULT_SHOP)[0];
  };

  test('pieces under feet: as many as feet hang, as thick as the worst gap, glued over the foot', () => {
    const link = unfaced('shimFoot', { 'feet.frontleft': 4, 'feet.footwide': 50, 'feet.footdeep': 30 });
    expect(link?.amounts.find((a) => a.of === 'wood')).toMatchObject({ thickMm: 4, count: 1, alongMm: 56, acrossMm: 36 }); // prettier-ignore
    expect(link?.areaMm2).toBe(50 * 30);
    expect(link?.amounts.some((a) => a.of === 'weight' && a.grams > 0)).toBe(true);
    const level = unfaced('shimFoot', { 'feet.frontleft': 0 });
    expect(level?.amounts.map((a) => a.of)).toEqual(['tool', 'tool']);
  });

  test('a dowel is glued all round, a tenon on its two cheeks', () => {
    const dowels = unfaced('reglueJoint', { 'apart.wide': 8, 'apart.deep': 25, 'apart.count': 2 });
    expect(dowels?.areaMm2).toBeCloseTo(2 * Math.PI * 8 * 25, 6);
    const tenon = unfaced('reglueJoint', { 'apart.joint': 'mortise', 'apart.wide': 40, 'apart.deep': 30, 'apart.count': 1 }); // prettier-ignore
    expect(tenon?.areaMm2).toBe(2 * 40 * 30);
    const grams = (link: typeof tenon) => link?.amounts.flatMap((a) => (a.of === 'weight' ? [a.grams] : []))[0] ?? 0; // prettier-ignore
    expect(grams(dowels) / grams(tenon)).toBeCloseTo((2 * Math.PI * 8 * 25) / (2 * 40 * 30), 6);
  });
});
