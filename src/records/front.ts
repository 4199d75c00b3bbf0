import useSWR, { mutate } from 'swr';
import { NO_FRONT, type Front } from '@/core/front';
import { loadFront } from './frontStore';

const KEY = 'front';

/** What the first page showed last; at once, without loading records. */
export function useFront(): { front: Front; loading: boolean } {
  const { data, isLoading } = useSWR<Front | undefined>(KEY, loadFront);
  return { front: data ?? NO_FRONT, loading: isLoading };
}

/** Shows a front that was just made. */
export const showFront = (front: Front): Promise<unknown> => mutate(KEY, front, { revalidate: false });
