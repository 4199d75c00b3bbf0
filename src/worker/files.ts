// The shop in files, and the room it takes.
import type { JobContext } from '@/core/check';
import {
  previewBackup,
  readBackup,
  takeBackup,
  takeBackupBack,
  writeBackup,
  type Backup,
  type Manifest,
  type Preview,
  type TakeChoices,
  type Taken,
} from '@/records/backup';
import { localNow } from '@/records/clock';
import { browserStore, newId } from '@/records/browserStore';
import { roomTaken, thinPictures, type Room } from '@/records/room';
import { shrink } from './photos';
import { job, type Outcome, type Progress } from './job';

/** The backup that was opened last, with how it was read: what is taken in is what was looked at. */
let openedBackup: { key: string; backup: Promise<Backup> } | undefined;
const fileKey = (file: Blob, name: string): string =>
  `${name} ${file.size} ${file instanceof File ? file.lastModified : 0}`;
const half = (context: JobContext, from: number): JobContext => ({
  ...context,
  progress: (f) => context.progress?.(from + f / 2),
});
function openBackup(file: Blob, name: string, context: JobContext): Promise<Backup> {
  const backup = readBackup(file, name, context);
  openedBackup = { key: fileKey(file, name), backup };
  backup.catch(() => (openedBackup = undefined));
  return backup;
}

export const files = {
  /** Packs the shop, or one piece of it, and reads the file back before it says that it is whole. */
  saveBackup(
    id: number,
    savedAt: string,
    only: string | undefined,
    onProgress?: Progress,
  ): Promise<Outcome<{ blob: Blob; manifest: Manifest }>> {
    return job(id, onProgress, async (context) => {
      const made = await writeBackup(
        browserStore,
        { savedAt, ...(only === undefined ? {} : { only }) },
        half(context, 0),
      );
      const back = await readBackup(made.blob, 'The backup', half(context, 0.5));
      const [bad] = back.unreadable;
      const whole = made.manifest.counts.picture === back.pictures.length;
      if (bad || !whole)
        throw new Error(
          `The file was packed and does not read back whole${bad ? ` (${bad.part}: ${bad.reason})` : ''}, so it was not saved. Your work here is safe. Try once more, with fewer other pages open.`,
        );
      return made;
    });
  },

  /** What taking a file in would do. */
  previewBackup(id: number, file: Blob, name: string, onProgress?: Progress): Promise<Outcome<Preview>> {
    return job(id, onProgress, async (context) =>
      previewBackup(browserStore, await openBackup(file, name, context), localNow(), context),
    );
  },

  /** @param device name of this browser */
  takeBackup(
    id: number,
    file: Blob,
    name: string,
    choices: TakeChoices,
    at: { now: string; device: string },
    onProgress?: Progress,
  ): Promise<Outcome<Taken>> {
    return job(id, onProgress, async (context) => {
      const backup = await (openedBackup?.key === fileKey(file, name)
        ? openedBackup.backup
        : openBackup(file, name, half(context, 0)));
      return takeBackup(browserStore, backup, choices, at, half(context, 0.5));
    });
  },

  takeBackupBack(id: number, taken: Taken): Promise<Outcome<void>> {
    return job(id, undefined, () => takeBackupBack(browserStore, taken));
  },

  /** What takes room in the store, and which photos could go. */
  room(id: number, onProgress?: Progress): Promise<Outcome<Room>> {
    return job(id, onProgress, ({ progress }) => roomTaken(browserStore, localNow(), progress));
  },

  /** Makes photos smaller of which nothing is measured; gives the bytes that were gained. @param device name of this browser */
  thin(id: number, pictures: string[], device: string, onProgress?: Progress): Promise<Outcome<number>> {
    return job(id, onProgress, ({ progress }) =>
      thinPictures(browserStore, pictures, { shrink, newId, device }, progress),
    );
  },
};
