import { noteAside, noteNewer, noteWaiting } from './changes';
import { localNow } from './clock';
import { storage } from './storage';
import { createStore, type Exclusively } from './store';

/** What this window changes waits for what it changed before. */
let queue: Promise<unknown> = Promise.resolve();

/** A window that waits longer than this for another says so. */
const PATIENCE_MS = 2000;

async function locked<T>(work: () => Promise<T>): Promise<T> {
  let told = false;
  const timer = setTimeout(() => {
    told = true;
    noteWaiting(true);
  }, PATIENCE_MS);
  const over = (): void => {
    clearTimeout(timer);
    if (told) noteWaiting(false);
  };
  return navigator.locks.request('rustic-lantern-records', () => {
    over();
    return work();
  });
}

/** One change at a time: in this window always, over all windows where the browser offers locks. */
const exclusively: Exclusively = (work) => {
  const next = queue.then(() =>
    typeof navigator !== 'undefined' && 'locks' in navigator ? locked(work) : work(),
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
