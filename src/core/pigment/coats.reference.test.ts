import fc from 'fast-check';
import { deltaE00, labFromRgb, type Lab } from '../colour';
import { coatedOnce, layColour, readyCoat, seenOf, WORTH_A_COAT, type Coat, type CoatsInput } from './coats';
import { absorptionOf } from './kubelkaMunk';
import { labOf, spectrumOf } from './spectrum';

const MAPLE: Lab = [78, 6, 22];
const WALNUT: Lab = [44, 11, 21];
const DYE: Coat = { id: 'brown dye', kind: 'dye', lab: labFromRgb(178, 128, 84), strength: 0.4 };
const GLAZE: Coat = { id: 'umber glaze', kind: 'glaze', lab: labFromRgb(84, 60, 40), strength: 0.1 };
const TONER: Coat = { id: 'red toner', kind: 'toner', lab: labFromRgb(214, 150, 120), strength: 0.3 };
const CLEAR: Coat = { id: 'shellac', kind: 'clear', lab: labFromRgb(252, 246, 232), strength: 0.6 };
const ALL = [DYE, GLAZE, TONER, CLEAR];

/** Two fluxes through a film, down and up, followed in thin slices: written apart from the formulas, for one band. */
function slices(ground: number, absorbing: number, scattering: number, count = 20_000): number {
  // A slice lets through 1 − a − s, throws back s; slices are laid on one another from the ground up.
  const a = absorbing / count;
  const s = scattering / count;
  let below = ground;
  for (let i = 0; i < count; i++) below = s + ((1 - a - s) * (1 - a - s) * below) / (1 - s * below);
  return below;
}

test('a glaze and a dye are what laying thin slices of them on the ground gives', () => {
  const bare = spectrumOf(MAPLE);
  const glazed = seenOf(coatedOnce({ spectrum: bare, wetting: 0 }, readyCoat(GLAZE)));
  const own = spectrumOf(GLAZE.lab);
  const film = bare.map((r, i) => slices(r, GLAZE.strength * absorptionOf(own[i] ?? 1), GLAZE.strength));
  expect(deltaE00(glazed, labOf(film))).toBeLessThan(0.02);
  // Light crosses a dye twice: over white a coat gives back its own colour, so once through it swallows half the logarithm of that.
  const dyed = seenOf(coatedOnce({ spectrum: bare, wetting: 0 }, readyCoat(DYE)));
  const tint = spectrumOf(DYE.lab);
  const filter = bare.map((r, i) => slices(r, (-Math.log(tint[i] ?? 1) / 2) * DYE.strength, 0));
  expect(deltaE00(dyed, labOf(filter))).toBeLessThan(0.02);
});

test('a clear darkens pale wood by about what varnish does, once', () => {
  const ground = { spectrum: spectrumOf(MAPLE), wetting: 0 };
  const one = coatedOnce(ground, readyCoat({ ...CLEAR, lab: [100, 0, 0] }));
  const two = coatedOnce(one, readyCoat({ ...CLEAR, lab: [100, 0, 0] }));
  expect(MAPLE[0] - seenOf(one)[0]).toBeGreaterThan(5);
  expect(MAPLE[0] - seenOf(one)[0]).toBeLessThan(14);
  expect(deltaE00(seenOf(one), seenOf(two))).toBeLessThan(1e-3);
});

/** Every number of coats of every layer, each from the bare wood anew. */
function bruteForce({ start, goal, layers, mostCoats }: CoatsInput): number {
  let best = Infinity;
  const order = ['dye', 'glaze', 'toner', 'clear'];
  const sorted = [...layers].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
  const each = (k: number, chosen: number[]): void => {
    const used = chosen.reduce((a, b) => a + b, 0);
    if (k === sorted.length) {
      let now = { spectrum: spectrumOf(start), wetting: 0 };
      for (const [i, coat] of sorted.entries())
        for (let n = 0; n < (chosen[i] ?? 0); n++) {
          now = coatedOnce(now, readyCoat(coat));
          const [l, a] = seenOf(now);
          if (l < Math.min(start[0], goal[0]) - 0.3 || a > Math.max(start[1], goal[1]) + 0.3) return;
        }
      best = Math.min(best, deltaE00(seenOf(now), goal));
      return;
    }
    for (let n = 0; n + used <= mostCoats; n++) each(k + 1, [...chosen, n]);
  };
  each(0, []);
  return best;
}

test('the coats that come nearest are found, as trying every number of them does', async () => {
  for (const goal of [WALNUT, [60, 14, 30], [70, 9, 26], [52, 20, 26]] as const) {
    const input = { start: MAPLE, goal, layers: ALL, mostCoats: 5 };
    const found = await layColour(input);
    const best = bruteForce(input);
    expect(found.deltaE00).toBeLessThanOrEqual(best + WORTH_A_COAT.value + 1e-9);
    expect(found.deltaE00).toBeGreaterThanOrEqual(best - 1e-9);
  }
});

test('coats go on in the order of the hand, and the last step is the final colour', async () => {
  const goal: Lab = [46, 18, 28];
  const {
    steps,
    final,
    deltaE00: left,
  } = await layColour({
    start: MAPLE,
    goal,
    layers: [...ALL]
      .reverse()
      .map((c) => ({ ...c, strength: c.strength / 2, leastCoats: c === TONER ? 1 : 0 })),
    mostCoats: 10,
  });
  const order = steps.map((s) => ALL.findIndex((c) => c.id === s.id));
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(steps.length).toBeGreaterThan(1);
  const last = steps[steps.length - 1];
  expect(last?.lab).toEqual(final);
  expect(left).toBeCloseTo(deltaE00(final, goal), 12);
  for (const s of steps) {
    expect(s.each).toHaveLength(s.coats);
    expect(s.each[s.coats - 1]?.lab).toEqual(s.lab);
  }
});

const wood = fc.tuple(
  fc.double({ min: 30, max: 88, noNaN: true }),
  fc.double({ min: 0, max: 20, noNaN: true }),
  fc.double({ min: 8, max: 34, noNaN: true }),
);

test('no coat makes it darker or redder than the goal, or takes it further off than leaving it', async () => {
  await fc.assert(
    fc.asyncProperty(wood, wood, fc.integer({ min: 0, max: 6 }), async (start, goal, mostCoats) => {
      const found = await layColour({ start, goal, layers: ALL, mostCoats });
      expect(found.steps.reduce((n, s) => n + s.coats, 0)).toBeLessThanOrEqual(mostCoats);
      expect(found.deltaE00).toBeLessThanOrEqual(deltaE00(start, goal) + WORTH_A_COAT.value + 0.05);
      for (const { lab } of found.steps.flatMap((s) => s.each)) {
        expect(lab[0]).toBeGreaterThan(Math.min(start[0], goal[0]) - 0.31);
        expect(lab[1]).toBeLessThan(Math.max(start[1], goal[1]) + 0.31);
      }
    }),
    { numRuns: 40 },
  );
});

test('darker and redder are only taken when they are allowed', async () => {
  // A goal no redder than the start: the dye would reach its lightness, but not without red.
  const input: CoatsInput = { start: MAPLE, goal: [52, 6, 24], layers: [DYE, TONER], mostCoats: 6 };
  const kept = await layColour(input);
  const free = await layColour({ ...input, allow: { redder: true } });
  expect(kept.final[1]).toBeLessThanOrEqual(MAPLE[1] + 0.31);
  expect(free.final[1]).toBeGreaterThan(MAPLE[1] + 1);
  expect(free.deltaE00).toBeLessThan(kept.deltaE00 - 2);
});

test('the goal itself needs no coat; no coats allowed are none', async () => {
  expect((await layColour({ start: WALNUT, goal: WALNUT, layers: ALL, mostCoats: 6 })).steps).toEqual([]);
  const none = await layColour({ start: MAPLE, goal: WALNUT, layers: ALL, mostCoats: 0 });
  expect(none.steps).toEqual([]);
  expect(none.deltaE00).toBeCloseTo(deltaE00(MAPLE, WALNUT), 2);
});

test('a coat that must go on goes on, and says so when it goes past the goal', async () => {
  const within = await layColour({
    start: MAPLE,
    goal: WALNUT,
    layers: [{ ...CLEAR, leastCoats: 2 }, DYE],
    mostCoats: 6,
  });
  expect(within.steps.find((s) => s.id === 'shellac')?.coats).toBeGreaterThanOrEqual(2);
  const past = await layColour({
    start: MAPLE,
    goal: MAPLE,
    layers: [{ ...CLEAR, leastCoats: 1 }],
    mostCoats: 3,
  });
  expect(past.steps).toHaveLength(1);
  expect(past.notes.join(' ')).toContain('alone takes it past the goal');
  await expect(
    layColour({ start: MAPLE, goal: WALNUT, layers: [{ ...CLEAR, leastCoats: 3 }], mostCoats: 2 }),
  ).rejects.toThrow('3 coats are asked for at least and 2 allowed');
});

test('what colour cannot do is told, and by how much', async () => {
  const { notes } = await layColour({ start: WALNUT, goal: MAPLE, layers: [DYE, TONER], mostCoats: 4 });
  expect(notes.join(' ')).toMatch(/34\.0 L\* darker than the goal\. No coat takes that away: bleach/);
});
