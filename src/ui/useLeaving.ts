import { useEffect, useRef } from 'react';

/** Hands on what was typed when the page is left, closed or loaded anew before the cursor has left the field. */
export function useLeaving(commit: () => void): void {
  const latest = useRef(commit);
  useEffect(() => {
    latest.current = commit;
  });
  useEffect(() => {
    const leave = (): void => latest.current();
    const away = (): void => {
      if (document.visibilityState === 'hidden') leave();
    };
    const inBrowser = typeof document !== 'undefined' && typeof document.addEventListener === 'function';
    if (inBrowser) {
      window.addEventListener('pagehide', leave);
      document.addEventListener('visibilitychange', away);
    }
    return () => {
      if (inBrowser) {
        window.removeEventListener('pagehide', leave);
        document.removeEventListener('visibilitychange', away);
      }
      leave();
    };
  }, []);
}
