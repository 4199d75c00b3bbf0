import fc from 'fast-check';
import { orderProblems, phaseOrder, type BenchTask } from '../bench';
import { METHODS } from '../catalogue';
import { BUILDS, FINISH_GOALS, FINISH_STATES, FINISHES_NOW, PROFILES, SCHOOLS } from '../terms';
import { newDamage } from './defaults';
import { waysOf } from './decide';
import { planOf, type Job, type Plan } from './plan';
import type { Damage, Named, Piece } from './types';
import { resourcesOf } from './work';
import { BIG, faceOf, jobOf, SQUARE, VENEERED } from '../../testing/jobs';

const FINISHING = /\/coat\d/;

describe('what is done stays done', () => {
  const top = faceOf('Top', BIG, { finishNow: 'varnish', finishState: 'worn' });
  const side = faceOf('Side', SQUARE, { finishNow: 'varnish', finishState: 'worn' });
  const entry = (taskId: string, faces?: string[]) => ({
    taskId: `p/${taskId}`,
    doneAt: '2026-03-02T09:00:00',
    actualMin: 40,
    ...(faces ? { faces } : {}),
  });

  test('a face that comes later is stripped in a round of its own', () => {
    const plan = planOf({ ...jobOf({ goal: 'varnish' }, [top, side]), done: [entry('strip', ['top'])] });
    const strips = plan.tasks.filter((t) => t.phase === 'strip').map((t) => [t.id, t.faces]);
    expect(strips).toEqual([
      ['p/strip', ['top']],
      ['p/strip~2', ['side']],
    ]);
    expect(plan.done.map((d) => d.taskId)).toEqual(['p/strip']);
    const later = planOf({ ...jobOf({ goal: 'varnish' }, [top, side]), done: [entry('strip', ['top']), entry('strip~2', ['side'])] }); // prettier-ignore
    expect(later.done).toHaveLength(2);
    expect(later.tasks.some((t) => t.id.includes('~3'))).toBe(false);
  });

  test('what another face or the finish of the whole piece becomes does not undo what was done', () => {
    const seat = faceOf('Seat', SQUARE, {
      ...VENEERED,
      finishNow: 'varnish',
      finishState: 'worn',
      goal: 'varnish',
    });
    const before = planOf(jobOf({ goal: 'varnish' }, [side, seat]));
    const sanded = before.tasks.find((t) => t.phase === 'level' && t.faces?.includes('seat'))?.id ?? '';
    const coated = before.tasks.find((t) => FINISHING.test(t.id) && t.faces?.includes('seat'))?.id ?? '';
    const done = [sanded, coated].map((id) => entry(id.replace('p/', ''), ['seat']));
    // The seat is entered first, the side is painted, and so is the piece by name.
    const painted = { ...side, body: { ...side.body, goal: 'paint' as const, school: 'paint' as const } };
    const after = planOf({ ...jobOf({ goal: 'paint' }, [seat, painted]), done });
    const ticked = new Set(after.done.map((d) => d.taskId));
    for (const phase of ['level', 'topCoat'])
      expect(
        after.tasks.filter((t) => t.phase === phase && t.faces?.includes('seat') && ticked.has(t.id)),
      ).toHaveLength(1);
  });

  test('the second coat waits for the first of every round', () => {
    const plan = planOf({
      ...jobOf({ goal: 'varnish' }, [top, side]),
      done: [entry('coat1.varnish', ['top'])],
    });
    expect(plan.tasks.find((t) => t.id === 'p/coat2.varnish')?.after).toEqual(expect.arrayContaining(['p/coat1.varnish', 'p/coat1.varnish~2'])); // prettier-ignore
  });

  test('what an earlier plan called stripping stays done where it is scraped now', () => {
    const flap = faceOf('Flap', BIG, { ...VENEERED, finishNow: 'shellac', finishState: 'flaking' });
    const plan = planOf({
      ...jobOf({ school: 'conserve', goal: 'shellac' }, [flap]),
      done: [entry('strip')],
    });
    expect(plan.done.map((d) => d.taskId)).toEqual(['p/scrape']);
  });

  test('a repair that grew keeps its history and gets new steps', () => {
    const damage: Named<Damage> = {
      id: 'd',
      body: { ...newDamage('p', 'top', 1, 'gouge'), mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 12 }, answers: { fibresCut: true, depthMm: 3 }, method: 'polyesterFiller' },
    }; // prettier-ignore
    const grew = { at: '2026-03-02T10:00:00', note: 'It ran on under the paint.', kind: 'gouge' as const };
    const before = planOf(jobOf({ goal: 'paint' }, [top], [damage]));
    const done = before.tasks.filter((t) => t.id.startsWith('d/')).map((t) => ({ taskId: t.id, doneAt: '2026-03-02T09:00:00', actualMin: 5 })); // prettier-ignore
    expect(planOf({ ...jobOf({ goal: 'paint' }, [top], [damage]), done }).done).toHaveLength(done.length);
    const after = planOf({ ...jobOf({ goal: 'paint' }, [top], [{ ...damage, body: { ...damage.body, grew: [grew] } }]), done }); // prettier-ignore
    expect(after.done).toEqual([]);
    expect(after.tasks.filter((t) => t.id.startsWith('d/')).map((t) => t.id)).toEqual(
      before.tasks.filter((t) => t.id.startsWith('d/')).map((t) => `${t.id}~2`),
    );
  });
});

describe('own steps and changes', () => {
  const top = faceOf('Top', BIG, { finishNow: 'varnish', finishState: 'worn' });
  const own = { id: 'line', phase: 'topCoat' as const, title: 'Line the drawer', detail: '', attendedMin: 40, waitMin: 60 }; // prettier-ignore
  const planned = (piece: Partial<Piece>, done: Job['done'] = []): Plan =>
    planOf({ ...jobOf({ goal: 'varnish', ...piece }, [top]), done });
  const task = (plan: Plan, id: string): BenchTask | undefined => plan.tasks.find((t) => t.id === `p/${id}`);

  test('an own step stands in its phase, after what it names', () => {
    const plan = planned({ ownSteps: [{ ...own, after: 'p/coat2.varnish' }] });
    expect(task(plan, 'own.line')).toMatchObject({
      attendedMin: 40,
      unattendedMin: 60,
      from: 'Your own step.',
    });
    expect(task(plan, 'own.line')?.after).toContain('p/coat2.varnish');
    expect(task(plan, 'rub.varnish')?.after).toContain('p/own.line');
  });

  test('a step left out hands its waits on; times are the user’s; goes add up', () => {
    const plan = planned({
      stepChanges: [
        { taskId: 'p/sand.120-150-180-220', skip: 'It was sanded last year.' },
        { taskId: 'p/strip', attendedMin: 100, waitMin: 30, goes: 3 },
      ],
    });
    expect(task(plan, 'sand.120-150-180-220')).toBeUndefined();
    expect(task(plan, 'coat1.varnish')?.after).toContain('p/strip');
    const goes = plan.tasks.filter((t) => t.id.startsWith('p/strip'));
    expect(goes.map((t) => [t.id, t.attendedMin, t.unattendedMin])).toEqual([
      ['p/strip.go1', 34, 0],
      ['p/strip.go2', 34, 0],
      ['p/strip', 32, 30],
    ]);
  });

  test('orders that chase each other are said, and the plan goes on as it was', () => {
    const tied = planned({ stepChanges: [{ taskId: 'p/coat1.varnish', after: 'p/coat3.varnish' }] });
    expect(tied.problems).toEqual([
      '“Varnish, coat 1 of 3” cannot wait for “Varnish, coat 3 of 3”: that one waits for it already. The order stays as it was.',
    ]);
    const chased = planned({ ownSteps: [{ ...own, phase: 'strip', after: 'p/rub.varnish' }] });
    expect(chased.problems[0]).toContain('they wait for each other');
    for (const plan of [tied, chased]) expect(chasesItself(plan.tasks)).toBe(false);
  });

  test('what is done cannot be left out', () => {
    const done = [{ taskId: 'p/sand.120-150-180-220', doneAt: '2026-03-02T09:00:00', actualMin: 40 }];
    const plan = planned({ stepChanges: [{ taskId: 'p/sand.120-150-180-220', skip: 'No.' }] }, done);
    expect(task(plan, 'sand.120-150-180-220')).toBeDefined();
    expect(plan.problems[0]).toContain('is done and stays done');
  });
});

/** Follows what each task waits for; true when some task waits, at the end of it, for itself. */
function chasesItself(tasks: readonly BenchTask[]): boolean {
  const left = new Map(tasks.map((t) => [t.id, new Set(t.after)]));
  for (;;) {
    const free = [...left].filter(([, after]) => [...after].every((id) => !left.has(id))).map(([id]) => id);
    if (free.length === 0) return left.size > 0;
    for (const id of free) left.delete(id);
  }
}

/** Everything that a task waits for, however far back. */
function allBefore(tasks: readonly BenchTask[]): Map<string, Set<string>> {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const found = new Map<string, Set<string>>();
  const of = (id: string): Set<string> => {
    const known = found.get(id);
    if (known) return known;
    const before = new Set<string>();
    found.set(id, before);
    for (const a of byId.get(id)?.after ?? []) {
      before.add(a);
      for (const b of of(a)) before.add(b);
    }
    return before;
  };
  tasks.forEach((t) => of(t.id));
  return found;
}

/** The longest chain of work and waiting, by walking back from every end: written apart from the scheduler. */
function longest(tasks: readonly BenchTask[]): number {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const known = new Map<string, number>();
  const end = (id: string): number => {
    const found = known.get(id);
    if (found !== undefined) return found;
    const t = byId.get(id);
    const begin = Math.max(0, ...(t?.after ?? []).filter((a) => byId.has(a)).map(end));
    const value = begin + (t?.attendedMin ?? 0) + (t?.unattendedMin ?? 0);
    known.set(id, value);
    return value;
  };
  return Math.max(0, ...tasks.map((t) => end(t.id)));
}

const keys = <K extends string>(table: Record<K, unknown>) => fc.constantFrom(...(Object.keys(table) as K[]));
const anyFace = fc.record({
  width: fc.integer({ min: 40, max: 2400 }),
  height: fc.integer({ min: 20, max: 1200 }),
  over: fc.record({
    finishNow: keys(FINISHES_NOW),
    finishState: keys(FINISH_STATES),
    goal: keys(FINISH_GOALS),
    school: keys(SCHOOLS),
    profile: keys(PROFILES),
    alike: fc.integer({ min: 1, max: 6 }),
  }),
  build: keys(BUILDS),
  veneerMm: fc.double({ min: 0.3, max: 3, noNaN: true }),
  part: fc.constantFrom(undefined, 'Leaf', 'Drawer'),
});
const anyWays = fc.record({
  patchOrder: fc.constantFrom('before' as const, 'after' as const),
  veneerOrder: fc.constantFrom('before' as const, 'after' as const),
  crackOrder: fc.constantFrom('before' as const, 'after' as const),
  thinVeneer: fc.constantFrom('strip' as const, 'scrape' as const, 'sand' as const),
});
const anyJob = fc
  .record({
    school: keys(SCHOOLS),
    goal: keys(FINISH_GOALS),
    ways: anyWays,
    apart: fc.subarray(['Leaf', 'Drawer']),
    faces: fc.array(anyFace, { minLength: 1, maxLength: 5 }),
    methods: fc.array(fc.tuple(fc.constantFrom(...METHODS.filter((m) => m.kinds.length > 0)), fc.nat(4)), { maxLength: 3 }), // prettier-ignore
  })
  .map(({ school, goal, ways, apart, faces, methods }): Job => {
    const named = faces.map(({ width, height, over, build, veneerMm, part }, i) => ({
      ...faceOf(`F${i}`, [width, height], {
        ...over,
        build,
        veneerMm: build === 'solid' ? 0 : veneerMm,
        ...(part ? { part } : {}),
      }),
    }));
    const damages = methods.map(([method, n], i): Named<Damage> => {
      const face = named[n % named.length]?.id ?? 'f0';
      const kind = method.kinds[0] ?? 'gouge';
      const outline: [number, number][] = [[0.4, 0.4], [0.6, 0.4], [0.6, 0.6], [0.4, 0.6]]; // prettier-ignore
      return { id: `d${i}`, body: { ...newDamage('p', face, i + 1, kind), outline, answers: { depthMm: 4 }, method: method.id } }; // prettier-ignore
    });
    return jobOf({ school, goal, ways, apart }, named, damages);
  });

test('whatever the faces are: each reaches its goal, nothing is coated before it is prepared, no order is forbidden', () => {
  fc.assert(
    fc.property(anyJob, (job) => {
      const plan = planOf(job);
      const { tasks, faces } = plan;
      expect(chasesItself(tasks)).toBe(false);
      expect(orderProblems(phaseOrder(waysOf(job.piece.body)))).toEqual([]);
      const before = allBefore(tasks);
      for (const face of faces) {
        const own = tasks.filter((t) => t.faces?.includes(face.id) && t.id.startsWith('p/'));
        const coats = own.filter((t) => FINISHING.test(t.id));
        expect(coats.length > 0).toBe(face.goal !== 'keep');
        const [first] = coats;
        if (!first) continue;
        // Everything that prepares this face comes before its first coat, by whatever way.
        const preparing = own.filter((t) => t.phase === 'strip' || t.phase === 'level');
        if (face.preparation.id !== 'leave') expect(preparing.length).toBeGreaterThan(0);
        for (const p of preparing) expect(before.get(first.id)?.has(p.id)).toBe(true);
        // Nothing bonds over wax: what was waxed is washed or loses its film before it is coated.
        if (face.finishNow === 'wax') expect(own.some((t) => /^p\/clean/.test(t.id))).toBe(true);
      }
      // Every demand can be met.
      const resources = resourcesOf(job.shop);
      for (const t of tasks)
        for (const [kind, count] of Object.entries({ ...t.needs, ...t.attendedNeeds }))
          expect(count).toBeLessThanOrEqual(resources[kind] ?? 0);
    }),
    { numRuns: 900 },
  );
});

test('adding a face never shortens the plan, and moving a phase or a part never loses a step', () => {
  fc.assert(
    fc.property(anyJob, anyFace, anyWays, fc.subarray(['Leaf', 'Drawer']), (job, more, ways, apart) => {
      const plan = planOf(job);
      const added = faceOf('Added', [more.width, more.height], { ...more.over, ...(more.part ? { part: more.part } : {}) }); // prettier-ignore
      const bigger = planOf({ ...job, faces: [...job.faces, added] });
      const hands = ({ tasks }: Plan): number => tasks.reduce((s, t) => s + t.attendedMin, 0);
      // Steps are rounded up to the minute one by one; a face may move a minute from one to another.
      expect(hands(bigger)).toBeGreaterThanOrEqual(hands(plan));
      expect(longest(bigger.tasks)).toBeGreaterThanOrEqual(longest(plan.tasks));
      const moved = planOf({ ...job, piece: { ...job.piece, body: { ...job.piece.body, ways: { ...ways, thinVeneer: waysOf(job.piece.body).thinVeneer } } } }); // prettier-ignore
      expect(moved.tasks.map((t) => t.id).sort()).toEqual(plan.tasks.map((t) => t.id).sort());
      // Finished apart a face has its own passes; none of its coats is lost.
      const parted = planOf({ ...job, piece: { ...job.piece, body: { ...job.piece.body, apart } } });
      const coatsOf = (p: Plan, id: string): number => p.tasks.filter((t) => FINISHING.test(t.id) && !/\.go\d/.test(t.id) && t.faces?.includes(id)).length; // prettier-ignore
      for (const f of plan.faces) expect(coatsOf(parted, f.id)).toBe(coatsOf(plan, f.id));
    }),
    { numRuns: 400 },
  );
});
