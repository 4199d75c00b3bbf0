import type { Moves } from '@/core/job';
import { planningTime } from '@/records';
import { useFromStore } from '../shared/useComputed';

/** What moving a phase, or finishing a part apart, would change; worked out when it is asked for. */
export function usePlanMoves(pieceId: string, wanted: boolean): { moves?: Moves; loading: boolean } {
  const input = { pieceId, at: planningTime() };
  const { data, loading } = useFromStore('moves', wanted ? input : undefined);
  return { ...(data ? { moves: data } : {}), loading };
}
