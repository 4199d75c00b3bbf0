import { useRef, useState } from 'react';

/**
 * An action that is not begun again while it runs. What is done at once may be done again at once.
 *
 * @param name of the action: one button may come to stand for another
 * @returns how it is begun, and whether it runs
 */
export function useOnce(name: string, run: () => unknown): { begin: () => void; running: boolean } {
  // A second tap comes before the button is drawn anew.
  const current = useRef<string>(undefined);
  const [shown, setShown] = useState<string>();
  const begin = (): void => {
    if (current.current === name) return;
    const going = run();
    if (!(going instanceof Promise)) return;
    current.current = name;
    setShown(name);
    const over = (): void => {
      if (current.current !== name) return;
      current.current = undefined;
      setShown(undefined);
    };
    going.then(over, over);
  };
  return { begin, running: shown === name };
}
