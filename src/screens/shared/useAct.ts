import { useCallback } from 'react';
import { useSay } from '@/ui';

/** Runs something that may be refused and says so in plain words; nothing fails silently. */
export function useAct(): (work: () => Promise<unknown> | unknown) => void {
  const say = useSay();
  return useCallback(
    (work) => {
      Promise.resolve()
        .then(work)
        .catch((error: unknown) => {
          if (error instanceof DOMException && error.name === 'AbortError') return;
          say({ text: error instanceof Error ? error.message : String(error), stop: true });
        });
    },
    [say],
  );
}
