import { METHODS } from '../catalogue';
import { benchInput } from './plan';
import { phaseIndex } from '../catalogue';
import { schedule } from './schedule';
import { tasksFor, type PieceWork, type RepairWork } from './tasks';

const glue = { id: 'liquidHide' as const, label: 'Liquid hide glue', clampMin: 120, workableMin: 1440 };
const lifted: RepairWork = {
  damageId: 'd1',
  label: '1 Lifted edge',
  method: 'floodAndPress',
  areaMm2: 5400,
  glue,
  clamps: { resource: 'clamp:fStyle', count: 3 },
  shimSheets: 0,
  powderyGlueLine: false,
};
const chip: RepairWork = {
  ...lifted,
  damageId: 'd2',
  label: '2 Missing veneer',
  method: 'veneerPatch',
  areaMm2: 900,
  clamps: { resource: 'clamp:fStyle', count: 1 },
};
const piece: PieceWork = {
  pieceId: 'p',
  school: 'clear',
  goal: 'lacquer',
  finishNowIsPaint: false,
  repairs: [lifted, chip],
};
const shop = { resources: { hands: 1, 'clamp:fStyle': 3 }, workingHours: { from: '08:00', to: '17:00' } };
const NOW = '2026-03-02T08:00:00';

const when = async (tasks: ReturnType<typeof tasksFor>, done = [] as Parameters<typeof benchInput>[1]) =>
  new Map((await schedule(benchInput(tasks, done, shop, NOW))).tasks.map((t) => [t.id, t]));

test('common practice: veneer is reglued before stripping, patched after it, coloured last', async () => {
  const w = await when(tasksFor(piece));
  const order = [
    'd1/press',
    'p/strip',
    'd2/press',
    'd2/trim',
    'p/sand',
    'p/coat1',
    'p/coat2',
    'p/coat3',
    'p/rub',
    'p/reassemble',
  ];
  const starts = order.map((id) => w.get(id)?.start ?? '');
  expect(starts).toEqual([...starts].sort());
  expect(new Set(starts).size).toBe(order.length);
});

test('common practice: hide glue is worked on the next day', async () => {
  const w = await when(tasksFor(piece));
  expect((w.get('p/strip')?.start ?? '').slice(0, 10)).toBe('2026-03-03');
});

test('every phase waits for all of the one before', () => {
  const tasks = tasksFor(piece);
  for (const t of tasks) for (const id of t.after) {
    expect(phaseIndex(tasks.find((o) => o.id === id)?.phase ?? 'reassemble')).toBeLessThanOrEqual(phaseIndex(t.phase));
  } // prettier-ignore
});

test('a finish that stays is neither stripped nor coated over', () => {
  const ids = tasksFor({ ...piece, goal: 'keep', repairs: [lifted] }).map((t) => t.id);
  expect(ids).toEqual(['p/intake', 'd1/clean', 'd1/dryRun', 'd1/press', 'd1/off', 'd1/cure', 'p/reassemble']);
});

test('every method but leaving has steps, with its cautions', () => {
  for (const m of METHODS) {
    const tasks = tasksFor({ ...piece, goal: 'keep', repairs: [{ ...lifted, method: m.id }] });
    const steps = tasks.filter((t) => t.id.startsWith('d1/'));
    expect(steps.length > 0).toBe(m.id !== 'leave');
    for (const s of steps) expect(s.cautions).toContain('always');
    const phaseOf = new Map(tasks.map((t) => [t.id, phaseIndex(t.phase)]));
    for (const t of tasks)
      for (const id of t.after) expect(phaseOf.get(id)).toBeLessThanOrEqual(phaseIndex(t.phase));
  }
});

test('a split is clamped as long as its glue says, then left to harden, and levelled after', () => {
  const split = tasksFor({ ...piece, goal: 'keep', repairs: [{ ...lifted, method: 'sliver' }] });
  const byId = new Map(split.map((t) => [t.id, t]));
  expect(byId.get('d1/glue')).toMatchObject({
    unattendedMin: lifted.glue?.clampMin,
    needs: { 'clamp:fStyle': 3 },
  });
  expect(byId.get('d1/cure')?.after).toContain('d1/glue');
  expect(byId.get('d1/level')?.after).toContain('d1/cure');
});

test('a finish that comes off with the whole piece is not stripped twice', () => {
  const ids = tasksFor({ ...piece, repairs: [{ ...lifted, method: 'renewFinish' }] }).map((t) => t.id);
  expect(ids.filter((id) => id.endsWith('/strip'))).toEqual(['p/strip']);
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
  expect(w.get('p/strip')?.start).toBe('2026-03-02T16:00:00');
});

test('the glue that is taken adds its own cautions to the steps of its repair', () => {
  const said = (glueId: 'liquidHide' | 'epoxy'): string[] =>
    tasksFor({
      pieceId: 'p',
      school: 'clear',
      goal: 'shellac',
      finishNowIsPaint: false,
      repairs: [{ ...lifted, glue: { ...glue, id: glueId } }],
    })
      .filter((t) => t.id.startsWith('d1/'))
      .flatMap((t) => t.cautions);
  expect(said('epoxy')).toContain('epoxy');
  expect(said('liquidHide')).not.toContain('epoxy');
});
