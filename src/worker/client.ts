import * as Comlink from 'comlink';
import type { Answer, ComputationName, Input } from '@/core/computations';
import { openLine, overLine, type Line } from './line';
import type { Progress } from './job';
import type { Jobs, ShopWorker } from './shop.worker';

export type JobName = keyof Jobs;
export type JobInput<N extends JobName> = Parameters<Jobs[N]>[0];
export type JobAnswer<N extends JobName> = Awaited<ReturnType<Jobs[N]>>;

/** What would do harm if it were done twice. */
const ONCE: readonly JobName[] = ['takeBackup', 'takeBackupBack', 'thin'];

export type JobOptions = { signal?: AbortSignal; onProgress?: Progress };

let line: Line<Comlink.Remote<ShopWorker>> | undefined;
let lastId = 0;

function shop(): Line<Comlink.Remote<ShopWorker>> {
  if (line) return line;
  // Metro finds the worker by this literal; it must be written exactly so.
  const worker = new Worker(new URL('./shop.worker', import.meta.url));
  const remote = Comlink.wrap<ShopWorker>(worker);
  line = openLine(
    worker,
    remote,
    () => remote.ping(),
    () => (line = undefined),
  );
  return line;
}

/**
 * Has the worker do one of its jobs; an abort reaches it there. Input errors come back as RangeError. A worker that is lost is
 * started again, and what does no harm twice is done once more.
 */
export async function call<N extends JobName>(
  name: N,
  input: JobInput<N>,
  options: JobOptions = {},
): Promise<JobAnswer<N>> {
  options.signal?.throwIfAborted();
  const id = ++lastId;
  const cancel = (): void => void line?.remote.cancel(id);
  options.signal?.addEventListener('abort', cancel, { once: true });
  const onProgress = options.onProgress ? Comlink.proxy(options.onProgress) : undefined;
  try {
    const outcome = await overLine(
      shop,
      async (remote) => await remote.call(id, name, input, onProgress),
      !ONCE.includes(name),
    );
    // Both ends are made from one table of jobs: what comes back under a name is what that job gives.
    if ('value' in outcome) return outcome.value as JobAnswer<N>;
    if (outcome.kind === 'aborted') throw new DOMException(outcome.error, 'AbortError');
    throw outcome.kind === 'input' ? new RangeError(outcome.error) : new Error(outcome.error);
  } finally {
    options.signal?.removeEventListener('abort', cancel);
  }
}

/** Runs a registered computation in the worker. */
export const compute = async <N extends ComputationName>(
  name: N,
  input: Input<N>,
  options: JobOptions = {},
): Promise<Answer<N>> => (await call('compute', { name, input }, options)) as Answer<N>;
