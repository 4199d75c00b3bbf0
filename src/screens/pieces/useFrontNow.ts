import { useEffect, useMemo } from 'react';
import useSWR from 'swr';
import type { Bar, Front } from '@/core/front';
import { useChanges } from '@/records/changes';
import { planningTime } from '@/records/clock';
import { showFront, useFront } from '@/records/front';
import { call } from '@/worker';
import { problemOf, type Problem } from '../shared/Trouble';

export type FrontNow = { front: Front; loading: boolean; problem?: Problem };

const ONCE = { shouldRetryOnError: false, revalidateOnFocus: false } as const;

/**
 * What the first page shows: what was last known at once, and what is true now as soon as the worker has made it. The pieces do not
 * wait for the days.
 *
 * @param withDays the days ahead are in sight
 */
export function useFrontNow(withDays: boolean): FrontNow {
  const changes = useChanges();
  const { front, loading } = useFront();
  const pieces = useSWR<Front, Error>(['front', changes], () => call('front', {}), ONCE);
  const at = planningTime();
  // Whether a piece is ready on the day it is wanted is asked of the days too.
  const wanted = pieces.data?.pieces.some((p) => p.deadline !== undefined && p.rest === undefined) ?? false;
  const days = useSWR<Bar[], Error>(
    (withDays || wanted) && pieces.data ? ['front-days', at, changes] : null,
    () => call('days', { at }),
    ONCE,
  );
  const made = useMemo(
    () => pieces.data && { ...pieces.data, ...(days.data ? { bars: days.data } : {}) },
    [pieces.data, days.data],
  );
  useEffect(() => {
    if (made) void showFront(made);
  }, [made]);
  const error = pieces.error ?? days.error;
  const again = (): void => void (pieces.error ? pieces.mutate() : days.mutate());
  return {
    front: made ?? front,
    // An empty shop is told only when it is certain.
    loading: loading || (pieces.isLoading && front.pieces.length === 0),
    ...(error ? { problem: problemOf(error, again) } : {}),
  };
}
