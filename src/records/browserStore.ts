import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { formatISO } from 'date-fns/formatISO';
import { createStore, type Exclusively } from './store';

/** The present local time without zone, `2026-03-02T08:00:00`. */
export const localNow = (): string => formatISO(new Date()).slice(0, 19);

/** One window changes records at a time, where the browser offers locks. */
const exclusively: Exclusively = (work) =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? navigator.locks.request('rustic-lantern-records', work)
    : work();

export const browserStore = createStore(createAsyncStorage('rustic-lantern'), { now: localNow, exclusively });

/** A new name for a record: random, so that two browsers never give the same one. */
export const newId = (): string => crypto.randomUUID();
