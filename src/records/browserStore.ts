import { noteAside, noteNewer } from './changes';
import { localNow } from './clock';
import { storage } from './storage';
import { createStore, type Exclusively } from './store';

/** What this window changes waits for what it changed before. */
let queue: Promise<unknown> = Promise.resolve();

/** One change at a time: in this window always, over all windows where the browser offers locks. */
const exclusively: Exclusively = (work) => {
  const next = queue.then(() =>
    typeof navigator !== 'undefined' && 'locks' in navigator
      ? navigator.locks.request('rustic-lantern-records', work)
      : work(),
  );
  queue = next.catch(() => undefined);
  return next;
};

const DEVICE = 'rustic-lantern.device';

/** The name of this browser, by which its changes are counted; given once. A worker writes only what has its counts already. */
export function deviceName(): string {
  if (typeof localStorage === 'undefined') return 'worker';
  try {
    const known = localStorage.getItem(DEVICE);
    if (known && /^[A-Za-z0-9_-]{1,64}$/.test(known)) return known;
    const made = newId();
    localStorage.setItem(DEVICE, made);
    return made;
  } catch {
    return 'unnamed';
  }
}

/** A new name for a record: random, so that two browsers never give the same one. */
export const newId = (): string => crypto.randomUUID();

export const browserStore = createStore(storage, {
  now: localNow,
  exclusively,
  device: deviceName,
  onNewer: noteNewer,
  onAside: noteAside,
});
