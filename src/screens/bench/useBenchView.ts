import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import type { Schedule } from '@/core/bench';
import { useShop } from '@/records';
import { isTicked, useBenchPlan, type BenchPlan, type PieceTask } from '../shared/useBench';
import type { StripTask } from './DayStrip';

export type TimedTask = PieceTask & { when: Schedule['tasks'][number] };

export const dayText = (day: string): string => format(parseISO(day), 'EEEE d MMMM');
const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));

export type BenchView = {
  plan: BenchPlan;
  ticked: ReadonlySet<string>;
  timed: TimedTask[];
  todo: TimedTask[];
  next: TimedTask | undefined;
  finish: string;
  /** Days with something to do, `2026-03-02`. */
  days: string[];
  strips: StripTask[];
  hours: { from: number; to: number };
};

/** The plan of all pieces, or one, as the bench shows it. */
export function useBenchView(only: string | undefined): BenchView {
  const plan = useBenchPlan();
  const { shop } = useShop();
  const ticked = new Set(plan.done.map((d) => d.taskId));
  const when = new Map(plan.schedule?.tasks.map((t) => [t.id, t]));
  const timed = plan.tasks
    .flatMap((t): TimedTask[] => {
      const at = when.get(t.id);
      return at && (!only || t.pieceId === only) ? [{ ...t, when: at }] : [];
    })
    .sort((a, b) => a.when.start.localeCompare(b.when.start));
  const todo = timed.filter((t) => !ticked.has(t.id) && isTicked(t));
  const [next] = todo;
  return {
    plan,
    ticked,
    timed,
    todo,
    next,
    finish: timed.reduce((latest, t) => (t.when.end > latest ? t.when.end : latest), ''),
    days: [...new Set(todo.map((t) => t.when.start.slice(0, 10)))],
    strips: timed.map((t): StripTask => ({
      ...t.when,
      title: t.title,
      lit: t.id === next?.id,
      done: ticked.has(t.id),
    })),
    hours: { from: minutesOf(shop.workingHours.from), to: minutesOf(shop.workingHours.to) },
  };
}
