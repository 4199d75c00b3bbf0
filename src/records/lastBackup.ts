import useSWR, { mutate } from 'swr';
import { storage } from './storage';

const KEY = 'backup';
const TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}$/;

/** When the whole shop was last saved to a file, local time; nothing when it never was. */
export async function lastBackup(): Promise<string | undefined> {
  const at = await storage.getItem(KEY);
  return at !== null && TIME.test(at) ? at : undefined;
}

export async function noteBackup(at: string): Promise<void> {
  await storage.setItem(KEY, at);
  await mutate(KEY, at, { revalidate: false });
}

export function useLastBackup(): { at?: string; loading: boolean } {
  const { data, isLoading } = useSWR<string | undefined>(KEY, lastBackup);
  return data === undefined ? { loading: isLoading } : { at: data, loading: isLoading };
}
