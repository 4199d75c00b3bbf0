import fc from 'fast-check';
import { afterWorking, calendarOf, minutesFrom, nextWorkable } from '../calendar';
import type { Schedule, ScheduleInput, ScheduleTask } from './network';
import { schedule } from './schedule';

const task = (
  id: string,
  attendedMin: number,
  unattendedMin: number,
  after: string[] = [],
  more: Partial<ScheduleTask> = {},
): ScheduleTask => ({
  id,
  attendedMin,
  unattendedMin,
  after,
  needs: {},
  attendedNeeds: { hands: 1 },
  ...more,
});
const input = (tasks: ScheduleTask[], over: Partial<ScheduleInput> = {}): ScheduleInput => ({
  tasks,
  resources: { hands: 1, clamps: 6 },
  start: '2026-03-02T08:00:00',
  workingHours: { from: '08:00', to: '17:00' },
  ...over,
});
const at = (s: Schedule, id: string) => s.tasks.find((t) => t.id === id);

describe('by hand', () => {
  test('cure time runs overnight and work goes on in the morning', async () => {
    const s = await schedule(input([task('glue', 40, 1440), task('level', 30, 0, ['glue'])]));
    expect(at(s, 'glue')).toEqual({
      id: 'glue',
      start: '2026-03-02T08:00:00',
      attendedEnd: '2026-03-02T08:40:00',
      end: '2026-03-03T08:40:00',
    });
    expect(at(s, 'level')?.start).toBe('2026-03-03T08:40:00');
    expect(s.finish).toBe('2026-03-03T09:10:00');
    expect(s.lowerBound).toBe(s.finish);
  });

  test('what does not fit into the day in one piece waits for the morning', async () => {
    const s = await schedule(input([task('a', 500, 0), task('b', 60, 0, ['a'])]));
    expect(at(s, 'b')?.start).toBe('2026-03-03T08:00:00');
  });

  test('clamps under load for a night are not free for the next piece', async () => {
    const s = await schedule(
      input([
        task('a', 30, 900, [], { needs: { clamps: 4 } }),
        task('b', 30, 900, [], { needs: { clamps: 4 } }),
      ]),
    );
    const starts = s.tasks.map((t) => t.start).sort();
    expect(starts).toEqual(['2026-03-02T08:00:00', '2026-03-03T08:00:00']);
  });

  test('with clamps for both, the second is laid while the first sets', async () => {
    const s = await schedule(
      input([
        task('a', 30, 900, [], { needs: { clamps: 3 } }),
        task('b', 30, 900, [], { needs: { clamps: 3 } }),
      ]),
    );
    expect(s.finish).toBe('2026-03-03T00:00:00');
  });

  test('round the clock knows no night', async () => {
    const s = await schedule(
      input([task('a', 1000, 0), task('b', 1000, 0, ['a'])], {
        workingHours: { from: '00:00', to: '24:00' },
      }),
    );
    expect(s.finish).toBe('2026-03-03T17:20:00');
  });

  test('what has begun is taken as it is, and its clamps are not free', async () => {
    const s = await schedule(
      input([
        task('begun', 30, 600, [], { needs: { clamps: 6 }, startedAt: '2026-03-01T22:15:00' }),
        task('next', 30, 0, [], { needs: { clamps: 1 } }),
      ]),
    );
    expect(at(s, 'begun')?.start).toBe('2026-03-01T22:15:00');
    expect(at(s, 'next')?.start).toBe('2026-03-02T08:45:00');
  });

  test('not before its time', async () => {
    const s = await schedule(input([task('a', 30, 0, [], { notBefore: '2026-03-04T10:00:00' })]));
    expect(at(s, 'a')?.start).toBe('2026-03-04T10:00:00');
  });

  test('nothing to do is done at once', async () => {
    expect(await schedule(input([]))).toEqual({
      tasks: [],
      finish: '2026-03-02T08:00:00',
      lowerBound: '2026-03-02T08:00:00',
    });
  });
});

describe('bad input names what is wrong', () => {
  test.each<[string, ScheduleInput, string]>([
    [
      'cycle',
      input([task('x', 1, 0, ['z']), task('y', 1, 0, ['x']), task('z', 1, 0, ['y'])]),
      'in a circle: “',
    ],
    ['itself', input([task('x', 1, 0, ['x'])]), '“x” before “x”'],
    ['unknown', input([task('x', 1, 0, ['ghost'])]), '“x” comes after “ghost”'],
    [
      'too many',
      input([task('x', 1, 0, [], { needs: { clamps: 9 } })]),
      '“x” needs 9 of “clamps”, but there are only 6',
    ],
    [
      'no such thing',
      input([task('x', 1, 0, [], { needs: { press: 1 } })]),
      'needs 1 of “press”, but there are only 0',
    ],
    [
      'inherited name',
      input([task('x', 1, 0, [], { needs: { constructor: 1 } })]),
      'needs 1 of “constructor”',
    ],
    ['too long', input([task('x', 600, 0)]), '“x” takes 600 min'],
    ['twice', input([task('x', 1, 0), task('x', 1, 0)]), 'Two tasks have the name “x”'],
    [
      'hours',
      input([], { workingHours: { from: '17:00', to: '08:00' } }),
      'end at 08:00, before they begin at 17:00',
    ],
    ['time', input([], { start: '2026-02-31T08:00:00' }), '“2026-02-31T08:00:00” is not a date'],
  ])('%s', async (_, bad, message) => {
    await expect(schedule(bad)).rejects.toThrow(message);
    await expect(schedule(bad)).rejects.toThrow(RangeError);
  });
});

const anyInput: fc.Arbitrary<ScheduleInput> = fc
  .array(
    fc.record({
      attended: fc.integer({ min: 0, max: 200 }),
      unattended: fc.constantFrom(0, 0, 30, 120, 900, 1500),
      clamps: fc.integer({ min: 0, max: 4 }),
      links: fc.array(fc.nat(20), { maxLength: 2 }),
    }),
    { minLength: 1, maxLength: 14 },
  )
  .map((rows) =>
    input(
      rows.map((r, i) =>
        task(
          `t${i}`,
          r.attended,
          r.unattended,
          r.links.filter((l) => l < i).map((l) => `t${l}`),
          { needs: { clamps: r.clamps } },
        ),
      ),
      { tries: 40 },
    ),
  );

test('invariants: order, hours, hands, clamps and the bound', async () => {
  await fc.assert(
    fc.asyncProperty(anyInput, async (given) => {
      const s = await schedule(given);
      const when = new Map(
        s.tasks.map((t) => [
          t.id,
          { start: minutesFrom(t.start), mid: minutesFrom(t.attendedEnd), end: minutesFrom(t.end) },
        ]),
      );
      const calendar = calendarOf(given.workingHours);
      for (const t of given.tasks) {
        const w = when.get(t.id);
        if (!w) throw new Error('missing');
        expect(w.mid - w.start).toBe(t.attendedMin);
        expect(w.end - w.mid).toBe(t.unattendedMin);
        expect(nextWorkable(calendar, w.start, t.attendedMin)).toBe(w.start);
        for (const p of t.after) expect(w.start).toBeGreaterThanOrEqual(when.get(p)?.end ?? 0);
      }
      for (const point of [...when.values()].flatMap((w) => [w.start, w.mid])) {
        const holding = given.tasks.filter(
          (t) => (when.get(t.id)?.start ?? 0) <= point && (when.get(t.id)?.end ?? 0) > point,
        );
        expect(holding.reduce((n, t) => n + (t.needs?.clamps ?? 0), 0)).toBeLessThanOrEqual(6);
        const busy = given.tasks.filter(
          (t) => (when.get(t.id)?.start ?? 0) <= point && (when.get(t.id)?.mid ?? 0) > point,
        );
        expect(busy.length).toBeLessThanOrEqual(1);
      }
      expect(s.finish >= s.lowerBound).toBe(true);
      expect(await schedule(given)).toEqual(s);
    }),
    { numRuns: 120 },
  );
});

/**
 * The best finish of a small case, written apart from the scheduler: a shop clock in steps of five minutes, every order that keeps
 * predecessors first, each task at the first step at which hours, hands and clamps allow it. For a finish, one of these orders is
 * always best (active schedules). Minutes after midnight of the first day.
 */
function bestFinish(tasks: readonly ScheduleTask[], clamps: number): number {
  const STEP = 5;
  const [opens, closes] = [8 * 60, 17 * 60];
  type Spot = { from: number; mid: number; to: number; clamps: number };
  const inHours = (from: number, mid: number): boolean => {
    const clock = from % 1440;
    return from === mid || (clock >= opens && clock + (mid - from) <= closes);
  };
  const fits = (t: ScheduleTask, from: number, spots: readonly Spot[]): boolean => {
    const [mid, to] = [from + t.attendedMin, from + t.attendedMin + t.unattendedMin];
    if (!inHours(from, mid)) return false;
    for (let now = from; now < to; now += STEP) {
      const here = spots.filter((s) => s.from <= now && now < s.to);
      if (here.reduce((n, s) => n + s.clamps, 0) + (t.needs?.clamps ?? 0) > clamps) return false;
      if (now < mid && here.some((s) => now < s.mid)) return false;
    }
    return true;
  };
  let best = Infinity;
  const place = (left: readonly ScheduleTask[], spots: ReadonlyMap<string, Spot>): void => {
    const finish = Math.max(0, ...[...spots.values()].map((s) => s.to));
    if (finish >= best) return;
    if (left.length === 0) {
      best = finish;
      return;
    }
    for (const t of left.filter((x) => x.after.every((id) => spots.has(id)))) {
      let from = Math.max(opens, ...t.after.map((id) => spots.get(id)?.to ?? 0));
      while (!fits(t, from, [...spots.values()])) from += STEP;
      const mid = from + t.attendedMin;
      const spot = { from, mid, to: mid + t.unattendedMin, clamps: t.needs?.clamps ?? 0 };
      place(
        left.filter((x) => x !== t),
        new Map([...spots, [t.id, spot]]),
      );
    }
  };
  place(tasks, new Map());
  return best;
}

/** As above in whole steps of five minutes. */
const inSteps = (t: ScheduleTask): ScheduleTask => ({
  ...t,
  attendedMin: 5 * Math.round(t.attendedMin / 5),
  unattendedMin: 5 * Math.round(t.unattendedMin / 5),
});

test('the reference by hand: two jobs of 40 min that hold four clamps each for a day go one after the other with six clamps, at once with eight', () => {
  const long = (id: string) => task(id, 40, 1440, [], { needs: { clamps: 4 } });
  expect(bestFinish([long('a'), long('b')], 6)).toBe(480 + 40 + 1440 + 40 + 1440);
  expect(bestFinish([long('a'), long('b')], 8)).toBe(480 + 80 + 1440);
});

test('small cases reach the optimum found apart, by walking every order', async () => {
  await fc.assert(
    fc.asyncProperty(
      anyInput.map((g) => ({ ...g, tasks: g.tasks.slice(0, 5).map(inSteps), tries: 400 })),
      async (given) => {
        const { finish } = await schedule(given);
        const midnight = minutesFrom('2026-03-02T00:00:00');
        expect(minutesFrom(finish) - midnight).toBe(bestFinish(given.tasks, 6));
      },
    ),
    { numRuns: 40, seed: 11 },
  );
});

test('a job can be stopped, and says how far it is', async () => {
  const tasks = Array.from({ length: 30 }, (_, i) => task(`t${i}`, 50, 700, [], { needs: { clamps: 3 } }));
  const seen: number[] = [];
  const stop = new AbortController();
  const job = { signal: stop.signal, progress: (f: number) => { seen.push(f); if (f > 0.2) stop.abort(); } }; // prettier-ignore
  await expect(schedule(input(tasks, { tries: 5000 }), job)).rejects.toThrow(/abort/i);
  expect(seen.length).toBeGreaterThan(2);
});

test('working minutes across nights', () => {
  const calendar = calendarOf({ from: '08:00', to: '17:00' });
  const t = (s: string) => minutesFrom(s);
  expect(afterWorking(calendar, t('2026-03-02T08:00:00'), 540)).toBe(t('2026-03-02T17:00:00'));
  expect(afterWorking(calendar, t('2026-03-02T16:00:00'), 90)).toBe(t('2026-03-03T08:30:00'));
  expect(afterWorking(calendar, t('2026-03-02T20:00:00'), 1080)).toBe(t('2026-03-04T17:00:00'));
});

test('the bound by hand: three tasks that hold all six clamps for two hours each cannot end before six hours', async () => {
  const holding = (id: string) => task(id, 10, 110, [], { needs: { clamps: 6 } });
  const round = { workingHours: { from: '00:00', to: '24:00' } };
  const { lowerBound, tasks } = await schedule(input(['a', 'b', 'c'].map(holding), round));
  expect(minutesFrom(lowerBound) - minutesFrom('2026-03-02T08:00:00')).toBe(3 * 120);
  expect(tasks).toHaveLength(3);
});
