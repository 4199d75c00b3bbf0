import { useCallback } from 'react';
import { useSay } from '@/ui';

/** The second tap of the same hand comes within this time. */
const SECOND_TAP_MS = 700;
const aMoment = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, SECOND_TAP_MS));

/**
 * Runs something that may be refused and says so in plain words; nothing fails silently. The promise ends a moment after it is over:
 * a button that waits for it does not take the second tap of a hand for another wish, on a page that is about to go.
 */
export function useAct(): (work: () => Promise<unknown> | unknown) => Promise<void> {
  const say = useSay();
  return useCallback(
    async (work) => {
      try {
        await work();
        await aMoment();
      } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') return;
        say({ text: error instanceof Error ? error.message : String(error), stop: true });
      }
    },
    [say],
  );
}
