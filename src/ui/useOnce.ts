import { useRef } from 'react';

/** An action that is not begun again while it runs. What is done at once may be done again at once. */
export function useOnce(run: () => unknown): () => void {
  const running = useRef(false);
  return () => {
    if (running.current) return;
    const going = run();
    if (!(going instanceof Promise)) return;
    running.current = true;
    const over = (): void => void (running.current = false);
    going.then(over, over);
  };
}
