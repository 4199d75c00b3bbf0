import { useEffect, useState } from 'react';

type Offer = Event & { prompt: () => Promise<unknown> };
const isOffer = (event: Event): event is Offer => 'prompt' in event && typeof event.prompt === 'function';

/** The browser offers it before any page asks; it is kept from then on. */
let kept: Offer | undefined;
const wake = new Set<() => void>();
if (typeof addEventListener === 'function')
  addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    if (isOffer(event)) kept = event;
    wake.forEach((w) => w());
  });

/** Puts the app on the home screen, where the browser offers that; nothing where it does not, or where it stands there already. */
export function useInstall(): (() => Promise<void>) | undefined {
  const [, again] = useState(0);
  useEffect(() => {
    const look = (): void => again((n) => n + 1);
    wake.add(look);
    return () => void wake.delete(look);
  }, []);
  const offer = kept;
  return (
    offer &&
    (async () => {
      kept = undefined;
      await offer.prompt();
      wake.forEach((w) => w());
    })
  );
}
