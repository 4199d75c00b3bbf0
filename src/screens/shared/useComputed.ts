import useSWR, { type SWRResponse } from 'swr';
import type { Answer, ComputationName, Input } from '@/core/computations';
import { useChanges } from '@/records';
import { call, compute, type JobAnswer, type JobInput, type JobName } from '@/worker';
import { problemOf, type Problem } from './Trouble';

const ONCE = { revalidateOnFocus: false, shouldRetryOnError: false } as const;

/**
 * What a registered computation makes of its input, worked out in the worker whenever that is another; nothing without input.
 *
 * @param keep whether the answer before stays in sight while the next is worked out
 */
export const useComputed = <N extends ComputationName>(
  name: N,
  input: Input<N> | undefined,
  keep = true,
): SWRResponse<Answer<N> | undefined, Error> =>
  useSWR<Answer<N> | undefined, Error>(
    input === undefined ? null : [name, JSON.stringify(input)],
    () => (input === undefined ? undefined : compute(name, input)),
    { ...ONCE, keepPreviousData: keep },
  );

/**
 * What the worker makes of the records as they are stored, and again when one of them is another; the answer before stays in sight
 * meanwhile. Nothing without input.
 */
export function useFromStore<N extends JobName>(
  name: N,
  input: JobInput<N> | undefined,
): { data?: JobAnswer<N>; loading: boolean; problem?: Problem } {
  const changes = useChanges();
  const { data, error, isLoading, mutate } = useSWR<JobAnswer<N> | undefined, Error>(
    input === undefined ? null : [name, JSON.stringify(input), changes],
    () => (input === undefined ? undefined : call(name, input)),
    { ...ONCE, keepPreviousData: true },
  );
  return {
    ...(data === undefined ? {} : { data }),
    loading: isLoading,
    ...(error ? { problem: problemOf(error, () => void mutate()) } : {}),
  };
}
