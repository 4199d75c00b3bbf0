import { noteNewer } from './changes';
import { localNow } from './clock';
import { storage } from './storage';
import { createStore, type Exclusively } from './store';

/** One window changes records at a time, where the browser offers locks. */
const exclusively: Exclusively = (work) =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? navigator.locks.request('rustic-lantern-records', work)
    : work();

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
});
