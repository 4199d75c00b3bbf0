import fc from 'fast-check';
import { assemblyOrder, reachPlan, takeApart, type ReachInput } from '.';

const part = (id: string, after: string[] = []) => ({ id, label: id.toUpperCase(), after });

describe('the order in which parts go in', () => {
  test('by hand: a back that holds the shelf, a shelf that holds the drawer', () => {
    const found = assemblyOrder([part('drawer', ['shelf']), part('shelf', ['sides']), part('back', ['shelf']), part('sides')]); // prettier-ignore
    expect(found.ok && found.order.map((p) => p.id)).toEqual(['sides', 'shelf', 'drawer', 'back']);
  });

  test('a part that must be in before itself, and parts that wait for each other, are named', () => {
    expect(assemblyOrder([part('a', ['a'])])).toMatchObject({ ok: false, problem: '“A” cannot be in before itself. Take that line out.' }); // prettier-ignore
    const ring = assemblyOrder([part('a', ['c']), part('b', ['a']), part('c', ['b']), part('d', ['a'])]);
    expect(ring.ok).toBe(false);
    expect(!ring.ok && new Set(ring.parts.map((p) => p.id))).toEqual(new Set(['a', 'b', 'c']));
  });

  test('against every order tried out: one is found exactly where there is one', () => {
    const links = fc.array(fc.tuple(fc.nat(4), fc.nat(4)), { maxLength: 7 });
    const orders = (ids: number[]): number[][] =>
      ids.length === 0
        ? [[]]
        : ids.flatMap((i) => orders(ids.filter((o) => o !== i)).map((rest) => [i, ...rest]));
    const all = orders([0, 1, 2, 3, 4]);
    fc.assert(
      fc.property(links, (pairs) => {
        const parts = [0, 1, 2, 3, 4].map((n) => part(`p${n}`, pairs.filter(([a]) => a === n).map(([, b]) => `p${b}`))); // prettier-ignore
        const works = (order: number[]): boolean =>
          pairs.every(([a, b]) => order.indexOf(b) < order.indexOf(a));
        const found = assemblyOrder(parts);
        expect(found.ok).toBe(all.some(works));
        if (found.ok) expect(works(found.order.map((p) => Number(p.id.slice(1))))).toBe(true);
      }),
    );
  });
});

describe('taking apart', () => {
  test('what goes in last comes off first, and the minutes are those of the joints and their glue', () => {
    const found = takeApart([
      { ...part('top'), joint: 'screws' as const, count: 6 },
      { ...part('rail', []), joint: 'dowels' as const, oldGlue: 'hide' as const, count: 2 },
    ]);
    // By hand: two dowelled joints at 10 min and 15 min of warming; six screws at 4 min.
    expect(found.ok && found.steps.map((s) => [s.part.id, s.minutes, s.stop])).toEqual([
      ['rail', 35, false],
      ['top', 24, false],
    ]);
    expect(found.ok && found.minutes).toBe(59);
  });

  test('a joint that breaks before it opens is left, and so is what it holds in', () => {
    const found = takeApart([
      { ...part('panel'), joint: 'lies' as const },
      { ...part('frame', ['panel']), joint: 'mortise' as const, oldGlue: 'epoxy' as const },
    ]);
    expect(found.ok && found.steps.map((s) => [s.part.id, s.stop, s.minutes])).toEqual([
      ['frame', true, 0],
      ['panel', true, 0],
    ]);
    expect(found.ok && found.steps[1]?.why).toContain('“FRAME” stays');
  });
});

describe('what a clamp reaches', () => {
  const clamp = (id: string, reachMm: number, count = 2) => ({ id, label: id, acts: 'point', count, reachMm, openingMm: 150, forceN: 2000 }); // prettier-ignore
  const place: ReachInput = {
    toEdgesMm: [180, 420, 300, 300],
    back: 'open',
    stackMm: 90,
    areaMm2: 4000,
    targetKPa: 300,
    clamps: [clamp('fStyle', 100), clamp('deepC', 200)],
    costMin: { partOff: 20, apart: 90 },
    stops: false,
  };

  test('180 mm in is beyond a throat of 100 and within one of 200; nothing has to come off', () => {
    const { ways, best } = reachPlan(place);
    expect(best).toBe('assembled');
    expect(ways[0]).toMatchObject({ reaches: true, with: ['deepC'], minutes: 0 });
  });

  test('without a deep throat two clamps on a caul reach it; a single one does not', () => {
    expect(reachPlan({ ...place, clamps: [clamp('fStyle', 100)] }).ways[0]?.with[0]).toContain('caul from edge to edge'); // prettier-ignore
    expect(reachPlan({ ...place, clamps: [clamp('fStyle', 100, 1)] }).best).toBeUndefined();
  });

  test('behind a closed back only weight from above is left: 1200 N are needed, three of 98 N are not enough', () => {
    const weights = { ...clamp('weight', 5000, 3), forceN: 98 };
    const closed = reachPlan({ ...place, back: 'partOff', clamps: [...place.clamps, weights] });
    expect(closed.ways[0]).toMatchObject({
      reaches: false,
      why: expect.stringContaining('294 N of the 1200 N'),
    });
    expect(closed.best).toBe('partOff');
    expect(reachPlan({ ...place, back: 'partOff', areaMm2: 900, clamps: [weights] }).best).toBe('assembled');
  });

  test('a joint that is better not opened is not opened for a clamp', () => {
    expect(reachPlan({ ...place, back: 'apart', stops: true }).best).toBeUndefined();
  });

  test('a stack thicker than every opening is said', () => {
    expect(reachPlan({ ...place, stackMm: 200 }).ways[0]?.why).toBe('No clamp that is owned opens 200 mm.');
  });
});
