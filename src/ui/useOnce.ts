import { useRef, useState } from 'react';

/** The clock of events: ms since the page began, as their own time stamps. */
const eventClockMs = (): number => performance.now();

/**
 * An action that is not begun again while it runs. What is done at once may be done again at once. A finger that came down while it
 * ran counts as such however late the page hears of it: a busy page hears of the second tap when the first is long done.
 *
 * @param name of the action: one button may come to stand for another
 * @returns how it is begun, told when the finger came down (ms on the clock of events), and whether it runs
 */
export function useOnce(
  name: string,
  run: () => unknown,
): { begin: (atMs?: number) => void; running: boolean } {
  // A second tap comes before the button is drawn anew.
  const current = useRef<string>(undefined);
  const last = useRef<{ name: string; overMs: number }>(undefined);
  const [shown, setShown] = useState<string>();
  const begin = (atMs?: number): void => {
    if (current.current === name) return;
    if (atMs !== undefined && last.current?.name === name && atMs < last.current.overMs) return;
    const going = run();
    if (!(going instanceof Promise)) return;
    current.current = name;
    setShown(name);
    const over = (): void => {
      if (current.current !== name) return;
      current.current = undefined;
      last.current = { name, overMs: eventClockMs() };
      setShown(undefined);
    };
    going.then(over, over);
  };
  return { begin, running: shown === name };
}
