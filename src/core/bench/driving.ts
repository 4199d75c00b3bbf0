import type { ScheduledTask } from './network';

/**
 * The steps that hold up the end, from the first to the last: back from the one that ends last, each time to the one it waited for
 * longest. Between two of them lie hands, clamps or hours that were not free.
 */
export function drivingChain(
  tasks: readonly { id: string; after: readonly string[] }[],
  times: readonly ScheduledTask[],
): string[] {
  const at = new Map(times.map((t) => [t.id, t]));
  const afterOf = new Map(tasks.map((t) => [t.id, t.after]));
  const own = times.filter((t) => afterOf.has(t.id));
  const latest = (list: readonly ScheduledTask[]): ScheduledTask | undefined =>
    list.reduce<ScheduledTask | undefined>((best, t) => (best && best.end >= t.end ? best : t), undefined);
  const chain: string[] = [];
  for (let step = latest(own); step && !chain.includes(step.id);) {
    chain.unshift(step.id);
    step = latest((afterOf.get(step.id) ?? []).flatMap((id) => at.get(id) ?? []));
  }
  return chain;
}
