import { readFront, type Front } from '@/core/front';
import { storage } from './storage';

const KEY = 'front';

export const loadFront = async (): Promise<Front | undefined> => readFront(await storage.getItem(KEY));

/** Keeps what the first page shows, for the next time it is opened. */
export const keepFront = (front: Front): Promise<void> => storage.setItem(KEY, JSON.stringify(front));
