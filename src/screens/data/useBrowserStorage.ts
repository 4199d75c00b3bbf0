import useSWR from 'swr';

export type BrowserStorage = {
  /** What the browser says is taken and may be taken, in bytes; not every browser says it. */
  usedBytes?: number;
  mostBytes?: number;
  /** The browser has promised not to clear it by itself. */
  kept?: boolean;
};

async function look(): Promise<BrowserStorage> {
  if (!('storage' in navigator)) return {};
  const { usage, quota } = await navigator.storage.estimate();
  const kept = await navigator.storage.persisted();
  return {
    ...(usage === undefined ? {} : { usedBytes: usage }),
    ...(quota === undefined ? {} : { mostBytes: quota }),
    kept,
  };
}

/** What the browser says of its store, and a way to ask it to keep what is there. */
export function useBrowserStorage(): { said: BrowserStorage; ask: () => Promise<boolean> } {
  const { data = {}, mutate } = useSWR<BrowserStorage>('browser-storage', look);
  return {
    said: data,
    async ask() {
      const promised = 'storage' in navigator && (await navigator.storage.persist());
      await mutate();
      return promised;
    },
  };
}
