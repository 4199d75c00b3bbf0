/**
 * What a long computation may use of the world: it can be stopped, it can tell how far it is, and it can let
 * others run. The doors (worker, server, shell) supply it, so that the computation itself stays pure.
 */
export type JobContext = {
  signal?: AbortSignal;
  progress?: (fraction: number) => void;
  pause?: () => Promise<void>;
  /** Says that work goes on where it cannot pause; costs next to nothing. */
  beat?: () => void;
};

/**
 * Called between portions of long work: reports, yields, and stops when asked to.
 *
 * @param fraction how much is done, 0…1
 * @throws DOMException named AbortError when the job was cancelled
 */
export async function breathe(job: JobContext, fraction: number): Promise<void> {
  job.beat?.();
  job.progress?.(fraction);
  await job.pause?.();
  job.signal?.throwIfAborted();
}
