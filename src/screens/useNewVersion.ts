import { useCallback, useEffect, useState } from 'react';

/** It fetches the whole app; the first page comes first. */
const OFFLINE_AFTER_MS = 3000;
/** A page that comes into sight again looks for a newer version no more often than this. */
const LOOK_EVERY_MS = 30 * 60_000;

/**
 * Offline after the first load, and a word when a newer version is ready. What is open goes on with the old one, whose parts are kept
 * until it is taken up. Only in the exported build, where the worker's file exists.
 *
 * @returns how to take the newer version up, when there is one
 */
export function useNewVersion(): (() => void) | undefined {
  const [waiting, setWaiting] = useState<ServiceWorker | 'elsewhere'>();
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const { serviceWorker } = navigator;
    const hadOne = serviceWorker.controller !== null;
    let registration: ServiceWorkerRegistration | undefined;
    let looked = Date.now();
    const watch = (found: ServiceWorkerRegistration): void => {
      registration = found;
      const tell = (): void => {
        if (found.waiting && serviceWorker.controller) setWaiting(found.waiting);
      };
      tell();
      found.addEventListener('updatefound', () => found.installing?.addEventListener('statechange', tell));
    };
    const timer = setTimeout(
      () =>
        // A browser that keeps workers out may answer with none.
        void serviceWorker
          .register('/sw.js')
          .then((found: ServiceWorkerRegistration | undefined) => found && watch(found))
          .catch(() => undefined),
      hadOne ? 0 : OFFLINE_AFTER_MS,
    );
    // Another window took it up: this one goes on, and may follow.
    const taken = (): void => {
      if (hadOne) setWaiting('elsewhere');
    };
    const seen = (): void => {
      if (document.visibilityState !== 'visible' || Date.now() - looked < LOOK_EVERY_MS) return;
      looked = Date.now();
      void registration?.update().catch(() => undefined);
    };
    serviceWorker.addEventListener('controllerchange', taken);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearTimeout(timer);
      serviceWorker.removeEventListener('controllerchange', taken);
      document.removeEventListener('visibilitychange', seen);
    };
  }, []);
  const takeUp = useCallback(() => {
    if (waiting === 'elsewhere') {
      location.reload();
      return;
    }
    navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
    waiting?.postMessage({ type: 'SKIP_WAITING' });
  }, [waiting]);
  return waiting ? takeUp : undefined;
}
