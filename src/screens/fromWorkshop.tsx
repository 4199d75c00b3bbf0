import { lazy, Suspense, type ComponentType } from 'react';
import type * as workshop from './workshop';
import { Missing } from './shared/Missing';

type Workshop = typeof workshop;
/** Names of what in the workshop is a page: a component without anything handed in. */
type PageName = {
  [K in keyof Workshop]: Workshop[K] extends () => React.ReactNode ? K : never;
}[keyof Workshop];

/** Loads the workshop before it is asked for; that it cannot be is told when it is. */
export const loadEarly = (): void => void import('./workshop').catch(() => undefined);

const RELOADED = 'rustic-lantern.reloaded';

/**
 * The workshop. A page that was open while a newer version came may find its parts gone; it is loaded anew then, once, at the same
 * address. What was typed is noted before.
 *
 * @throws Error when it cannot be loaded this time either
 */
export async function loadWorkshop(): Promise<Workshop> {
  try {
    const loaded = await import('./workshop');
    sessionStorage.removeItem(RELOADED);
    return loaded;
  } catch {
    if (navigator.onLine && sessionStorage.getItem(RELOADED) === null) {
      sessionStorage.setItem(RELOADED, 'yes');
      location.reload();
      return new Promise(() => undefined);
    }
    throw new Error(
      'This part of the app could not be loaded. Without a network the app works once it has been opened fully with one.',
    );
  }
}

/** A page of the workshop, which is loaded when the first of them is opened, or before, when there is nothing else to do. */
export function fromWorkshop(name: PageName): ComponentType {
  const Screen = lazy(async () => ({ default: (await loadWorkshop())[name] }));
  return function WorkshopPage() {
    return (
      <Suspense fallback={<Missing what="This page" loading />}>
        <Screen />
      </Suspense>
    );
  };
}
