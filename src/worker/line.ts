/** What a worker says from within long work: it is busy, and there. */
export const BEAT = 'beat';

/** How often a worker that has work is asked whether it is still there, and how many times it may neither answer nor beat. */
const BEAT_MS = 2000;
const MOST_MISSED = 6;

/** The worker stopped before it had answered: it could not be loaded, or the browser took it away. */
export class WorkerLost extends Error {
  override name = 'WorkerLost';
}

const NOT_LOADED =
  'The part of the app that works things out could not be loaded. What was saved is safe. Reload the page; without a network, open the app once with one.';
const STOPPED =
  'The part of the app that works things out stopped; the browser may have needed its room. What was saved is safe, and it is started again: please do this once more.';

export type Line<R> = {
  remote: R;
  /** Fails when the worker is lost, and never ends otherwise. */
  lost: Promise<never>;
  /** Work is under way until the returned function is called; only then the worker is asked whether it is there. */
  busy: () => () => void;
};

/**
 * A worker and the watch over it.
 *
 * @param ping answered by the worker as soon as it has a moment
 * @param onLost called once, before anyone is told
 */
export function openLine<R>(
  worker: Worker,
  remote: R,
  ping: () => Promise<unknown>,
  onLost: () => void,
): Line<R> {
  let fail: (error: Error) => void = () => undefined;
  const lost = new Promise<never>((_, reject) => (fail = reject));
  lost.catch(() => undefined);
  let working = 0;
  let missed = 0;
  let heard = false;
  let timer: ReturnType<typeof setInterval> | undefined;
  const close = (): void => {
    clearInterval(timer);
    worker.terminate();
    onLost();
    fail(new WorkerLost(heard ? STOPPED : NOT_LOADED));
  };
  worker.onerror = close;
  const there = (): void => {
    heard = true;
    missed = 0;
  };
  worker.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data === BEAT) there();
  });
  const beat = (): void => {
    if (++missed > MOST_MISSED) {
      close();
      return;
    }
    void ping().then(there);
  };
  return {
    remote,
    lost,
    busy() {
      if (working++ === 0) {
        missed = 0;
        beat();
        timer = setInterval(beat, BEAT_MS);
      }
      return () => {
        if (--working === 0) clearInterval(timer);
      };
    },
  };
}

/**
 * Work over a line that may be lost: done once more on a new line where that does no harm, told otherwise.
 *
 * @param again whether it may be done twice
 */
export async function overLine<R, T>(
  open: () => Line<R>,
  work: (remote: R) => Promise<T>,
  again: boolean,
): Promise<T> {
  for (let tries = 1; ; tries++) {
    const line = open();
    const done = line.busy();
    try {
      return await Promise.race([work(line.remote), line.lost]);
    } catch (error) {
      if (!(error instanceof WorkerLost) || !again || tries > 1) throw error;
    } finally {
      done();
    }
  }
}
