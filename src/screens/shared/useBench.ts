import useSWR from 'swr';
import type { Deadline, Plan } from '@/core/job';
import { planningTime, useChanges, useList, type Stored } from '@/records';
import { type BenchPlan, call } from '@/worker';
import { problemOf, type Problem } from './Trouble';
import { useFromStore } from './useComputed';

const ONCE = { keepPreviousData: true, shouldRetryOnError: false, revalidateOnFocus: false } as const;

/** The plan of a piece, made in the worker; the last one stays in sight while a new one is made. */
export function usePlan(pieceId: string | undefined): { plan?: Plan; loading: boolean; problem?: Problem } {
  const { data, ...state } = useFromStore('plan', pieceId ? { pieceId } : undefined);
  return { ...(data && data.pieceId === pieceId ? { plan: data } : {}), ...state };
}

/** How the day a piece is wanted by stands; nothing without such a day. */
export const useDeadline = (pieceId: string): Deadline | undefined =>
  useFromStore('deadline', { pieceId, at: planningTime() }).data;

export type ShownBench = Omit<BenchPlan, 'problem'> & {
  log: Stored<'log'>[];
  loading: boolean;
  problem?: Problem;
};

const NO_BENCH: BenchPlan = { tasks: [], done: [] };

/** When to do what, over all pieces, planned in the worker: a first answer at once, and a better one while it is looked at. */
export function useBenchPlan(): ShownBench {
  const changes = useChanges();
  const log = useList('log');
  const at = planningTime();
  const first = useSWR<BenchPlan, Error>(
    ['bench-first', at, changes],
    () => call('bench', { at, tries: 0 }),
    ONCE,
  );
  const better = useSWR<BenchPlan, Error>(
    first.data ? ['bench', at, changes] : null,
    () => call('bench', { at }),
    {
      ...ONCE,
      keepPreviousData: false,
    },
  );
  const error = better.error ?? first.error;
  const { problem, ...shown } = better.data ?? first.data ?? NO_BENCH;
  const again = (): void => void (better.error ? better.mutate() : first.mutate());
  return {
    ...shown,
    ...(error ? { problem: problemOf(error, again) } : problem ? { problem: { words: problem } } : {}),
    log: log.records,
    loading: log.loading || first.isLoading,
  };
}
