import type { JobContext } from '@/core/check';
import { BEAT } from './line';

export type Progress = (fraction: number) => void;

/** Errors cross to the page as plain data: structured cloning would turn a RangeError into something else on the way. */
export type Outcome<T> = { value: T } | { error: string; kind: 'input' | 'aborted' | 'other' };

const running = new Map<number, AbortController>();

/** Lets messages in (such as a cancel) between portions of work; timers would be slowed down by the browser. */
const pause = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(0);
  });

/** A worker that is at work says so about as often. */
const BEAT_EVERY_MS = 500;
let beaten = 0;

/** Called from within long work: whoever waits hears that it goes on, though no message can be answered meanwhile. */
export function beat(): void {
  const now = performance.now();
  if (now - beaten < BEAT_EVERY_MS) return;
  beaten = now;
  if (typeof self !== 'undefined' && typeof self.postMessage === 'function') self.postMessage(BEAT);
}

/** Does a job that can be cancelled by its number, and says how it came out. */
export async function job<T>(
  id: number,
  onProgress: Progress | undefined,
  work: (context: JobContext) => Promise<T>,
): Promise<Outcome<T>> {
  const controller = new AbortController();
  running.set(id, controller);
  try {
    const progress = (f: number): void => {
      beat();
      onProgress?.(f);
    };
    return { value: await work({ signal: controller.signal, progress, pause, beat }) };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    const kind = controller.signal.aborted ? 'aborted' : error instanceof RangeError ? 'input' : 'other';
    return { error: message, kind };
  } finally {
    running.delete(id);
  }
}

export const cancel = (id: number): void => running.get(id)?.abort();
