import { useCallback } from 'react';
import { changeRecord, ConflictError, type Bodies, type Kind, type Stored } from '@/records';
import { useSay } from '@/ui';
import { useAct } from './useAct';

/**
 * Changes a record; when another window was first, offers to let this change win. The promise says whether it was saved, and never
 * fails: why it was not is told here.
 */
export function useChange(): <K extends Exclude<Kind, 'picture'>>(
  record: Stored<K> | undefined,
  patch: Partial<Bodies[K]>,
) => Promise<boolean> {
  const say = useSay();
  const act = useAct();
  return useCallback(
    async (record, patch) => {
      if (!record) return false;
      try {
        await changeRecord(record, patch);
        return true;
      } catch (error) {
        say({
          text: error instanceof Error ? error.message : String(error),
          stop: true,
          ...(error instanceof ConflictError
            ? { action: { label: 'Use mine', run: () => act(() => changeRecord(record, patch, true)) } }
            : {}),
        });
        return false;
      }
    },
    [act, say],
  );
}
