import { localNow } from './clock';
import { storage } from './storage';
import { createStore, type Exclusively } from './store';

/** One window changes records at a time, where the browser offers locks. */
const exclusively: Exclusively = (work) =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? navigator.locks.request('rustic-lantern-records', work)
    : work();

export const browserStore = createStore(storage, { now: localNow, exclusively });

/** A new name for a record: random, so that two browsers never give the same one. */
export const newId = (): string => crypto.randomUUID();
