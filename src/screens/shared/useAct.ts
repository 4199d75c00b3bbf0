import { useCallback } from 'react';
import { changeRecord, ConflictError, type Bodies, type Kind, type Stored } from '@/records';
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

/** Changes a record; when another window was first, offers to let this change win. */
export function useChange(): <K extends Exclude<Kind, 'picture'>>(
  record: Stored<K> | undefined,
  patch: Partial<Bodies[K]>,
) => void {
  const say = useSay();
  const act = useAct();
  return useCallback(
    (record, patch) => {
      if (!record) return;
      act(async () => {
        try {
          await changeRecord(record, patch);
        } catch (error) {
          if (!(error instanceof ConflictError)) throw error;
          say({
            text: error.message,
            stop: true,
            action: { label: 'Use mine', run: () => act(() => changeRecord(record, patch, true)) },
          });
        }
      });
    },
    [act, say],
  );
}
