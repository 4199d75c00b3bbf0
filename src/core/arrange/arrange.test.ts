import fc from 'fast-check';
import { pressField, type FieldInput } from '../field';
import type { Polygon } from '../geometry';
import { assignClamps, candidatesFor, UNIT_FORCE_N } from './candidates';
import { arrange, type ArrangeInput, type Arrangement } from '.';

const box = (x: number, y: number, w: number, h: number): Polygon => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]]; // prettier-ignore

/** A loose strip of 240 × 60 mm along an edge under a platen that reaches 15 mm beyond it. */
const job = (over: Partial<ArrangeInput> = {}): ArrangeInput => ({
  panel: { widthMm: 270, heightMm: 75 },
  region: box(15, 0, 240, 60),
  face: box(-100, 0, 600, 450),
  platens: [{ thicknessMm: 18, modulusMPa: 3000, poisson: 0.25 }],
  cauls: [{ widthMm: 60, heightMm: 38, modulusMPa: 11_000 }],
  clamps: [{ id: 'f', count: 6, forceN: 2000, reachMm: 100 }],
  foundation: { stiffnessMPaPerMm: 30 },
  target: { leastKPa: 150, mostKPa: 5000 },
  gridMm: 6,
  ...over,
});

const fieldInput = (input: ArrangeInput, a: Arrangement): FieldInput => ({
  panel: input.panel,
  platen: { thicknessMm: a.platenMm, modulusMPa: 3000, poisson: 0.25 },
  foundation: input.foundation,
  target: input.target,
  region: input.region,
  gridMm: input.gridMm,
  cauls: a.cauls,
  clamps: a.clamps.map(({ at, forceN, caul }) => ({ at, forceN, ...(caul === undefined ? {} : { caul }) })),
});

/** The figures of an arrangement, worked out without it. */
const fieldOf = (input: ArrangeInput, a: Arrangement) => pressField(fieldInput(input, a));

test('reaches the target within what the clamps give, and its figures are those of press.field', async () => {
  const input = job();
  const made = await arrange(input);
  expect(made).toMatchObject({ reached: true, coverage: 1, missing: [], kept: false });
  const field = await fieldOf(input, made);
  expect(field.leastKPa).toBeCloseTo(made.leastKPa, 6);
  expect(field.leastKPa).toBeGreaterThanOrEqual(150);
  for (const c of made.clamps) expect(c.forceN).toBeLessThanOrEqual(2000 + 1e-9);
  // 240 × 60 mm at 150 kPa take 2.16 kN, which two clamps of 2 kN could give and one cannot.
  expect(made.clamps.length).toBeGreaterThanOrEqual(2);
  expect(made.clamps.length).toBeLessThanOrEqual(4);
});

test('thicker boards need no more clamps; of those that do, the lightest is taken', async () => {
  const thin = await arrange(job({ platens: [{ thicknessMm: 6, modulusMPa: 3000, poisson: 0.25 }] }));
  const both = await arrange(job({ platens: [6, 36].map((thicknessMm) => ({ thicknessMm, modulusMPa: 3000, poisson: 0.25 })) })); // prettier-ignore
  expect([both.reached, thin.reached]).toEqual([true, true]);
  expect(both.clamps.length).toBeLessThanOrEqual(thin.clamps.length);
  expect(both.platenMm).toBe(thin.clamps.length === both.clamps.length ? 6 : 36);
});

test('keeps the user’s own layout when it is not beaten', async () => {
  const first = await arrange(job());
  const again = await arrange(
    job({ own: { platenMm: first.platenMm, cauls: first.cauls, clamps: first.clamps } }),
  );
  expect(again.clamps.length).toBeLessThanOrEqual(first.clamps.length);
  expect(again).toMatchObject({ reached: true, kept: true });
});

test('a layout that takes more clamps than are owned is not kept, however well it would press', async () => {
  const first = await arrange(job({ clamps: [{ id: 'f', count: 6, forceN: 2000, reachMm: 100 }] }));
  const own = { platenMm: first.platenMm, cauls: first.cauls, clamps: first.clamps };
  const few = [{ id: 'f', count: first.clamps.length - 1, forceN: 2000, reachMm: 100 }];
  expect((await arrange(job({ own, clamps: few }))).kept).toBe(false);
  const shallow = [{ id: 'f', count: 6, forceN: 2000, reachMm: 25 }];
  expect((await arrange(job({ own, clamps: shallow }))).kept).toBe(false);
});

test('a layout of one’s own that tips is no reason to stop', async () => {
  const own: Arrangement = {
    platenMm: 18,
    cauls: [{ from: [-80, 30], to: [100, 30], widthMm: 60, heightMm: 38, modulusMPa: 11_000, camberMm: 0 }],
    clamps: [{ at: [-80, 30], forceN: 1500, kind: 'f', caul: 0 }],
  };
  expect(await arrange(job({ own }))).toMatchObject({ reached: true, kept: false });
});

test('never worse than the layout it is given', async () => {
  const seen = { reach: 0, fall: 0 };
  await fc.assert(
    fc.asyncProperty(
      // Anywhere, or in a row that presses well.
      fc.oneof(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 270 }), fc.integer({ min: 0, max: 75 })), {
          minLength: 1,
          maxLength: 4,
        }),
        fc
          .integer({ min: -10, max: 10 })
          .map((dx) => [30, 90, 150, 210].map((x): [number, number] => [x + dx, 30])),
      ),
      fc.integer({ min: 200, max: 2000 }),
      fc.constantFrom(2, 10, 60, 300),
      async (places, forceN, leastKPa) => {
        const own: Arrangement = {
          platenMm: 18,
          cauls: [],
          clamps: places.map((at) => ({ at, forceN, kind: 'f' })),
        };
        const input = job({ own, gridMm: 12, target: { leastKPa, mostKPa: 5000 }, clamps: [{ id: 'f', count: 4, forceN: 2000, reachMm: 100 }] }); // prettier-ignore
        const [made, mine] = [await arrange(input), await fieldOf(input, own)];
        const mineReaches = mine.leastKPa >= leastKPa && mine.greatestKPa <= 5000;
        seen[mineReaches ? 'reach' : 'fall']++;
        if (mineReaches) {
          expect(made.reached).toBe(true);
          expect(made.clamps.length).toBeLessThanOrEqual(places.length);
        } else if (!made.reached) expect(made.coverage).toBeGreaterThanOrEqual(mine.coverage - 0.005);
      },
    ),
    { numRuns: 16, seed: 5 },
  );
  expect(Math.min(seen.reach, seen.fall)).toBeGreaterThan(0);
});

test('says what is missing: reach, force, clamps', async () => {
  const short = [{ id: 'f', count: 6, forceN: 2000, reachMm: 15 }];
  const deep = job({ face: box(-400, -300, 1000, 800), clamps: short });
  await expect(arrange(deep)).rejects.toThrow('no clamp that you own reaches that far');
  const none = job({ clamps: [] });
  await expect(arrange(none)).rejects.toThrow('Nothing holds it down');
  const weak = await arrange(job({ clamps: [{ id: 's', count: 3, forceN: 150, reachMm: 100 }] }));
  expect(weak.reached).toBe(false);
  expect(weak.missing[0]).toBe(
    'The area needs 2.2 kN at least; the clamps that reach its middle give 0.5 kN together.',
  );
});

test('a board of twice the thickness is advised where it would do, and does', async () => {
  const bending = job({
    panel: { widthMm: 270, heightMm: 135 },
    region: box(15, 0, 240, 120),
    platens: [{ thicknessMm: 25, modulusMPa: 3000, poisson: 0.25 }],
    cauls: [{ widthMm: 30, heightMm: 25, modulusMPa: 11_000 }],
    clamps: [{ id: 'f', count: 3, forceN: 6000, reachMm: 100 }],
    gridMm: 10,
  });
  expect((await arrange(bending)).missing).toEqual(['With a platen of 50 mm: 3 clamps would do.']);
  const thick = await arrange({
    ...bending,
    platens: [{ thicknessMm: 50, modulusMPa: 3000, poisson: 0.25 }],
  });
  expect([thick.reached, thick.clamps.length]).toEqual([true, 3]);
});

/** A blister of 100 × 80 mm in the middle of a top of 700 × 460 mm, out of reach of every clamp. */
const bridged = (over: Partial<ArrangeInput> = {}): ArrangeInput =>
  job({
    panel: { widthMm: 130, heightMm: 110 },
    region: box(15, 15, 100, 80),
    face: box(-285, -175, 700, 460),
    cauls: [{ widthMm: 60, heightMm: 60, modulusMPa: 11_000 }],
    ...over,
  });

test('what lies too deep for any clamp gets cauls across the whole face, clamped at both edges', async () => {
  const input = bridged();
  const made = await arrange(input);
  expect(made.reached).toBe(true);
  for (const { from, to } of made.cauls) {
    expect(Math.max(Math.abs(from[0] - to[0]), Math.abs(from[1] - to[1]))).toBeGreaterThanOrEqual(460);
  }
  // Every clamp stands within its reach of an edge, and each caul has two of them.
  for (const { at } of made.clamps)
    expect(Math.min(at[0] + 285, 415 - at[0], at[1] + 175, 285 - at[1])).toBeLessThanOrEqual(100);
  expect(made.clamps).toHaveLength(2 * made.cauls.length);
  const field = await pressField({ ...fieldInput(input, made), overhang: true });
  const force = made.clamps.reduce((s, c) => s + c.forceN, 0);
  expect(Math.abs(field.reactionN / force - 1)).toBeLessThan(1e-3);
  expect(field.leastKPa).toBeGreaterThanOrEqual(150);
});

test('out of the middle the nearer end of a bridging caul is turned firmer, as the lever asks', () => {
  const [first] = candidatesFor(2, { widthMm: 60, heightMm: 60, modulusMPa: 11_000 }, bridged({ face: box(-285, -115, 700, 460) })); // prettier-ignore
  const [a, b] = first?.clamps ?? [];
  const middle = 55;
  // Moments about the middle of the blister cancel.
  expect((a?.forceN ?? 0) * (middle - (a?.at[1] ?? 0))).toBeCloseTo(
    (b?.forceN ?? 0) * ((b?.at[1] ?? 0) - middle),
    6,
  );
  expect(a?.forceN).toBe(UNIT_FORCE_N);
});

test('a bar that would end over the blister, or whose ends are too unlike, is no bridge', () => {
  const upright = (faceTop: number, faceHeight: number): number =>
    candidatesFor(2, { widthMm: 60, heightMm: 60, modulusMPa: 11_000 }, bridged({ face: box(-285, faceTop, 700, faceHeight) })) // prettier-ignore
      .flatMap((c) => c.cauls)
      .filter(({ from, to }) => Math.abs(to[1] - from[1]) >= 150).length;
  // The middle of the blister lies at 55 mm, its half is 40 mm, and clamps stand 20 mm in: arms of 80 and 185 mm.
  expect(upright(-45, 305)).toBeGreaterThan(0);
  // An arm of 35 mm ends over the blister, however like the other, of 100 mm.
  expect(upright(0, 175)).toBe(0);
  // Arms of 45 and 185 mm: a lever.
  expect(upright(-10, 270)).toBe(0);
});

test('stops when it is cancelled, and tells how far it is', async () => {
  const stop = new AbortController();
  const seen: number[] = [];
  const run = arrange(job({ target: { leastKPa: 600, mostKPa: 5000 } }), {
    signal: stop.signal,
    progress: (f) => {
      seen.push(f);
      if (seen.length === 4) stop.abort();
    },
  });
  await expect(run).rejects.toThrow();
  expect(seen.length).toBeLessThan(8);
});

test('no caul is asked for more bow than is planed: a sixtieth of its length', () => {
  const input = job({
    panel: { widthMm: 930, heightMm: 75 },
    region: box(15, 0, 900, 60),
    face: box(-100, 0, 1200, 450),
    clamps: [{ id: 'f', count: 6, forceN: 9000, reachMm: 100 }],
  });
  const bowed = candidatesFor(2, { widthMm: 45, heightMm: 60, modulusMPa: 11_000 }, input).filter((c) =>
    c.cauls.some((b) => b.camberMm > 0),
  );
  expect(bowed.length).toBeGreaterThan(0);
  for (const c of bowed)
    for (const b of c.cauls)
      expect((b.camberMm * c.mostForceN) / UNIT_FORCE_N).toBeLessThanOrEqual(
        (b.to[0] - b.from[0]) / 60 + 1e-9,
      );
});

test('a layout of one’s own that leaves more bare than need be is not kept', async () => {
  const [first] = (await arrange(job())).clamps;
  const one = first ? [{ ...first, at: [20, 20] as const }] : [];
  const found = await arrange(job({ own: { platenMm: 18, cauls: [], clamps: one.map(({ caul: _c, ...c }) => c) } })); // prettier-ignore
  expect(found).toMatchObject({ reached: true, kept: false });
});

test('the deepest place has the first choice of clamps: the one that reaches it is not spent near the edge', () => {
  const owned = [{ id: 'deep', count: 1, forceN: 3000, reachMm: 200 }, { id: 'short', count: 1, forceN: 1000, reachMm: 60 }]; // prettier-ignore
  const face = box(0, 0, 600, 400);
  expect(assignClamps([[300, 20], [300, 150]], face, owned)?.map((c) => c.id)).toEqual(['short', 'deep']); // prettier-ignore
  expect(assignClamps([[300, 150], [300, 160]], face, owned)).toBeUndefined(); // prettier-ignore
});

test('where the clamps could give far more, no firmer than the target asks for', async () => {
  const strong = await arrange(job({ clamps: [{ id: 'f', count: 6, forceN: 20_000, reachMm: 100 }] }));
  expect(strong.reached).toBe(true);
  // Six hundredths are kept in hand; the finer grid may ask for a little more.
  expect(strong.leastKPa).toBeLessThan(150 * 1.15);
});

test('what cannot be reached is pressed as firmly as covers most of the place', async () => {
  // With one clamp that is far too strong, and where no more than 400 kPa may be given.
  const input = job({
    clamps: [{ id: 'f', count: 1, forceN: 9000, reachMm: 100 }],
    target: { leastKPa: 150, mostKPa: 400 },
  });
  const made = await arrange(input);
  expect(made.reached).toBe(false);
  const covered = async (share: number): Promise<number> =>
    (await fieldOf(input, { ...made, clamps: made.clamps.map((c) => ({ ...c, forceN: Math.min(9000, c.forceN * share) })) })).coverage; // prettier-ignore
  const own = await covered(1);
  expect(own).toBeGreaterThan(0);
  for (const share of [0.55, 0.8, 1.25, 1.8])
    expect(own).toBeGreaterThanOrEqual((await covered(share)) - 0.02);
});
