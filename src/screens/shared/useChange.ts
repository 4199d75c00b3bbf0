import { useCallback } from 'react';
import { changeRecord, ConflictError, type Bodies, type Kind, type Stored } from '@/records';
import { useSay } from '@/ui';
import { useAct } from './useAct';

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
