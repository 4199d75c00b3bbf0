import { assertRange } from '../src/core/check';

const numberIn = (value: unknown, ...path: string[]): number => {
  const at = path.reduce<unknown>(
    (v, key) =>
      typeof v === 'object' && v !== null ? Object.entries(v).find(([k]) => k === key)?.[1] : undefined,
    value,
  );
  return typeof at === 'number' ? at : Array.isArray(at) ? at.length : 0;
};

/** What the server does for one request at the most; a shop's own questions stay far below. */
const MOST_PLACINGS = 4_000_000;
/** What is tried when nothing is said. */
const USUAL_TRIES = 400;

/**
 * Refuses what would take far too long, before anything is begun. What is no input at all passes: the schema tells it better.
 *
 * @throws RangeError that says how much was asked and how much may be
 */
export function assertAffordable(name: string, input: unknown): void {
  if (name === 'bench.schedule') {
    const tries = numberIn(input, 'tries') || USUAL_TRIES;
    assertRange('The tasks times the tries', numberIn(input, 'tasks') * tries, '', 0, MOST_PLACINGS);
  }
}
