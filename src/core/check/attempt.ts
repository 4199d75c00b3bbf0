/** A result, or the sentence that says why there is none. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: string };

export function attempt<T>(work: () => T): Result<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, problem: error.message };
    throw error;
  }
}
