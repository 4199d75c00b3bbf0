import { useEffect } from 'react';
import { loadEarly } from '../fromWorkshop';

/** A finger or a key is down before the page it asks for is opened: the other pages begin to load in between. */
const SIGNS = ['pointerdown', 'pointermove', 'keydown'] as const;
/** Without any sign they are loaded when the first page has stood for so long. */
const STILL_MS = 4000;

/** Loads the other pages when somebody reaches for something, so that the first page has nothing to do before that. */
export function useEarlyWorkshop(): void {
  useEffect(() => {
    const load = (): void => {
      stop();
      loadEarly();
    };
    const timer = setTimeout(load, STILL_MS);
    const stop = (): void => {
      clearTimeout(timer);
      SIGNS.forEach((sign) => document.removeEventListener(sign, load));
    };
    SIGNS.forEach((sign) => document.addEventListener(sign, load, { passive: true }));
    return stop;
  }, []);
}
