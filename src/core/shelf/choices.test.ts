import { seededRandom } from '../check';
import { deltaE00, type Lab } from '../colour';
import { laidByHand, type Coat, type Colourant } from '../pigment';
import {
  batchOf,
  batchWords,
  besideWords,
  bleachNeeded,
  colourAfterFirst,
  colouringLines,
  evenTones,
  firstOf,
  mixedByHand,
  moreSpread,
  outlookBefore,
  recipeOutlook,
  pickedLabel,
  placeAfterBleach,
  recipeLine,
  saidColour,
  spreadOfFirst,
  standingOf,
  steeredGoal,
  swatchDoubt,
  thinnedNearer,
  thinnedTo,
  triedWords,
  wantedCoats,
  withParts,
  type CoatsOf,
  type Tried,
} from '.';

const DYE = { id: 'dye', kind: 'dye', lab: [60, 18, 34], strength: 1 } as const;
const tried = (over: Partial<Tried>): Tried => ({ at: '2026-03-02T10:00:00', what: 'coat', outcome: 'green', note: '', ...over }); // prettier-ignore

test('two coats thinned one to one are one coat as it comes: half of the colour is in each (Beer–Lambert)', () => {
  const start: Lab = [75, 8, 22];
  const whole = laidByHand(start, start, wantedCoats([{ colourId: 'dye', coats: 1 }], [DYE])).final;
  const halves = laidByHand(start, start, wantedCoats([{ colourId: 'dye', coats: 2, carrierParts: 1 }], [DYE])).final; // prettier-ignore
  const quarters = laidByHand(start, start, wantedCoats([{ colourId: 'dye', coats: 4, carrierParts: 3 }], [DYE])).final; // prettier-ignore
  expect(deltaE00(whole, halves)).toBeLessThan(1e-6);
  expect(deltaE00(whole, quarters)).toBeLessThan(1e-6);
  const one = laidByHand(start, start, wantedCoats([{ colourId: 'dye', coats: 1, carrierParts: 1 }], [DYE])).final; // prettier-ignore
  expect(one[0]).toBeGreaterThan(whole[0]);
});

test('a batch by hand: 200 cm², three coats, one to three', () => {
  // 0.8 ml for 100 cm² and coat: 2 × 0.8 × 3 = 4.8 ml, a quarter of it product.
  const coats: CoatsOf = { colourId: 'dye', coats: 3, carrierParts: 3 };
  expect(batchOf(coats, 20_000)).toEqual({
    productMl: expect.closeTo(1.2, 9),
    carrierMl: expect.closeTo(3.6, 9),
  });
  expect(batchWords(coats, 20_000, 'water')).toBe('1 part with 3 parts of water: 1.2 ml with 3.6 ml.');
  // A small place: a millilitre at the least, in drops of a twentieth, the parts whole.
  expect(batchWords({ ...coats, coats: 1 }, 500, 'spirit')).toBe('1 part with 3 parts of spirit: 5 drops with 15 drops.'); // prettier-ignore
  expect(batchWords({ colourId: 'dye', coats: 1 }, 500, 'spirit')).toBe('As it comes, 20 drops.');
  expect(recipeLine([coats], () => 'brown dye')).toBe('3 thin coats of brown dye, thinned 1 to 3');
});

test('thinning one product leaves the others as they are, and can be taken back', () => {
  const recipe: CoatsOf[] = [
    { colourId: 'a', coats: 1 },
    { colourId: 'b', coats: 2, carrierParts: 1 },
  ];
  expect(thinnedTo(recipe, 'a', 3)).toEqual([{ colourId: 'a', coats: 1, carrierParts: 3 }, recipe[1]]);
  expect(thinnedTo(recipe, 'b', 0)).toEqual([recipe[0], { colourId: 'b', coats: 2 }]);
});

test('bleach makes nothing darker, redder or yellower, each treatment less than the one before; it is never sure', () => {
  const walnut: Lab = [42, 10, 20];
  const [once, twice, thrice] = (['bleachOnce', 'bleachTwice', 'bleachThrice'] as const).map((f) => colourAfterFirst(walnut, f)); // prettier-ignore
  if (!once || !twice || !thrice) throw new Error('three were asked for');
  expect(once[0]).toBeGreaterThan(walnut[0]);
  expect(twice[0] - once[0]).toBeLessThan(once[0] - walnut[0]);
  expect(thrice[0] - twice[0]).toBeLessThan(twice[0] - once[0]);
  const pale: Lab = [92, 0, 10];
  expect(colourAfterFirst(pale, 'bleachThrice')).toEqual(pale);
  expect(colourAfterFirst(walnut, 'none')).toEqual(walnut);
  // Light darkens cherry and makes walnut paler (common practice); white stays in range.
  expect(colourAfterFirst([62, 14, 26], 'light', 'cherry')[0]).toBeLessThan(62);
  expect(colourAfterFirst(walnut, 'light', 'walnut')[0]).toBeGreaterThan(42);
  expect(colourAfterFirst([98, 0, 8], 'light', 'europeanWalnut')[0]).toBeLessThanOrEqual(100);
  expect(bleachNeeded(walnut, [30, 8, 15])).toBeUndefined();
  expect(bleachNeeded(walnut, [once[0] - 0.1, 8, 15])).toBe('bleachOnce');
  expect(bleachNeeded(walnut, [once[0] + 0.1, 8, 15])).toBe('bleachTwice');
  expect(bleachNeeded(walnut, [99, 0, 0])).toBeUndefined();
  expect(spreadOfFirst('none')).toBe(0);
  expect(spreadOfFirst('bleachTwice')).toBeGreaterThan(spreadOfFirst('bleachOnce'));
  expect(firstOf(undefined, ['woodBleach'])).toBe('bleachTwice');
  expect(firstOf('none', ['woodBleach'])).toBe('none');
  const sure = outlookBefore(1, 2);
  expect(besideWords({ ...sure, difference: 3 }, sure)).toMatch(/better bet/);
  expect(besideWords(sure, { ...sure, difference: 0.8, spread: sure.spread + 1 })).toMatch(/less sure/);
  expect(moreSpread(sure, 5)?.spread).toBeCloseTo(Math.hypot(sure.spread, 5), 9);
  expect(moreSpread(undefined, 5)).toBeUndefined();
});

test('the last word counts; a board is not the place itself', () => {
  const goal: Lab = [45, 13, 28];
  const lab = saidColour(goal, 'coat', 'green');
  expect(lab?.[1]).toBeLessThan(goal[1]);
  expect(saidColour([99, 0, 0], 'coat', 'light')?.[0]).toBe(100);
  expect(saidColour(goal, 'coat', 'measured')).toBeUndefined();
  // Bare wood that is wiped may be far off: its photo knows better than a word.
  expect(saidColour(goal, 'wipe', 'light')).toBeUndefined();
  expect(standingOf([])).toEqual({ at: 'bare' });
  const green = tried({ ...(lab ? { lab } : {}) });
  expect(standingOf([green])).toEqual({ at: 'colour', lab, finished: false });
  expect(standingOf([green, tried({ what: 'board', outcome: 'right' })])).toMatchObject({ at: 'colour' });
  expect(standingOf([green, tried({ outcome: 'right' })])).toMatchObject({ at: 'done' });
  expect(standingOf([tried({ what: 'wipe', outcome: 'vanished' }), green])).toMatchObject({ at: 'colour' });
  // A wipe that says nothing of a colour leaves what was known before.
  expect(standingOf([green, tried({ what: 'wipe', outcome: 'light' })])).toMatchObject({ at: 'colour' });
  // A board that came out too green: the coats aim as much to the red side; one that is right puts it back.
  const board = tried({ what: 'board', outcome: 'green' });
  expect(steeredGoal(goal, [green])).toBe(goal);
  expect(steeredGoal(goal, [board])[1]).toBeCloseTo(goal[1] + (goal[1] - (lab?.[1] ?? 0)), 9);
  expect(steeredGoal(goal, [board, tried({ what: 'board', outcome: 'right' })])).toBe(goal);
  expect(triedWords(tried({ note: 'Under the lamp.' }))).toBe('A coat is on: too green. Under the lamp.');
});

test('a mixture by hand: one colour is itself, common factors change nothing, what is gone falls out', () => {
  const sticks: Colourant[] = [
    { id: 'a', lab: [70, 10, 40] },
    { id: 'b', lab: [30, 12, 16] },
  ];
  expect(mixedByHand([], [50, 10, 20], sticks)).toBeUndefined();
  expect(mixedByHand([{ colourId: 'gone', parts: 2 }], [50, 10, 20], sticks)).toBeUndefined();
  const alone = mixedByHand([{ colourId: 'a', parts: 3 }], [70, 10, 40], sticks);
  expect(alone?.deltaE00).toBeLessThan(0.5);
  const [once, twice] = [1, 2].map((k) => mixedByHand([{ colourId: 'a', parts: 2 * k }, { colourId: 'b', parts: k }], [50, 10, 20], sticks)); // prettier-ignore
  expect(deltaE00(once?.lab ?? [0, 0, 0], twice?.lab ?? [100, 0, 0])).toBeLessThan(1e-9);
  const mix = withParts([{ colourId: 'a', parts: 2 }], 'b', 1);
  expect(mix).toEqual([{ colourId: 'a', parts: 2 }, { colourId: 'b', parts: 1 }]); // prettier-ignore
  expect(withParts(mix, 'a', 0)).toEqual([{ colourId: 'b', parts: 1 }]);
  expect(withParts(mix, 'a', 5)[0]).toEqual({ colourId: 'a', parts: 5 });
});

test('places and one colour in words and tones', () => {
  expect(pickedLabel(1, 'Top')).toBe('One place on Top');
  expect(pickedLabel(3, 'Top')).toBe('3 places on Top');
  expect(evenTones([50, 10, 20])).toMatchObject({ ground: [50, 10, 20], line: [50, 10, 20] });
});

test('the record says where the colour came from, what was done first, and what was tried', () => {
  expect(colouringLines({})).toEqual([]);
  expect(
    colouringLines({
      aim: { from: 'reader', label: 'the colour reader', tones: evenTones([50, 10, 20]) },
      first: 'bleachOnce',
      tried: [tried({})],
    }),
  ).toEqual([
    ['Colour taken from', 'the colour reader'],
    ['Before any colour', 'Bleach it once'],
    ['2026-03-02', 'A coat is on: too green.'],
  ]);
  expect(colouringLines({ first: 'none' })).toEqual([]);
});

test('oxalic acid brings a black mark to the wood round it and leaves what is not black; two-part bleach goes further', () => {
  const [mark, around]: [Lab, Lab] = [
    [24, 3, 4],
    [45, 13, 28],
  ];
  expect(placeAfterBleach(['oxalicAcid'], mark, around)?.lab).toEqual(around);
  expect(placeAfterBleach(['oxalicAcid'], [50, 12, 27], around)?.lab).toEqual([50, 12, 27]);
  expect(placeAfterBleach(['woodBleach'], mark, around)?.lab[0]).toBeGreaterThan(around[0]);
  expect(placeAfterBleach(['burnIn'], mark, around)).toBeUndefined();
});

test('a swatch of something else is doubted: more for a product than for wood', () => {
  const burr = { ...evenTones([45, 13, 28]), ground: [54, 14, 33] as Lab, line: [32, 11, 20] as Lab };
  const floor = { ...evenTones([50, 5, 10]), ground: [85, 2, 8] as Lab, line: [20, 3, 4] as Lab };
  expect(swatchDoubt(evenTones([45, 13, 28]), 'product')).toBeUndefined();
  expect(swatchDoubt(burr, 'product')).toMatch(/more than one product has/);
  expect(swatchDoubt(burr, 'wood')).toBeUndefined();
  expect(swatchDoubt(floor, 'wood')).toMatch(/more than one wood has/);
});

test('thinning comes nearer where whole coats miss; never darker than allowed', async () => {
  const start: Lab = [75, 8, 22];
  const lay = (coats: CoatsOf[], goal: Lab) => laidByHand(start, goal, wantedCoats(coats, [DYE]));
  // A goal between one coat and two: a coat and a quarter.
  const goal = lay([{ colourId: 'dye', coats: 5, carrierParts: 3 }], start).final;
  const recipe: CoatsOf[] = [{ colourId: 'dye', coats: 1 }];
  const ask = { start, recipe, products: [DYE] };
  const { nearer: found } = await thinnedNearer({ ...ask, goal, allow: { darker: false, redder: true } });
  expect(found?.coats).toEqual([{ colourId: 'dye', coats: 5, carrierParts: 3 }]);
  expect(found?.deltaE00).toBeLessThan(0.01);
  expect(found?.lab[0]).toBeGreaterThanOrEqual(goal[0] - 0.3);
  // Where a whole coat is right, nothing is gained.
  expect(await thinnedNearer({ ...ask, goal: lay(recipe, start).final, allow: { darker: true, redder: true } })).toEqual({}); // prettier-ignore
});

test('a product that the recipe holds is looked at first, however many others stand before it on the shelf', async () => {
  const start: Lab = [78, 8, 22];
  const [own, ...others] = Array.from({ length: 9 }, (_, k): Coat => ({ id: `dye${k}`, kind: 'dye', lab: k === 0 ? [60, 18, 34] : [30 + k, -20 + k, -10], strength: 1 })); // prettier-ignore
  if (!own) throw new Error('There is no dye.');
  const goal = laidByHand(start, start, wantedCoats([{ colourId: 'dye0', coats: 5, carrierParts: 3 }], [own])).final; // prettier-ignore
  const ask = {
    start,
    goal,
    recipe: [{ colourId: 'dye0', coats: 1 }],
    allow: { darker: false, redder: true },
  };
  for (const products of [[...others, own], [own, ...others]])
    expect((await thinnedNearer({ ...ask, products })).nearer?.coats).toEqual([{ colourId: 'dye0', coats: 5, carrierParts: 3 }]); // prettier-ignore
});

/** Every row of a dye, a toner and a clear, coat by coat, with every way of thinning and up to eight coats of colour. */
function everyThinning(
  start: Lab,
  goal: Lab,
  products: Coat[],
  rule: boolean,
): { price: number; off: number } {
  const doses = (id: string): CoatsOf[] =>
    [0, 1, 3].flatMap(
      (carrierParts) =>
      Array.from({ length: 8 }, (_, n): CoatsOf => ({ colourId: id, coats: n + 1, ...(carrierParts > 0 ? { carrierParts } : {}) })), // prettier-ignore
    );
  const none: CoatsOf[] = [];
  let best = { price: Infinity, off: Infinity };
  for (const dye of [none, ...doses('dye').map((d) => [d])])
    for (const toner of [none, ...doses('toner').map((d) => [d])]) {
      const coats = [...dye, ...toner];
      const used = coats.reduce((n, c) => n + c.coats, 0);
      if (used > 8 || !coats.some((c) => c.carrierParts)) continue;
      const laid = laidByHand(
        start,
        goal,
        wantedCoats([...coats, { colourId: 'clear', coats: 1 }], products),
      );
      const far = laid.steps.some((s) => s.each.some(({ lab }) => lab[0] < Math.min(goal[0], start[0]) - 0.3 || lab[1] > Math.max(goal[1], start[1]) + 0.3)); // prettier-ignore
      const price = laid.deltaE00 + 0.1 * used;
      if (!(rule && far) && price < best.price) best = { price, off: laid.deltaE00 };
    }
  return best;
}

test('thinned coats of two products under a clear are as near as every row of them tried', async () => {
  const toner: Coat = { id: 'toner', kind: 'toner', lab: [69.5, 22.2, 20.4], strength: 0.3 };
  const clear: Coat = { id: 'clear', kind: 'clear', lab: [96, -0.5, 9], strength: 0.6 };
  const products = [DYE, toner, clear];
  const random = seededRandom(5);
  const goals = Array.from({ length: 16 }, (): Lab => [
    44 + 24 * random(),
    8 + 12 * random(),
    18 + 18 * random(),
  ]);
  let nearer = 0;
  for (const darker of [false, true])
    for (const goal of goals) {
      const start: Lab = [72, 7, 23];
      const recipe: CoatsOf[] = [{ colourId: 'dye', coats: 1 }, { colourId: 'clear', coats: 1 }]; // prettier-ignore
      const before = laidByHand(start, goal, wantedCoats(recipe, products));
      const kept = before.steps.every((s) => s.each.every(({ lab }) => lab[0] >= goal[0] - 0.3 && lab[1] <= goal[1] + 0.3)); // prettier-ignore
      const found = (await thinnedNearer({ start, goal, recipe, products, allow: { darker, redder: darker } })).nearer; // prettier-ignore
      const best = everyThinning(start, goal, products, kept && !darker);
      if (best.price >= before.deltaE00 + 0.1) expect(found).toBeUndefined();
      else {
        nearer++;
        expect(found?.deltaE00).toBeCloseTo(best.off, 6);
      }
    }
  expect(nearer).toBeGreaterThan(12);
});

test('a mixture is as sure as it is near its largest part, in whatever order its parts stand', () => {
  const colourants: Colourant[] = [{ id: 'near', lab: [50, 10, 20], strength: 1 }, { id: 'far', lab: [20, 0, 0], strength: 1 }]; // prettier-ignore
  const of = (near: number, far: number) =>
    recipeOutlook({ parts: [{ id: 'far', parts: far }, { id: 'near', parts: near }], lab: [48, 10, 19], deltaE00: 1 }, colourants); // prettier-ignore
  expect(of(5, 1).spread).toBeLessThan(of(1, 5).spread);
});
