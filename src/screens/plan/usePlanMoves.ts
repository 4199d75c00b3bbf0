import useSWR from 'swr';
import type { Moves } from '@/core/job';
import { planningTime, useChanges } from '@/records';
import { planMoves } from '@/worker';

/** What moving a phase, or finishing a part apart, would change; worked out when it is asked for. */
export function usePlanMoves(pieceId: string, wanted: boolean): { moves?: Moves; loading: boolean } {
  const changes = useChanges();
  const at = planningTime();
  const { data, isLoading } = useSWR<Moves | undefined, Error>(
    wanted ? ['moves', pieceId, at, changes] : null,
    () => planMoves(pieceId, at),
    { keepPreviousData: true, shouldRetryOnError: false, revalidateOnFocus: false },
  );
  return { ...(data ? { moves: data } : {}), loading: isLoading };
}
