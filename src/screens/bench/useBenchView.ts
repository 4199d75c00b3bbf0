import { useState } from 'react';
import type { Schedule } from '@/core/bench';
import { daysOf, type Bar } from '@/core/front';
import { calendarOf } from '@/core/calendar';
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
  const { shop } = useShop();
  const doneAtOf = new Map(plan.done.map((d) => [d.taskId, d.doneAt]));
  const ticked = new Set(doneAtOf.keys());
  const when = new Map(plan.schedule?.tasks.map((t) => [t.id, t]));
  const own = only ? plan.tasks.filter((t) => t.pieceId === only) : plan.tasks;
  const timed = own
    .flatMap((t): TimedTask[] => {
      const at = when.get(t.id);
      return at ? [{ ...t, when: at }] : [];
    })
    .sort((a, b) => a.when.start.localeCompare(b.when.start));
  const todo = timed.filter((t) => !ticked.has(t.id) && isTicked(t));
  const bars = plan.schedule ? barsOf(own, plan.schedule, ticked) : [];
  const { fromMin, toMin } = calendarOf(shop.workingHours);
  return {
    plan,
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
      .sort((a, b) => b.doneAt.localeCompare(a.doneAt)),
    all: own.filter(isTicked).length,
    hours: { from: fromMin, to: toMin },
    hold: (on) => setHeld(on ? plan : undefined),
  };
}
