import { useEffect } from 'react';
import useSWR, { mutate } from 'swr';
import type { Kind } from './types';

/** Key of a list of records in the cache. */
export const listKey = (kind: Kind): string => `records/${kind}`;
const CHANGES = 'changes';
export const LOOK = 'look';

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('rustic-lantern');

/** How often records have changed since the page was loaded, here or in another window. */
export function useChanges(): number {
  const { data = 0 } = useSWR<number>(CHANGES, null);
  return data;
}

const NEWER = 'newer';

/** A newer version of the app has written in this browser: this page shows, and changes nothing. */
export function useNewer(): boolean {
  const { data = false } = useSWR<boolean>(NEWER, null);
  return data;
}

/** Tells the page, from wherever the newer record was met. */
export function noteNewer(): void {
  channel?.postMessage(NEWER);
  void mutate<boolean>(NEWER, true, { revalidate: false });
}

/** What was set aside is read again, and told where it would have been seen. */
export const noteAside = (): void => void changed([]);

const WAITING = 'waiting';

/** Another window has been writing for some seconds, and what this one changes waits for it. */
export function useWaiting(): boolean {
  const { data = false } = useSWR<boolean>(WAITING, null);
  return data;
}

export const noteWaiting = (waits: boolean): void =>
  void mutate<boolean>(WAITING, waits, { revalidate: false });

const CLEARING = 'clearing';

/** The store is being cleared from outside: what is open stands until the page is closed. */
export function useClearing(): boolean {
  const { data = false } = useSWR<boolean>(CLEARING, null);
  return data;
}

const noteClearing = (): void => void mutate<boolean>(CLEARING, true, { revalidate: false });

/** A transaction that ended because the store was taken away under it. */
const takenAway = (reason: unknown): boolean =>
  reason instanceof DOMException &&
  reason.name === 'AbortError' &&
  /connection was closed/.test(reason.message);

// The storage package throws then, where nobody can catch it; in a worker that would end the worker.
if (typeof globalThis.addEventListener === 'function') {
  globalThis.addEventListener('error', (event: ErrorEvent) => {
    if (!/is blocking upgrade/.test(event.message)) return;
    event.preventDefault();
    noteClearing();
  });
  // What was asked of the store is told by its own error; this is the package's second promise of the same transaction.
  globalThis.addEventListener('unhandledrejection', (event: PromiseRejectionEvent) => {
    if (!takenAway(event.reason)) return;
    event.preventDefault();
    noteClearing();
  });
}

/** Something that was typed, could not be saved, and is kept beside the store. */
export type Held = {
  key: string;
  /** The record it was typed into, as its owner would call it. */
  title: string;
  /** Field by field. */
  what: string[];
  /** The text itself. */
  text?: string;
  problem: string;
  /** Something else stands in the field by now. */
  conflict: boolean;
  /** The record is not there any more. */
  gone: boolean;
};

const HELD = 'held';
const NONE: Held[] = [];

export const noteHeld = (held: Held[]): void => void mutate<Held[]>(HELD, held, { revalidate: false });

/** What is kept beside the store because it could not be saved. */
export function useHeld(): Held[] {
  const { data = NONE } = useSWR<Held[]>(HELD, null);
  return data;
}

const TROUBLE = 'trouble';

/** Why the store cannot be read at the moment; nothing while it can. */
export function useTrouble(): string | undefined {
  const { data } = useSWR<string | undefined>(TROUBLE, null);
  return data;
}

export function noteTrouble(problem: string | undefined): void {
  void mutate<string | undefined>(TROUBLE, problem, { revalidate: false });
}

/** Whatever was made from records is made again. */
async function renew(kinds: readonly Kind[]): Promise<void> {
  await mutate<number>(CHANGES, (n = 0) => n + 1, { revalidate: false });
  if (kinds.includes('shop')) await mutate(LOOK);
}

/** Records of these kinds were written. */
export async function changed(kinds: readonly Kind[]): Promise<void> {
  channel?.postMessage([...kinds]);
  await renew(kinds);
}

/** Other windows' changes show here at once. Used once, at the root. */
export function useOtherWindows(): void {
  useEffect(() => {
    const listen = (event: MessageEvent<Kind[] | typeof NEWER>): void => {
      if (event.data === NEWER) {
        void mutate<boolean>(NEWER, true, { revalidate: false });
        return;
      }
      event.data.forEach((kind) => void mutate(listKey(kind)));
      void renew(event.data);
    };
    channel?.addEventListener('message', listen);
    return () => channel?.removeEventListener('message', listen);
  }, []);
}
