import { useMemo, useState } from 'react';
import type { Schedule } from '@/core/bench';
import { daysOf, type Bar } from '@/core/front';
import { byTime, calendarOf } from '@/core/calendar';
import { barsOf, isTicked } from '@/core/job';
import { useShop } from '@/records';
import type { PieceTask } from '@/worker';
import { useBenchPlan, type ShownBench } from '../shared/useBench';

export type TimedTask = PieceTask & { when: Schedule['tasks'][number] };

export type BenchView = {
  plan: ShownBench;
  ticked: ReadonlySet<string>;
  timed: TimedTask[];
  todo: TimedTask[];
  next: TimedTask | undefined;
  finish: string;
  /** Days with something to do, `2026-03-02`. */
  days: string[];
  bars: Bar[];
  /** Steps that are ticked off, the last one first. */
  finished: { id: string; title: string; doneAt: string; aka?: string }[];
  /** Steps that a hand does, done or not. */
  all: number;
  hours: { from: number; to: number };
  /** Holds the days as they are shown while something is written up in them, whatever is planned meanwhile. */
  hold: (on: boolean) => void;
};

/** The plan of all pieces, or one, as the bench shows it. */
export function useBenchView(only: string | undefined): BenchView {
  const live = useBenchPlan();
  const [held, setHeld] = useState<ShownBench>();
  const plan = held ?? live;
  const { workingHours } = useShop().shop;
  const { tasks, done, schedule } = plan;
  const shown = useMemo(() => viewOf({ tasks, done, ...(schedule ? { schedule } : {}) }, only), [tasks, done, schedule, only]); // prettier-ignore
  const { fromMin, toMin } = calendarOf(workingHours);
  return {
    plan,
    ...shown,
    hours: { from: fromMin, to: toMin },
    hold: (on) => setHeld(on ? plan : undefined),
  };
}

/** Thousands of steps in a full shop: put in order once, not each time the page is drawn. */
function viewOf(
  { tasks, done, schedule }: Pick<ShownBench, 'tasks' | 'done' | 'schedule'>,
  only: string | undefined,
): Omit<BenchView, 'plan' | 'hours' | 'hold'> {
  const doneAtOf = new Map(done.map((d) => [d.taskId, d.doneAt]));
  const ticked = new Set(doneAtOf.keys());
  const when = new Map(schedule?.tasks.map((t) => [t.id, t]));
  const own = only ? tasks.filter((t) => t.pieceId === only) : tasks;
  const timed = own
    .flatMap((t): TimedTask[] => {
      const at = when.get(t.id);
      return at ? [{ ...t, when: at }] : [];
    })
    .sort((a, b) => byTime(a.when.start, b.when.start));
  const todo = timed.filter((t) => !ticked.has(t.id) && isTicked(t));
  const bars = schedule ? barsOf(own, schedule, ticked) : [];
  return {
    ticked,
    timed,
    todo,
    next: todo[0],
    finish: timed.reduce((latest, t) => (t.when.end > latest ? t.when.end : latest), ''),
    days: daysOf(bars),
    bars,
    finished: own
      .flatMap((t) => {
        const doneAt = doneAtOf.get(t.id);
        return doneAt === undefined
          ? []
          : [{ id: t.id, title: t.title, doneAt, ...(t.aka === undefined ? {} : { aka: t.aka }) }];
      })
      .sort((a, b) => byTime(b.doneAt, a.doneAt)),
    all: own.filter(isTicked).length,
  };
}
