import { createPicture } from '@/records';
import { call } from '@/worker';

/** A photo with the size at which it is kept. */
export type KeptPhoto = { id: string; widthPx: number; heightPx: number };

const MOST_NAME = 200;

/**
 * Brings a photo into the store: checked, turned upright, made smaller.
 *
 * @throws RangeError for what is no picture; StoreError when the store refuses it
 */
export async function keepPhoto(file: File): Promise<KeptPhoto> {
  const { jpeg, widthPx, heightPx } = await call('storePicture', { file, name: file.name });
  const id = await createPicture({ name: file.name.slice(0, MOST_NAME), jpeg, widthPx, heightPx });
  return { id, widthPx, heightPx };
}
