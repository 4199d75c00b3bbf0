import { downloadBlob, fileName } from '@/instruments';
import { localNow, noteBackup, pendingTried } from '@/records';
import { useSay } from '@/ui';
import { call } from '@/worker';
import { useLong } from '../shared/useLong';

/** Saves the whole shop, or one piece, to a file that was read back before anything is said of it. */
export function useSaving(only?: { id: string; name: string }) {
  const { going, cancel, begin } = useLong();
  const say = useSay();
  const save = (): void =>
    begin(only ? 'Packing the piece' : 'Packing everything', async (options) => {
      await pendingTried();
      const now = localNow();
      const { blob, manifest } = await call('saveBackup', { savedAt: now, only: only?.id }, options);
      downloadBlob(blob, `rustic-lantern-${only ? `${fileName(only.name)}-` : ''}${now.slice(0, 10)}.zip`);
      if (!only) await noteBackup(now);
      const { piece, picture } = manifest.counts;
      say({
        text: `Saved, and read back whole: ${piece} ${piece === 1 ? 'piece' : 'pieces'}, ${picture} ${picture === 1 ? 'photo' : 'photos'}. It lies where your browser puts its downloads.`,
      });
    });
  return { going, cancel, save };
}
