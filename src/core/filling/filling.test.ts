import fc from 'fast-check';
import {
  dentWays,
  depthFromShadowMm,
  fillPlan,
  hollowVolume,
  levelPlan,
  type Filler,
  type FillInput,
  type Hollow,
} from '.';

const FILLER: Filler = { shrinks: 0.1, mostLayerMm: 3, layerWaitMin: 120, densityGPerMl: 1.6, waste: 0.2 };
const HOLE: FillInput = {
  hollow: { shape: 'hole', diameterMm: 10, depthMm: 8 },
  filler: FILLER,
  boardMm: 18,
};

/** Volume by cutting into cubes of a tenth of a millimetre across: no formula. */
function counted(
  inside: (x: number, y: number, z: number) => boolean,
  size: [number, number, number],
): number {
  const n = 60;
  const [dx, dy, dz] = size.map((s) => s / n) as [number, number, number];
  let count = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++)
      for (let k = 0; k < n; k++) if (inside((i + 0.5) * dx, (j + 0.5) * dy, (k + 0.5) * dz)) count++;
  return count * dx * dy * dz;
}

test('volumes: closed forms against what is counted in small cubes', () => {
  const hole = hollowVolume({ shape: 'hole', diameterMm: 10, depthMm: 8 }).mm3;
  expect(hole / counted((x, y) => (x - 5) ** 2 + (y - 5) ** 2 <= 25, [10, 10, 8])).toBeCloseTo(1, 2);
  const wedge: Hollow = { shape: 'crack', lengthMm: 80, widthsMm: [4, 2], depthMm: 12, taper: 'wedge' };
  const wide = (x: number): number => 4 - (2 * x) / 80;
  const inWedge = counted((x, y, z) => Math.abs(y - 2) <= (wide(x) / 2) * (1 - z / 12), [80, 4, 12]);
  expect(hollowVolume(wedge).mm3 / inWedge).toBeCloseTo(1, 1);
  expect(hollowVolume({ shape: 'corner', sidesMm: [20, 15, 10], leftShare: 0.25 }).mm3).toBeCloseTo(2250);
  // A bowl, read on an even grid: the mean of its depths times its area.
  const bowl = (x: number, y: number): number =>
    Math.max(0, 3 * (1 - ((x - 10) / 10) ** 2) * (1 - ((y - 10) / 10) ** 2));
  const depths = Array.from({ length: 100 }, (_, i) => bowl((i % 10) * 2 + 1, Math.floor(i / 10) * 2 + 1));
  const inBowl = counted((x, y, z) => z <= bowl(x, y), [20, 20, 3]);
  // A round one of 20 mm read in its middle and halfway out, straight between.
  const cone = (r: number): number => (r < 0.5 ? 4 - 4 * r : 4 * (1 - r));
  const inCone = counted((x, y, z) => z <= cone(Math.min(1, Math.hypot(x - 10, y - 10) / 10)), [20, 20, 4]);
  expect(
    hollowVolume({ shape: 'bowl', areaMm2: 100 * Math.PI, middleMm: 4, halfwayMm: 2 }).mm3 / inCone,
  ).toBeCloseTo(1, 1.5);
  expect(hollowVolume({ shape: 'gouge', areaMm2: 400, depthsMm: depths }).mm3 / inBowl).toBeCloseTo(1, 1);
});

test('by hand: a hole of 10 mm, 8 mm deep, filler that shrinks by a tenth, at most 3 mm a pass', () => {
  const plan = fillPlan(HOLE);
  // 3 mm sink to 2.7, 5.4, 8.1; the last lifts 8.1 to 8.5: 0.4 / 0.9 mm.
  expect(plan.layers.map((l) => [l.fromMm, l.toMm, l.sinksToMm].map((v) => Number(v.toFixed(3))))).toEqual([
    [0, 3, 2.7],
    [2.7, 5.7, 5.4],
    [5.4, 8.4, 8.1],
    [8.1, 8.544, 8.5],
  ]);
  expect(plan.volumeMl).toBeCloseTo(0.6283, 4);
  // 9.444 mm of 0.0785 ml, and a fifth for the knife.
  expect(plan.madeUpMl).toBeCloseTo(9.4444 * 0.07854 * 1.2, 3);
  expect(plan.grams).toBeCloseTo(plan.madeUpMl * 1.6);
  expect(fillPlan({ ...HOLE, stickMm: 10 }).stickLengthMm).toBeCloseTo(9.4444 * 1.2, 2);
});

test('the lower a layer lies in a wedge or a bowl, the less it takes', () => {
  // A wedge of 100 × 4 mm, 6 mm deep: up to half its height a quarter of its 1200 mm³.
  const none = { ...FILLER, shrinks: 0, mostLayerMm: 3, waste: 0 };
  const wedge = { shape: 'crack', lengthMm: 100, widthsMm: [4, 4], depthMm: 6, taper: 'wedge' } as const;
  const inWedge = fillPlan({ ...HOLE, hollow: wedge, filler: none, proudMm: 0 }).layers;
  expect(inWedge.map((l) => l.ml)).toEqual([expect.closeTo(0.3, 3), expect.closeTo(0.9, 3)]);
  // A bowl of 20 mm: 4 mm in its middle, 1 mm halfway out: counted ring by ring.
  const bowl = { shape: 'bowl', areaMm2: 100 * Math.PI, middleMm: 4, halfwayMm: 1 } as const;
  const depthAt = (r: number): number => (r < 0.5 ? 4 - 6 * r : 2 * (1 - r));
  const inBowl = fillPlan({ ...HOLE, hollow: bowl, filler: none, proudMm: 0 }).layers;
  const counted = (from: number, to: number): number => {
    let ml = 0;
    for (let i = 0; i < 2000; i++) {
      const r = (i + 0.5) / 2000;
      const floor = 4 - depthAt(r);
      ml += (2 * Math.PI * r * 10 * Math.max(0, to - Math.max(from, floor))) / 200 / 1000;
    }
    return ml;
  };
  expect(inBowl.map((l) => l.ml)).toEqual([
    expect.closeTo(counted(0, 2), 2),
    expect.closeTo(counted(0, 4) - counted(0, 2), 2),
  ]);
});

test('the last pass ends proud, and no pass is thicker than the product bears', () => {
  const filler = fc.record({
    shrinks: fc.double({ min: 0, max: 0.5, noNaN: true }),
    mostLayerMm: fc.double({ min: 1, max: 20, noNaN: true }),
    layerWaitMin: fc.constant(60),
    densityGPerMl: fc.constant(1.5),
    waste: fc.constant(0.1),
  });
  fc.assert(
    fc.property(filler, fc.double({ min: 0.2, max: 18, noNaN: true }), (f, depthMm) => {
      const { layers, proudMm } = fillPlan({ ...HOLE, hollow: { shape: 'hole', diameterMm: 8, depthMm }, filler: f }); // prettier-ignore
      for (const l of layers) expect(l.toMm - l.fromMm).toBeLessThanOrEqual(f.mostLayerMm + 1e-9);
      expect(layers.at(-1)?.sinksToMm).toBeCloseTo(depthMm + proudMm, 9);
    }),
  );
});

test('two parts, by volume and by weight, make together what is needed', () => {
  const mix = { a: 2, b: 1, by: 'volume' as const, densityA: 1.1, densityB: 0.95, potMin: 30 };
  const byVolume = fillPlan({ ...HOLE, filler: { ...FILLER, mix } });
  expect((byVolume.parts?.a ?? 0) + (byVolume.parts?.b ?? 0)).toBeCloseTo(byVolume.madeUpMl, 9);
  const byWeight = fillPlan({ ...HOLE, filler: { ...FILLER, mix: { ...mix, by: 'weight' } } }).parts;
  expect((byWeight?.a ?? 0) / 1.1 + (byWeight?.b ?? 0) / 0.95).toBeCloseTo(byVolume.madeUpMl, 9);
  expect((byWeight?.a ?? 0) / (byWeight?.b ?? 1)).toBeCloseTo(2);
});

test('a hollow deeper than the board, and one that is none, are refused in words', () => {
  expect(() => fillPlan({ ...HOLE, boardMm: 6 })).toThrow('it goes right through');
  expect(() => fillPlan({ ...HOLE, hollow: { shape: 'gouge', areaMm2: 50, depthsMm: [0, 0] } })).toThrow('nothing to fill'); // prettier-ignore
});

// Common practice: crushed fibres are raised, cut ones filled, what is shallow sanded.
test.each([
  ['a dent in bare solid wood', { depthMm: 1.5, fibresCut: false, finishStays: false, veneerMm: 0 }, ['raise', 'fill', 'sand']],
  ['a shallow scratch that cut its fibres', { depthMm: 0.2, fibresCut: true, finishStays: false, veneerMm: 0 }, ['sand', 'fill', 'raise']],
  ['the same in 0.6 mm veneer', { depthMm: 0.2, fibresCut: true, finishStays: false, veneerMm: 0.6 }, ['fill', 'raise', 'sand']],
  ['a dent under a finish that stays', { depthMm: 1, fibresCut: false, finishStays: true, veneerMm: 0 }, ['fill', 'raise', 'sand']],
])('%s', (...[, given, order]: [string, Parameters<typeof dentWays>[0], string[]]) => {
  const ways = dentWays(given);
  expect(ways.map((w) => w.way)).toEqual(order);
  for (const w of ways) expect(w.why).toMatch(/\.$/);
}); // prettier-ignore

describe('levelling', () => {
  const STEP = { stepMm: 0.3, veneerMm: 0, roomMm: 200, sheen: 'satin' as const };

  test('by geometry: 0.3 mm at 1 in 150 is feathered over 45 mm, twice that under gloss', () => {
    expect(levelPlan(STEP)).toMatchObject({ tool: 'scraper', verdict: 'level', takenMm: 0.3 });
    expect(levelPlan(STEP).featherMm).toBeCloseTo(45);
    expect(levelPlan({ ...STEP, sheen: 'gloss' }).featherMm).toBeCloseTo(90);
  });

  test('a high step is planed, a hair is sanded', () => {
    expect([2, 0.8, 0.2, 0.05].map((stepMm) => levelPlan({ ...STEP, stepMm }).tool)).toEqual(['spokeshave', 'blockPlane', 'scraper', 'paper']); // prettier-ignore
  });

  test('thin veneer is not sanded through: the low side is filled', () => {
    const thin = levelPlan({ ...STEP, veneerMm: 0.5 });
    expect(thin).toMatchObject({ verdict: 'fill', why: expect.stringContaining('leaves 0.20 mm') });
    expect(thin.leftMm).toBeCloseTo(0.2);
  });

  test('near an edge it is done by hand', () => {
    expect(levelPlan({ ...STEP, roomMm: 20 }).verdict).toBe('byHandAtEdge');
  });

  test('depth from a shadow: a lamp at 10° and a shadow of 6 mm, against the drawn triangle', () => {
    // tan 10° = 0.17633 (any table).
    expect(depthFromShadowMm(6, 10)).toBeCloseTo(6 * 0.17633, 4);
    expect(() => depthFromShadowMm(6, 0)).toThrow(/lamp/);
  });
});

test('a hollow that is deeper halfway out than in its middle is counted as rings, layer by layer', () => {
  // A moat: 2 mm in its middle, 4 mm halfway out; two layers of at most 3 mm that do not shrink.
  const hollow: Hollow = { shape: 'bowl', areaMm2: 100 * Math.PI, middleMm: 2, halfwayMm: 4 };
  const filler: Filler = { shrinks: 0, mostLayerMm: 2, layerWaitMin: 1, densityGPerMl: 1, waste: 0 };
  const { layers } = fillPlan({ hollow, filler, boardMm: 18, proudMm: 0 });
  const depth = (r: number): number => (r < 0.5 ? 2 + 4 * r : 8 * (1 - r));
  const below = counted((x, y, z) => { const d = depth(Math.min(1, Math.hypot(x - 10, y - 10) / 10)); return z < 2 && d > 2 + z; }, [20, 20, 2]); // prettier-ignore
  expect((1000 * (layers[0]?.ml ?? 0)) / below).toBeGreaterThan(0.97);
  expect((1000 * (layers[0]?.ml ?? 0)) / below).toBeLessThan(1.03);
});

test('what does not sink is poured in even layers, none of them a skin: 20 mm and half a millimetre in two', () => {
  const resin: Filler = { shrinks: 0, mostLayerMm: 10, layerWaitMin: 240, densityGPerMl: 1.12, waste: 0.1 };
  const { layers } = fillPlan({ hollow: { shape: 'hole', diameterMm: 60, depthMm: 20 }, filler: resin, boardMm: 30 }); // prettier-ignore
  expect(layers.map((l) => l.toMm - l.fromMm)).toEqual([expect.closeTo(10.25, 9), expect.closeTo(10.25, 9)]);
});
