import useSWR from 'swr';
import type { Deadline, Plan } from '@/core/job';
import { planningTime, useChanges, useList, type Stored } from '@/records';
import { planBench, planDeadline, planPiece, type BenchPlan } from '@/worker';
import { problemOf, type Problem } from './Trouble';

const ONCE = { keepPreviousData: true, shouldRetryOnError: false, revalidateOnFocus: false } as const;

/** The plan of a piece, made in the worker; the last one stays in sight while a new one is made. */
export function usePlan(pieceId: string | undefined): { plan?: Plan; loading: boolean; problem?: Problem } {
  const changes = useChanges();
  const { data, error, isLoading, mutate } = useSWR<Plan | undefined, Error>(
    pieceId ? ['plan', pieceId, changes] : null,
    () => planPiece(pieceId ?? ''),
    {
      keepPreviousData: true,
      shouldRetryOnError: false,
      revalidateOnFocus: false,
    },
  );
  return {
    ...(data && data.pieceId === pieceId ? { plan: data } : {}),
    loading: isLoading,
    ...(error ? { problem: problemOf(error, () => void mutate()) } : {}),
  };
}

/** How the day a piece is wanted by stands; nothing without such a day. */
export function useDeadline(pieceId: string): Deadline | undefined {
  const changes = useChanges();
  const at = planningTime();
  const { data } = useSWR<Deadline | undefined, Error>(
    ['deadline', pieceId, at, changes],
    () => planDeadline(pieceId, at),
    ONCE,
  );
  return data;
}

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
  const first = useSWR<BenchPlan, Error>(['bench-first', at, changes], () => planBench(at, 0), ONCE);
  const better = useSWR<BenchPlan, Error>(first.data ? ['bench', at, changes] : null, () => planBench(at), {
    ...ONCE,
    keepPreviousData: false,
  });
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
