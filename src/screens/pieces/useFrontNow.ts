import { useEffect } from 'react';
import useSWR from 'swr';
import type { Front } from '@/core/front';
import { useChanges } from '@/records/changes';
import { planningTime } from '@/records/clock';
import { showFront, useFront } from '@/records/front';
import { planFront } from '@/worker';

export type FrontNow = { front: Front; loading: boolean; error?: Error };

/** What the first page shows: what was last known at once, and what is true now as soon as the worker has made it. */
export function useFrontNow(): FrontNow {
  const changes = useChanges();
  const { front, loading } = useFront();
  const at = planningTime();
  const { data, error, isLoading } = useSWR<Front, Error>(['front', at, changes], () => planFront(at), {
    shouldRetryOnError: false,
    revalidateOnFocus: false,
  });
  useEffect(() => {
    if (data) void showFront(data);
  }, [data]);
  return {
    front: data ?? front,
    // An empty shop is told only when it is certain.
    loading: loading || (isLoading && front.pieces.length === 0),
    ...(error ? { error } : {}),
  };
}
