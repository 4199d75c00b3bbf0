import { DAY_MIN, localFrom, minutesFrom } from '../calendar';
import type { ScheduleInput, ScheduleTask } from './network';
import type { BenchTask, DoneStep } from './task';

/** What is ticked off, under the names that the plan has now. */
export const creditedTo = (tasks: readonly BenchTask[], done: readonly DoneStep[]): DoneStep[] => {
  const byId = new Map(done.map((d) => [d.taskId, d]));
  return tasks.flatMap((t) => {
    const entry = byId.get(t.id) ?? (t.aka === undefined ? undefined : byId.get(t.aka));
    if (!entry) return [];
    const { doneAt, actualMin, faces, places } = entry;
    return [{ taskId: t.id, doneAt, actualMin, ...(faces ? { faces } : {}), ...(places ? { places } : {}) }];
  });
};

export type BenchShop = {
  resources: Record<string, number>;
  workingHours: { from: string; to: string };
};

/** What holds something already is there, however many are owned by now. */
const asOwned = (needs: Readonly<Record<string, number>>, { resources }: BenchShop): Record<string, number> =>
  Object.fromEntries(Object.entries(needs).map(([kind, n]) => [kind, Math.min(n, resources[kind] ?? 0)]));

/**
 * The input of `bench.schedule` for what is still to do. Steps that are done stand as facts at their real times, so glue that is setting
 * goes on setting; waiting that follows them runs on from their real end. What was over before yesterday is left out: a long log
 * costs nothing.
 *
 * @param now local time without zone
 */
export function benchInput(
  tasks: readonly BenchTask[],
  done: readonly DoneStep[],
  shop: BenchShop,
  now: string,
): ScheduleInput {
  const doneById = new Map(done.map((d) => [d.taskId, d]));
  const ends = new Map<string, number>();
  const known = new Set(tasks.map((t) => t.id));
  const scheduled = tasks.map((t): ScheduleTask => {
    const entry = doneById.get(t.id);
    const after = t.after.filter((id) => known.has(id));
    const plain = {
      id: t.id,
      attendedMin: t.attendedMin,
      unattendedMin: t.unattendedMin,
      after,
      needs: t.needs,
      attendedNeeds: t.attendedNeeds,
    };
    if (entry) {
      // What was done later than now was done by another clock: no wait is longer than the glue's own.
      const start = Math.min(minutesFrom(entry.doneAt), minutesFrom(now)) - entry.actualMin;
      ends.set(t.id, start + entry.actualMin + t.unattendedMin);
      // Hands that worked in the past are not planned again.
      return {
        ...plain,
        needs: asOwned(t.needs, shop),
        attendedMin: entry.actualMin,
        attendedNeeds: {},
        startedAt: localFrom(start),
      };
    }
    const begun = t.attendedMin === 0 && after.length > 0 && after.every((id) => ends.has(id));
    if (!begun) return plain;
    const start = Math.max(...after.map((id) => ends.get(id) ?? 0));
    ends.set(t.id, start + t.unattendedMin);
    return { ...plain, startedAt: localFrom(start) };
  });
  const yesterday = minutesFrom(`${now.slice(0, 10)}T00:00:00`) - DAY_MIN;
  const isOver = (id: string): boolean => (ends.get(id) ?? Infinity) < yesterday;
  const current = scheduled
    .filter((t) => !isOver(t.id))
    .map((t) => ({ ...t, after: t.after.filter((id) => !isOver(id)) }));
  return { tasks: current, resources: shop.resources, start: now, workingHours: shop.workingHours };
}
