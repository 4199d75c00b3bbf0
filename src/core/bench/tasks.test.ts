import { methodById, METHODS, PHASES, phaseIndex, type MethodId } from '../catalogue';
import { waysFor, type WayChoices } from '../ways';
import { paperFor } from './bySize';
import { benchInput } from './plan';
import { schedule } from './schedule';
import { minutesFrom } from '../calendar';
import { preparationOf, type FaceToPrepare } from '../prepare';
import { sandingBudget } from '../sanding';
import type { FaceWork } from './passes';
import { phaseOrder } from './order';
import type { BenchTask } from './task';
import { tasksFor as pieceTasks, type PieceWork } from './tasks';
import type { LinkWork, RepairWork } from './repairWork';

const tasksFor = (...given: Parameters<typeof pieceTasks>): BenchTask[] => pieceTasks(...given).tasks;

const glue = { id: 'liquidHide' as const, label: 'Liquid hide glue', clampMin: 120, workableMin: 1440 };
const link = (method: MethodId, count = 3, areaMm2 = 5400): LinkWork => ({
  method,
  areaMm2,
  ...(methodById(method).steps.some((s) => s.glued)
    ? { glue, ...(method === 'tack' ? {} : { clamps: { 'clamp:fStyle': count } }) }
    : {}),
});
const repair = (damageId: string, label: string, chain: LinkWork[], method: MethodId): RepairWork => ({
  damageId,
  number: Number(label.split(' ')[0]),
  label,
  method,
  chain,
  surface: { finishNow: 'lacquer' },
});
const lifted = repair('d1', '1 Lifted edge', [link('floodAndPress')], 'floodAndPress');
const chip = repair('d2', '2 Missing veneer', [link('veneerPatch', 1, 900)], 'veneerPatch');
const faceOf = (over: Partial<FaceToPrepare & FaceWork> = {}): FaceWork => {
  const given: FaceToPrepare & { species: string; id: string; name: string } = {
    id: 'f',
    name: 'Top',
    build: 'solidCore',
    veneerMm: 0.8,
    species: 'walnut',
    finishNow: 'lacquer',
    goal: 'lacquer',
    school: 'clear',
    profile: 'flat',
    refreshed: false,
    thinVeneer: 'strip',
    ...over,
  };
  return {
    ...given,
    areaM2: 0.4,
    edgeM: 2.6,
    preparation: preparationOf(given),
    ...(given.build === 'solid' ? {} : { sanding: sandingBudget(given.veneerMm) }),
    ...over,
  };
};
const top = faceOf();
const piece: PieceWork = {
  pieceId: 'p',
  goal: 'lacquer',
  faces: [top],
  ways: waysFor('clear'),
  repairs: [lifted, chip],
};
const only = (method: MethodId): RepairWork => repair('d1', '1 Lifted edge', [link(method)], method);
const kept: PieceWork = { ...piece, goal: 'keep', faces: [faceOf({ goal: 'keep' })] };
const shop = { resources: { hands: 1, 'clamp:fStyle': 3 }, workingHours: { from: '08:00', to: '17:00' } };
const NOW = '2026-03-02T08:00:00';

const when = async (tasks: ReturnType<typeof tasksFor>, done = [] as Parameters<typeof benchInput>[1]) =>
  new Map((await schedule(benchInput(tasks, done, shop, NOW))).tasks.map((t) => [t.id, t]));

test('common practice: veneer is reglued before stripping, patched after it, coloured last', async () => {
  const w = await when(tasksFor(piece));
  const order = [
    'd1/press',
    'p/strip.thinner',
    'd2/press',
    'd2/trim',
    'p/sand.150-180-220',
    'p/coat1.lacquer',
    'p/coat2.lacquer',
    'p/coat3.lacquer',
    'p/rub.lacquer',
    'p/reassemble',
  ];
  const starts = order.map((id) => w.get(id)?.start ?? '');
  expect(starts).toEqual([...starts].sort());
  expect(new Set(starts).size).toBe(order.length);
});

test('common practice: hide glue is worked on the next day', async () => {
  const w = await when(tasksFor(piece));
  expect((w.get('p/strip.thinner')?.start ?? '').slice(0, 10)).toBe('2026-03-03');
});

test('every phase waits for all of the one before', () => {
  const tasks = tasksFor(piece);
  for (const t of tasks) for (const id of t.after) {
    expect(phaseIndex(tasks.find((o) => o.id === id)?.phase ?? 'reassemble')).toBeLessThanOrEqual(phaseIndex(t.phase));
  } // prettier-ignore
});

test('a finish that stays is neither stripped nor coated over', () => {
  const ids = tasksFor({ ...kept, repairs: [lifted] }).map((t) => t.id);
  expect(ids).toEqual(['p/intake', 'd1/clean', 'd1/dryRun', 'd1/press', 'd1/off', 'd1/cure', 'p/reassemble']);
});

test('every method but leaving has steps, with its cautions', () => {
  for (const m of METHODS) {
    const tasks = tasksFor({ ...kept, repairs: [only(m.id)] });
    const steps = tasks.filter((t) => t.id.startsWith('d1/'));
    expect(steps.length > 0).toBe(m.id !== 'leave');
    for (const s of steps) expect(s.cautions).toContain('always');
    const phaseOf = new Map(tasks.map((t) => [t.id, phaseIndex(t.phase)]));
    for (const t of tasks)
      for (const id of t.after) expect(phaseOf.get(id)).toBeLessThanOrEqual(phaseIndex(t.phase));
  }
});

test('a split is clamped as long as its glue says, then left to harden, and levelled after', () => {
  const split = tasksFor({ ...kept, repairs: [only('sliver')] });
  const byId = new Map(split.map((t) => [t.id, t]));
  expect(byId.get('d1/glue')).toMatchObject({
    unattendedMin: glue.clampMin,
    needs: { 'clamp:fStyle': 3 },
  });
  expect(byId.get('d1/cure')?.after).toContain('d1/glue');
  expect(byId.get('d1/level')?.after).toContain('d1/cure');
});

test('a finish that comes off with the whole piece is not stripped twice', () => {
  const ids = tasksFor({ ...piece, repairs: [only('renewFinish')] }).map((t) => t.id);
  expect(ids.filter((id) => /\/strip/.test(id))).toEqual(['p/strip.thinner']);
});

test('ticking a step moves the rest: glue that sets goes on setting from its real time', async () => {
  const tasks = tasksFor(piece);
  const done = ['p/intake', 'd1/clean', 'd1/dryRun'].map((taskId) => ({
    taskId,
    doneAt: '2026-03-01T15:00:00',
    actualMin: 10,
  }));
  const pressed = [...done, { taskId: 'd1/press', doneAt: '2026-03-01T16:00:00', actualMin: 20 }];
  const w = await when(tasks, pressed);
  expect(w.get('d1/press')).toMatchObject({ start: '2026-03-01T15:40:00', end: '2026-03-01T18:00:00' });
  expect(w.get('d1/cure')?.start).toBe('2026-03-01T18:00:00');
  expect(w.get('d1/off')?.start).toBe(NOW);
  expect(w.get('p/strip.thinner')?.start).toBe('2026-03-02T16:00:00');
});

test('the glue that is taken adds its own cautions to the steps that it is used in', () => {
  const said = (glueId: 'liquidHide' | 'epoxy'): string[] =>
    tasksFor({
      ...piece,
      repairs: [{ ...lifted, chain: [{ ...link('floodAndPress'), glue: { ...glue, id: glueId } }] }],
    })
      .filter((t) => t.id === 'd1/press')
      .flatMap((t) => t.cautions);
  expect(said('epoxy')).toContain('epoxy');
  expect(said('liquidHide')).toEqual(['always']);
});

test('several kinds of clamps are demanded each by its own count, and the press takes the shop’s own pace', () => {
  const mixed: LinkWork = { ...link('floodAndPress'), clamps: { fStyle: 2, cClamp: 3 }, stages: [31.5] };
  const press = tasksFor({ ...piece, repairs: [{ ...lifted, chain: [mixed] }] }).find(
    (t) => t.id === 'd1/press',
  );
  expect(press?.needs).toEqual({ fStyle: 2, cClamp: 3 });
  // 31.5 min to lay, rounded up, and 8 min to get ready.
  expect(press?.attendedMin).toBe(40);
});

test('a chain is done link after link; names of the main method stay, the others carry theirs', async () => {
  const chained = repair(
    'd1',
    '1 Lifted edge',
    [link('hardenCore'), link('washGlueLine'), link('floodAndPress'), link('veneerPatch', 1, 900)],
    'floodAndPress',
  );
  const tasks = tasksFor({ ...piece, repairs: [chained] });
  const ids = tasks.map((t) => t.id);
  expect(ids).toEqual(expect.arrayContaining(['d1/hardenCore.soak', 'd1/washGlueLine.wash', 'd1/press', 'd1/veneerPatch.press'])); // prettier-ignore
  const w = await when(tasks);
  const order = ['d1/hardenCore.soak', 'd1/hardenCore.bed', 'd1/washGlueLine.wash', 'd1/clean', 'd1/press', 'p/strip.thinner', 'd1/veneerPatch.cut', 'd1/veneerPatch.press', 'd1/veneerPatch.trim']; // prettier-ignore
  const starts = order.map((id) => w.get(id)?.start ?? '');
  expect(starts).toEqual([...starts].sort());
  // The wash flashes off before glue goes in.
  expect(minutesFrom(w.get('d1/clean')?.start ?? '')).toBeGreaterThanOrEqual(
    minutesFrom(w.get('d1/washGlueLine.wash')?.start ?? '') + 12 * 60,
  );
});

// Common practice: old paint that stays under new paint is never sanded.
test('old paint under new paint is scuffed wet after a test, and nothing says to sand the face', () => {
  const painted = faceOf({ finishNow: 'paint', goal: 'paint', school: 'paint' });
  const tasks = tasksFor({
    ...piece,
    goal: 'paint',
    faces: [painted],
    repairs: [
      {
        ...repair('d2', '2 Gouge', [link('polyesterFiller')], 'polyesterFiller'),
        surface: { finishNow: 'paint' },
      },
    ],
  });
  expect(tasks.map((t) => t.title).join()).not.toMatch(/sand the face/i);
  const scuff = tasks.find((t) => t.id === 'p/key');
  expect(scuff?.title).toBe('Scuff the old paint wet');
  expect(scuff?.detail).toContain('Test it for lead first');
  expect(scuff?.cautions[0]).toBe('leadPaint');
  const level = tasks.find((t) => t.id === 'd2/fill2');
  expect(level?.cautions).toContain('leadPaint');
  expect(level?.detail).toContain('work wet');
});

test('lead is judged by the face that is worked on, not by the first of the piece', () => {
  const faces: FaceWork[] = [
    top,
    faceOf({ id: 'g', name: 'Case', build: 'solid', veneerMm: 0, finishNow: 'paint', goal: 'lacquer' }),
  ];
  const onCase: RepairWork = { ...repair('d3', '3 Dent', [link('dutchman')], 'dutchman'), surface: { finishNow: 'paint' } }; // prettier-ignore
  const onTop: RepairWork = repair('d4', '4 Dent', [link('dutchman')], 'dutchman');
  const tasks = tasksFor({ ...piece, faces, repairs: [onCase, onTop] });
  const cautions = (id: string): string[] => tasks.find((t) => t.id === id)?.cautions ?? [];
  expect(cautions('d3/cut')).toContain('leadPaint');
  expect(cautions('d4/cut')).not.toContain('leadPaint');
  expect(cautions('p/strip')).toContain('leadPaint');
  expect(cautions('p/intake')).toContain('leadPaint');
});

test('intake, rub-out and coats carry their cautions', () => {
  const radio = tasksFor({ ...piece, holds: ['electric', 'pest'] });
  const said = (id: string, tasks = radio): string[] => tasks.find((t) => t.id === id)?.cautions ?? [];
  expect(said('p/intake')).toEqual(
    expect.arrayContaining(['electricSet', 'mould', 'pestTreatment', 'asbestos']),
  );
  expect(radio.find((t) => t.id === 'p/intake')?.detail).toContain('electric set comes out first');
  expect(said('p/coat1.lacquer')).toEqual(expect.arrayContaining(['solvent', 'spray']));
  expect(said('p/rub.lacquer')).toEqual(expect.arrayContaining(['dust', 'oilyRags']));
  const oiled = tasksFor({ ...piece, goal: 'oil', faces: [faceOf({ goal: 'oil' })] });
  expect(said('p/coat1.oil', oiled)).toContain('oilyRags');
});

// Common practice: lacquer 2 to 7 days, varnish 1 to 2 weeks before a full rub; oil is not rubbed, paint goes by its label.
test.each<['shellac' | 'lacquer' | 'varnish' | 'oil' | 'paint', number | undefined]>([
  ['lacquer', 2],
  ['varnish', 7],
  ['oil', undefined],
  ['paint', undefined],
])('%s hardens so many days before it is rubbed: %s', (goal, days) => {
  const tasks = tasksFor({ ...piece, goal, faces: [faceOf({ goal })] });
  const coats = tasks.filter((t) => t.id.startsWith('p/coat'));
  const rubbed = tasks.some((t) => t.id.startsWith('p/rub'));
  expect(rubbed ? (coats[coats.length - 1]?.unattendedMin ?? 0) / (24 * 60) : undefined).toBe(days);
});

test('crazed shellac that is revived is not stripped', () => {
  const shellac = faceOf({ finishNow: 'shellac', goal: 'shellac', refreshed: true });
  const ids = tasksFor({ ...piece, goal: 'shellac', faces: [shellac], repairs: [only('reviveFinish')] }).map((t) => t.id); // prettier-ignore
  expect(ids).not.toContain('p/strip');
  expect(ids).not.toContain('p/sand.150-180-220');
});

describe('where the trade disagrees, the way that is taken changes the plan', () => {
  const tasksWith = (ways: WayChoices, more: Partial<PieceWork> = {}): ReturnType<typeof tasksFor> =>
    tasksFor({ ...piece, ...more, ways: waysFor('clear', ways) });
  const order = (ways: WayChoices): string[] => phaseOrder(waysFor('clear', ways));
  const before = (list: string[], a: string, b: string): boolean => list.indexOf(a) < list.indexOf(b);

  test('patches before or after the strip, regluing before both', () => {
    expect(before(order({ patchOrder: 'before' }), 'patch', 'strip')).toBe(true);
    expect(before(order({ patchOrder: 'after' }), 'strip', 'patch')).toBe(true);
    for (const patchOrder of ['before', 'after'] as const)
      for (const veneerOrder of ['before', 'after'] as const) {
        const phases = order({ patchOrder, veneerOrder });
        expect(before(phases, 'reglue', 'strip')).toBe(true);
        expect(new Set(phases)).toEqual(new Set(PHASES.map((p) => p.id)));
      }
  });

  test('whole faces laid before the carcass is glued', () => {
    expect(before(order({ veneerOrder: 'before' }), 'reglue', 'structure')).toBe(true);
    const sheet = [repair('d1', '1 Foil', [link('hardenCore'), link('reveneer')], 'reveneer')];
    const tasks = tasksWith({ veneerOrder: 'before' }, { repairs: sheet });
    expect(tasks.find((t) => t.id === 'd1/press')?.phase).toBe('reglue');
    expect(tasks.find((t) => t.id === 'd1/hardenCore.soak')?.phase).toBe('reglue');
  });

  test('thin veneer stripped, scraped or sanded, each with its own cautions', () => {
    const strip = (thinVeneer: 'strip' | 'scrape' | 'sand') =>
      tasksWith({ thinVeneer }, { faces: [faceOf({ finishNow: 'varnish', thinVeneer })] }).find(
        (t) => t.phase === 'strip',
      );
    expect(strip('strip')?.cautions).toContain('methylene');
    expect(strip('scrape')).toMatchObject({ title: 'Scrape the old finish off', cautions: ['always'] });
    expect(strip('sand')?.detail).toContain('P150');
    expect(strip('sand')?.cautions).toContain('dust');
  });

  test('acid, sticks and sanding say what is taken', () => {
    const title = (acid: 'spot' | 'panel') =>
      tasksWith({ acid }, { repairs: [only('oxalicAcid')] }).find((t) => t.id === 'd1/acid')?.title;
    expect([title('spot'), title('panel')]).toEqual([
      'Oxalic acid on the mark: 1 Lifted edge',
      'Oxalic acid over the panel: 1 Lifted edge',
    ]);
    const stick = (stickOrder: 'ground' | 'dark') =>
      tasksWith({ stickOrder }, { repairs: [only('burnIn')] }).find((t) => t.id === 'd1/burn')?.detail;
    expect(stick('ground')).toContain('Ground tone first');
    expect(stick('dark')).toContain('dark tone first');
    const sand = (sandingDirection: 'along' | 'across') =>
      tasksWith({ sandingDirection }).find((t) => t.id === 'p/sand.150-180-220')?.detail;
    expect(sand('along')).toContain('with the grain only');
    expect(sand('across')).toContain('across');
  });

  test('cracks closed before or after the strip', () => {
    const cracked: RepairWork = { ...only('sawdustGlue'), kind: 'longCrack' };
    const phase = (crackOrder: 'before' | 'after') =>
      tasksWith({ crackOrder }, { repairs: [cracked] }).find((t) => t.id === 'd1/fill')?.phase;
    expect([phase('before'), phase('after')]).toEqual(['structure', 'bareFill']);
  });

  test('whatever is taken, no plan chases itself', async () => {
    const chains = repair('d1', '1 Foil', [link('coreBlock'), link('reveneer')], 'reveneer');
    const joint = repair('d5', '5 Loose joint', [link('reglueJoint')], 'reglueJoint');
    for (const patchOrder of ['before', 'after'] as const)
      for (const veneerOrder of ['before', 'after'] as const) {
        const tasks = tasksWith({ patchOrder, veneerOrder }, { repairs: [chains, joint, chip] });
        expect((await when(tasks)).size).toBe(tasks.length);
      }
  });
});

describe('the shop’s own figures', () => {
  const task = (learned: Record<string, number[]>, id: string) =>
    tasksFor(piece, { learned }).find((t) => t.id === id);

  test('a step tells what the log may learn from it, and under the same name for every piece', () => {
    expect(task({}, 'd2/trim')?.learns).toEqual({ step: 'veneerPatch.trim', bookMin: 20 });
    expect(task({}, 'p/coat2.lacquer')?.learns).toMatchObject({ step: 'lacquer.coat' });
    // By hand: 12 min ready, 15 min/m² on 0.4 m², half a minute on each of 2.6 m of edge.
    expect(task({}, 'p/coat2.lacquer')?.learns?.bookMin).toBeCloseTo(12 + 15 * 0.4 + 0.5 * 2.6);
    expect(task({}, 'd1/cure')?.learns).toBeUndefined();
    expect(task({}, 'd1/press')?.learns).toBeUndefined();
  });

  test('minutes learned from the log go before the book’s, with their range and their source', () => {
    // 20 min of the book; seen at half as long again, at the same, at twice: the middle is 30, the quartiles 25 and 35.
    expect(task({ 'veneerPatch.trim': [1.5, 1, 2] }, 'd2/trim')).toMatchObject({
      attendedMin: 30,
      attendedRange: { leastMin: 25, mostMin: 35 },
      from: expect.stringContaining('learned from your log, the middle of 3 times'),
    });
    expect(task({ 'veneerPatch.trim': [1.5, 1] }, 'd2/trim')?.attendedMin).toBe(20);
  });

  test('the label of an own top coat goes before the table', () => {
    const coats = { lacquer: { count: 5, between: 45, handleMin: 600 } };
    const own = tasksFor(piece, { coats }).filter((t) => t.learns?.step === 'lacquer.coat');
    expect(own).toHaveLength(5);
    expect(own.map((t) => t.unattendedMin).slice(0, 4)).toEqual([45, 45, 45, 45]);
  });
});

test('a piece that was finished before yesterday costs nothing, and a cure that ran out is not waited for again', () => {
  const tasks = tasksFor({ ...kept, repairs: [lifted] });
  const done = tasks
    .filter((t) => t.attendedMin > 0)
    .map((t) => ({ taskId: t.id, doneAt: '2026-01-05T10:00:00', actualMin: 5 }));
  expect(benchInput(tasks, done, shop, NOW).tasks).toEqual([]);
  const last = done.filter((d) => d.taskId !== 'p/reassemble');
  expect(benchInput(tasks, last, shop, NOW).tasks.map((t) => [t.id, t.after])).toEqual([
    ['p/reassemble', []],
  ]);
});

test('what was done today stays on the strip', () => {
  const tasks = tasksFor({ ...kept, repairs: [lifted] });
  const done = [{ taskId: 'p/intake', doneAt: '2026-03-02T07:30:00', actualMin: 20 }];
  expect(benchInput(tasks, done, shop, NOW).tasks.map((t) => t.id)).toContain('p/intake');
});

test('a step logged by a clock that ran ahead does not hold the glue longer than its own time', async () => {
  const tasks = tasksFor(piece);
  const ahead = ['p/intake', 'd1/clean', 'd1/dryRun', 'd1/press'].map((taskId) => ({
    taskId,
    doneAt: '2026-03-05T09:00:00',
    actualMin: 10,
  }));
  const w = await when(tasks, ahead);
  // Two hours in clamps from now, not three days.
  expect(w.get('d1/press')?.end).toBe('2026-03-02T10:00:00');
});

test('stages of one press wait for the dry run, not for each other: whichever clamps are free', () => {
  const staged: LinkWork = { ...link('floodAndPress'), stages: [20, 20, 20] };
  const byId = new Map(
    tasksFor({ ...kept, repairs: [{ ...lifted, chain: [staged] }] }).map((t) => [t.id, t]),
  );
  const after = (id: string): string[] | undefined => byId.get(id)?.after;
  expect(after('d1/stage2')).toEqual(after('d1/stage1'));
  expect(after('d1/press')).toEqual(after('d1/stage1'));
  expect(after('d1/off')).toEqual(expect.arrayContaining(['d1/stage1', 'd1/stage2', 'd1/press']));
});

test('a changed step that is gone is told, one that was left out is not; goes add up to the whole', () => {
  const problems = (changes: PieceWork['changes']) =>
    pieceTasks({ ...kept, repairs: [lifted], ...(changes ? { changes } : {}) }).problems;
  expect(problems([{ taskId: 'd1/nothing', attendedMin: 20 }])).toHaveLength(1);
  expect(problems([{ taskId: 'd1/nothing', skip: 'Not needed' }])).toEqual([]);
  const goes = tasksFor({ ...kept, repairs: [lifted], changes: [{ taskId: 'd1/clean', attendedMin: 2, goes: 2 }] })
    .filter((t) => /clean/.test(t.id)); // prettier-ignore
  expect(goes.map((t) => t.attendedMin)).toEqual([1, 1]);
});

test('paper is counted by the square metre: two sheets for one of a grit, four to sand a finish off', () => {
  const face = { areaM2: 1.5, edgeM: 5, profile: 'flat' as const };
  expect(paperFor('grit', [face, face])).toMatchObject([{ sheets: 6 }]);
  expect(paperFor('sandOff', [face], 2)).toMatchObject([{ sheets: 12 }]);
  expect(paperFor('clean', [face])).toEqual([]);
});
