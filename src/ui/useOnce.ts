import { useRef } from 'react';

/**
 * An action that is not begun again while it runs. What is done at once may be done again at once.
 *
 * @param name of the action: one button may come to stand for another
 */
export function useOnce(name: string, run: () => unknown): () => void {
  const running = useRef<string>(undefined);
  return () => {
    if (running.current === name) return;
    const going = run();
    if (!(going instanceof Promise)) return;
    running.current = name;
    const over = (): void => {
      if (running.current === name) running.current = undefined;
    };
    going.then(over, over);
  };
}
