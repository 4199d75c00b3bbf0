import useSWR from 'swr';
import type { Plan } from '@/core/job';
import { planningTime, useChanges, useList, type Stored } from '@/records';
import { planBench, planPiece, type BenchPlan } from '@/worker';

/** The plan of a piece, made in the worker; the last one stays in sight while a new one is made. */
export function usePlan(pieceId: string | undefined): { plan?: Plan; loading: boolean; problem?: string } {
  const changes = useChanges();
  const { data, error, isLoading } = useSWR<Plan | undefined, Error>(
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
    ...(error ? { problem: error.message } : {}),
  };
}

export type ShownBench = BenchPlan & { log: Stored<'log'>[]; loading: boolean };

const NO_BENCH: BenchPlan = { tasks: [], done: [] };

/** When to do what, over all pieces, planned in the worker. */
export function useBenchPlan(): ShownBench {
  const changes = useChanges();
  const log = useList('log');
  const at = planningTime();
  const { data, error, isLoading } = useSWR<BenchPlan, Error>(['bench', at, changes], () => planBench(at), {
    keepPreviousData: true,
    shouldRetryOnError: false,
    revalidateOnFocus: false,
  });
  return {
    ...(data ?? NO_BENCH),
    ...(error ? { problem: error.message } : {}),
    log: log.records,
    loading: log.loading || isLoading,
  };
}
