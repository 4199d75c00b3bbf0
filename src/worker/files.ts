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

type OfFile = { file: Blob; name: string };

export const files = {
  /** Packs everything, or one piece, and reads the file back before it says that it is whole. @param only a piece's id */
  async saveBackup(
    { savedAt, only }: { savedAt: string; only?: string },
    context: JobContext,
  ): Promise<{ blob: Blob; manifest: Manifest }> {
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
  },

  /** What taking a file in would do; nothing is changed. */
  previewBackup: async ({ file, name }: OfFile, context: JobContext): Promise<Preview> =>
    previewBackup(browserStore, await openBackup(file, name, context), localNow(), context),

  /** @param at with the name of this browser */
  async takeBackup(
    { file, name, choices, at }: OfFile & { choices: TakeChoices; at: { now: string; device: string } },
    context: JobContext,
  ): Promise<Taken> {
    const backup = await (openedBackup?.key === fileKey(file, name)
      ? openedBackup.backup
      : openBackup(file, name, half(context, 0)));
    return takeBackup(browserStore, backup, choices, at, half(context, 0.5));
  },

  takeBackupBack: ({ taken }: { taken: Taken }): Promise<void> => takeBackupBack(browserStore, taken),

  /** What takes room in this browser, and which photos could go. */
  room: (_: object, { progress }: JobContext): Promise<Room> => roomTaken(browserStore, localNow(), progress),

  /** Makes photos smaller of which nothing is measured; gives the bytes that were gained. @param device name of this browser */
  thin: (
    { pictures, device }: { pictures: string[]; device: string },
    { progress }: JobContext,
  ): Promise<number> => thinPictures(browserStore, pictures, { shrink, newId, device }, progress),
};
