import path from 'node:path';
import { Piscina } from 'piscina';
import { answer } from './answer';
import { createTurns } from './turns';

/** Threads that compute. One core stays with the answers. */
const THREADS = 1;
/** So many wait; who comes after that is asked to come again. */
const MOST_WAITING = 8;
/** Nothing that a page asks for takes so long. */
const MOST_MS = 30_000;
/** In that time a thread is free again. */
export const RETRY_AFTER_S = 5;

/** What takes less than a breath is done on the spot. */
const LIGHT: ReadonlySet<string> = new Set([
  'wood.moisture',
  'wood.movement',
  'colour.difference',
  'geometry.rectify',
  'press.camber',
  'finish.test',
  'units.length',
]);

export const BUSY_WORDS = 'The server is at work on others. Ask again in some seconds.';

export class Busy extends Error {
  override name = 'Busy';
}
export class TooLong extends Error {
  override name = 'TooLong';
}

export type Pool = {
  /** No more is taken on at the moment. */
  isFull: () => boolean;
  isLight: (name: string) => boolean;
  /** @throws RangeError for bad input, Busy, Waited, TooLong, or AbortError when nobody waits any more */
  run: (name: string, sent: Uint8Array, signal: AbortSignal) => Promise<unknown>;
  close: () => Promise<void>;
};

type Outcome = { value: unknown } | { error: string; kind: 'input' | 'other' };

/** Heavy computations in a thread, one after the other, with a time limit that counts from when they are begun and a short queue. A thread whose work is not wanted any more is ended. */
export function createPool({
  mostMs = MOST_MS,
  mostWaitMs,
}: { mostMs?: number; mostWaitMs?: number } = {}): Pool {
  const turns = createTurns(mostWaitMs === undefined ? {} : { mostWaitMs });
  const threads = new Piscina({
    filename: path.join(__dirname, 'compute.worker.cjs'),
    minThreads: THREADS,
    maxThreads: THREADS,
    idleTimeout: 60_000,
  });
  let closed = false;
  return {
    isFull: () => turns.waiting() >= MOST_WAITING,
    isLight: (name) => LIGHT.has(name),
    async run(name, sent, signal) {
      if (LIGHT.has(name)) return answer(name, sent, signal);
      if (turns.waiting() >= MOST_WAITING || closed) throw new Busy(BUSY_WORDS);
      const give = await turns.take(signal);
      const stop = new AbortController();
      const leave = (): void => stop.abort();
      let over = false;
      const timer = setTimeout(() => {
        over = true;
        stop.abort();
      }, mostMs);
      signal.addEventListener('abort', leave, { once: true });
      let outcome: Outcome;
      try {
        outcome = (await threads.run({ name, sent }, { signal: stop.signal })) as Outcome;
      } catch (error) {
        if (over)
          throw new TooLong(
            `This took longer than ${mostMs / 1000} s and was stopped. Ask for less: fewer tasks, fewer tries, or a coarser grid.`,
          );
        throw error;
      } finally {
        clearTimeout(timer);
        signal.removeEventListener('abort', leave);
        give();
      }
      if ('value' in outcome) return outcome.value;
      throw outcome.kind === 'input' ? new RangeError(outcome.error) : new Error(outcome.error);
    },
    async close() {
      closed = true;
      await threads.destroy();
    },
  };
}
