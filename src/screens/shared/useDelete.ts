import { router, type Href } from 'expo-router';
import { useCallback } from 'react';
import { removeRecords, type Kind } from '@/records';
import { useSay } from '@/ui';
import { useAct } from './useAct';

/** Deletes records together, says what is gone and offers them back. @param leads where the page goes that was about them */
export function useDelete(): (
  refs: readonly { kind: Kind; id: string }[],
  what: string,
  leads?: Href,
) => Promise<void> {
  const act = useAct();
  const say = useSay();
  return useCallback(
    (refs, what, leads) =>
      act(async () => {
        const undo = await removeRecords(refs);
        if (leads !== undefined) router.replace(leads);
        say({ text: `${what} was deleted.`, action: { label: 'Undo', run: () => act(undo) } });
      }),
    [act, say],
  );
}
