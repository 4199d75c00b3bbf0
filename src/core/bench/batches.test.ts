import fc from 'fast-check';
import { methodById, type MethodId } from '../catalogue';
import { waysFor } from '../ways';
import { batchesOf, roundSize, SET_UP_SHARE, together } from './batches';
import { benchInput, creditedTo } from './plan';
import { repairSteps } from './repairSteps';
import { schedule } from './schedule';
import type { DoneStep } from './task';
import { tasksFor, type PieceWork } from './tasks';
import type { LinkWork, RepairWork } from './repairWork';

const glue = { id: 'liquidHide' as const, label: 'Liquid hide glue', clampMin: 120, workableMin: 1440 };
const link = (method: MethodId, areaMm2: number, says?: string): LinkWork => ({
  method,
  areaMm2,
  glue,
  clamps: { f: 2 },
  ...(says ? { says: { cut: says } } : {}),
});
const patch = (number: number, over: Partial<RepairWork> = {}, areaMm2 = 900): RepairWork => ({
  damageId: `d${number}`,
  number,
  label: `${number} Missing veneer`,
  method: 'veneerPatch',
  chain: [link('veneerPatch', areaMm2, `${number}0 × 20 mm.`)],
  surface: { finishNow: 'lacquer' },
  ...over,
});
const piece = (repairs: RepairWork[], over: Partial<PieceWork> = {}): PieceWork => ({
  pieceId: 'p',
  goal: 'keep',
  faces: [],
  ways: waysFor('clear'),
  repairs,
  ...over,
});
const clamps = (count: number) => [{ id: 'f', count }];
const tasksOf = (repairs: RepairWork[], owned = 8, over: Partial<PieceWork> = {}) =>
  tasksFor(piece(repairs, over), { clamps: clamps(owned) }).tasks.filter((t) => t.places);
const patches = (n: number): RepairWork[] => Array.from({ length: n }, (_, i) => patch(i + 1));
const cutOf = (method: MethodId) =>
  methodById(method).steps.find((s) => s.key === 'cut')?.attended.value ?? 0;

test('twenty alike patches are cut and trimmed in one go, and glued in rounds as clamps come free', () => {
  const tasks = tasksOf(patches(20));
  // Two clamps a patch, eight clamps: four at a time, five rounds.
  const presses = tasks.filter((t) => /\/press$/.test(t.id));
  expect(presses.map((t) => t.places?.length)).toEqual([4, 4, 4, 4, 4]);
  expect(presses.map((t) => t.needs)).toEqual(presses.map(() => ({ f: 8 })));
  expect(tasks.filter((t) => /\/off$/.test(t.id)).map((t) => t.places?.length)).toEqual([4, 4, 4, 4, 4]);
  const cuts = tasks.filter((t) => /^d1\/cut(\.go\d)?$/.test(t.id));
  // Half of one cut once, and half of each: 0.5 × 35 + 0.5 × 20 × 35 = 367.5 min, three mornings; one by one it were 700.
  expect(cutOf('veneerPatch')).toBe(35);
  expect(cuts.reduce((sum, t) => sum + t.attendedMin, 0)).toBe(368);
  expect(tasks.filter((t) => /\/trim(\.go\d)?$/.test(t.id)).every((t) => t.places?.length === 20)).toBe(true);
  expect(cuts[0]?.title).toMatch(/: 20 places \(1–20\), 1 of 3$/);
});

test('one step, its own figures place by place, and millilitres in all', () => {
  const [cut] = tasksOf([patch(1), patch(3), patch(4)]);
  expect(cut?.title).toMatch(/: 3 places \(1, 3, 4\)$/);
  expect(cut?.detail).toMatch(
    /1 Missing veneer: 10 × 20 mm\. 3 Missing veneer: 30 × 20 mm\. 4 Missing veneer: 40 × 20 mm\.$/,
  );
  const filled = (n: number, ml: number): RepairWork =>
    patch(n, { method: 'epoxyFill', chain: [{ method: 'epoxyFill', areaMm2: 400, layers: [{ ml, waitMin: 600, underMm: 0.5 }] }] }); // prettier-ignore
  const poured = tasksOf([filled(1, 1.2), filled(2, 2.3)]).find((t) => /ml in all/.test(t.detail));
  expect(poured?.detail).toMatch(/ 3\.5 ml in all\.$/);
});

test('what differs, is large, or is to be done by itself has steps of its own', () => {
  const glued = repairSteps({
    main: 'veneerPatch',
    chain: patch(1).chain,
    goal: 'keep',
    ways: waysFor('clear'),
  });
  const place = (repair: RepairWork) => ({ repair, steps: glued });
  const sizes = (...repairs: RepairWork[]) =>
    batchesOf(repairs.map(place)).map((b) => b.map((p) => p.repair.number));
  expect(sizes(patch(1), patch(2), patch(3))).toEqual([[1, 2, 3]]);
  expect(sizes(patch(1), patch(2, { alone: true }), patch(3))).toEqual([[1, 3], [2]]);
  expect(sizes(patch(1), patch(2, { part: 'Door' }))).toEqual([[1], [2]]);
  expect(sizes(patch(1), patch(2, { proposed: true }))).toEqual([[1], [2]]);
  expect(sizes(patch(1), patch(2, {}, 50_000))).toEqual([[1], [2]]);
  expect(sizes(patch(1), patch(2, { surface: { finishNow: 'paint' } }))).toEqual([[1], [2]]);
  // What the user has changed of one place is not done to all.
  const changed = tasksOf(patches(3), 8, { changes: [{ taskId: 'd2/cut', attendedMin: 90 }] });
  expect(changed.filter((t) => /\/cut$/.test(t.id)).map((t) => [t.places, t.attendedMin])).toEqual([
    [['d1', 'd3'], 53],
    [['d2'], 90],
  ]);
  const together = tasksOf(patches(3), 8, { changes: [{ taskId: 'd1/cut', attendedMin: 40, places: ['d1', 'd2', 'd3'] }] }); // prettier-ignore
  expect(together.find((t) => t.id === 'd1/cut')).toMatchObject({
    places: ['d1', 'd2', 'd3'],
    attendedMin: 40,
  });
});

test('as many at a time as the clamps of the scarcest kind go round; one where they do not; a few where none is needed', () => {
  expect(roundSize({ f: 2, c: 1 }, { f: 8, c: 3 })).toBe(3);
  expect(roundSize({ f: 2 }, { f: 1 })).toBe(1);
  expect(roundSize({ f: 2 }, {})).toBe(1);
  expect(roundSize({ f: 0 }, {})).toBe(6);
});

const ticked = (taskId: string, places?: string[]): DoneStep => ({ taskId, doneAt: '2026-03-02T09:00:00', actualMin: 30, ...(places ? { places } : {}) }); // prettier-ignore

test('what was ticked off stays done as it was done, alone or together, and who comes later does it anew', () => {
  const done = [ticked('d1/cut', ['d1', 'd2'])];
  const tasks = tasksOf(patches(3), 8, { done });
  expect(tasks.filter((t) => /\/cut$/.test(t.id)).map((t) => [t.id, t.places])).toEqual([
    ['d1/cut', ['d1', 'd2']],
    ['d3/cut', ['d3']],
  ]);
  const press = tasks.find((t) => t.id === 'd1/press');
  expect(press?.places).toEqual(['d1', 'd2', 'd3']);
  expect(creditedTo(tasks, done).map((d) => d.taskId)).toEqual(['d1/cut']);
  // A place that goes by itself afterwards has its part of it done.
  const split = tasksOf([patch(1), patch(2, { alone: true })], 8, { done });
  expect(creditedTo(split, done).map((d) => d.taskId)).toEqual(['d1/cut', 'd2/cut']);
  // One place that was done alone before counts as done in the batch.
  const early = tasksOf(patches(3), 8, { done: [ticked('d2/cut')] });
  expect(early.filter((t) => /\/cut$/.test(t.id)).map((t) => t.places)).toEqual([['d2'], ['d1', 'd3']]);
});

test('however many places, clamps and ticks: every step of every place is there once, nothing waits in a circle, and days are found', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 2, max: 9 }),
      fc.array(fc.record({ lead: fc.integer({ min: 1, max: 9 }), key: fc.constantFrom('cut', 'press', 'off', 'trim'), more: fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 4 }) }), { maxLength: 4 }), // prettier-ignore
      async (n, owned, log) => {
        const done = log.map(({ lead, key, more }) =>
          ticked(
            `d${lead}/${key}`,
            [...new Set([lead, ...more])].map((m) => `d${m}`),
          ),
        );
        const all = tasksFor(piece(patches(n), { done }), { clamps: clamps(owned) }).tasks;
        const tasks = all.filter((t) => t.places);
        const keyOf = (id: string): string => id.slice(id.indexOf('/') + 1).replace(/\.go\d+$/, '');
        for (let i = 1; i <= n; i++) {
          const alone = tasksFor(piece([patch(i)]), { clamps: clamps(owned) }).tasks.filter((t) => t.places);
          const own = new Set(tasks.filter((t) => t.places?.includes(`d${i}`)).map((t) => keyOf(t.id)));
          expect([...own].sort()).toEqual([...new Set(alone.map((t) => keyOf(t.id)))].sort());
        }
        expect(new Set(all.map((t) => t.id)).size).toBe(all.length);
        const credited = creditedTo(all, done);
        const days = await schedule(benchInput(all, credited, { resources: { hands: 1, f: owned }, workingHours: { from: '08:00', to: '17:00' } }, '2026-03-02T10:00:00')); // prettier-ignore
        expect(days.tasks.length).toBeGreaterThan(0);
      },
    ),
    { numRuns: 40 },
  );
});

test('no batch is slower than its places one by one, nor quicker than the longest of them', () => {
  const alone = together(patches(1).map((repair) => ({ repair, steps: repairSteps({ ...repair, main: repair.method, goal: 'keep', ways: waysFor('clear') }) })), [], { f: 2 }); // prettier-ignore
  for (const n of [2, 5, 20]) {
    const all = together(patches(n).map((repair) => ({ repair, steps: repairSteps({ ...repair, main: repair.method, goal: 'keep', ways: waysFor('clear') }) })), [], { f: 2 * n }); // prettier-ignore
    for (const { step } of all) {
      const one = alone.find((a) => a.step.key === step.key)?.step.attended.value ?? 0;
      expect(step.attended.value).toBeCloseTo(one * (SET_UP_SHARE.value + (1 - SET_UP_SHARE.value) * n), 6);
    }
  }
});

test('what differs in the words of a step is told place by place: the coats of each have their own millilitres', () => {
  const toned = (n: number, ml: string): RepairWork =>
    patch(n, {
      method: 'toneIn',
      chain: [{ method: 'toneIn', areaMm2: 900 }],
      coats: [{ name: 'Brown toner', kind: 'toner', coats: 2, words: `Mix ${ml} ml.` }],
    });
  const tasks = tasksOf([toned(1, '2.1'), toned(2, '3.4')]);
  const first = tasks.find((t) => /coat 1 of 2/.test(t.title));
  expect(first?.places).toEqual(['d1', 'd2']);
  expect(first?.detail).toBe('1 Missing veneer: Mix 2.1 ml. 2 Missing veneer: Mix 3.4 ml.');
  // What they all say is said once.
  expect(tasks.find((t) => /coat 2 of 2/.test(t.title))?.detail).toMatch(/^Of the same mix/);
});

test('every step says which method was chosen for its place, and which link it belongs to', () => {
  const chained = patch(1, { chain: [link('washGlueLine', 900), link('veneerPatch', 900)] });
  const tasks = tasksOf([chained]);
  expect(new Set(tasks.map((t) => t.main))).toEqual(new Set(['veneerPatch']));
  expect(new Set(tasks.map((t) => t.method))).toEqual(new Set(['washGlueLine', 'veneerPatch']));
});
