/** Answers that are kept, a few for each piece of a large shop; the oldest are let go. */
const MOST_KEPT = 1500;

/** Answers by key, made once; a bounded number is kept. */
export function kept<T>(): (key: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (key, make) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make();
    known.set(key, made);
    const [oldest] = known.keys();
    if (known.size > MOST_KEPT && oldest !== undefined) known.delete(oldest);
    return made;
  };
}
