/** Who waits longer than this for a turn is told so. */
const MOST_WAIT_MS = 60_000;

export class Waited extends Error {
  override name = 'Waited';
}

export type Turns = {
  waiting: () => number;
  /** Waits for a turn; the returned function gives it on. @throws Waited, or AbortError when nobody waits any more */
  take: (signal: AbortSignal) => Promise<() => void>;
};

/** One after the other, so that the time of whoever has the turn counts from its beginning. */
export function createTurns({ mostWaitMs = MOST_WAIT_MS } = {}): Turns {
  let taken = false;
  const queue: (() => void)[] = [];
  const next = (): void => {
    const first = queue.shift();
    if (first) first();
    else taken = false;
  };
  return {
    waiting: () => queue.length,
    take(signal) {
      if (!taken) {
        taken = true;
        return Promise.resolve(next);
      }
      return new Promise((resolve, reject) => {
        const leave = (error: Error): void => {
          const at = queue.indexOf(turn);
          if (at < 0) return;
          queue.splice(at, 1);
          over();
          reject(error);
        };
        const gone = (): void => leave(new DOMException('Nobody waits any more.', 'AbortError'));
        const late = setTimeout(
          () =>
            leave(
              new Waited(`It waited ${mostWaitMs / 1000} s for its turn and was not begun. Ask again later.`),
            ),
          mostWaitMs,
        );
        const over = (): void => {
          clearTimeout(late);
          signal.removeEventListener('abort', gone);
        };
        const turn = (): void => {
          over();
          resolve(next);
        };
        signal.addEventListener('abort', gone, { once: true });
        queue.push(turn);
      });
    },
  };
}
