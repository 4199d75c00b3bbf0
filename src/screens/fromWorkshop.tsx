import { useEffect, useState, type ComponentType } from 'react';
import type * as workshop from './workshop';
import { Guarded } from './shared/Guarded';
import { Missing } from './shared/Missing';

type Workshop = typeof workshop;
/** Names of what in the workshop is a page: a component without anything handed in. */
type PageName = {
  [K in keyof Workshop]: Workshop[K] extends () => React.ReactNode ? K : never;
}[keyof Workshop];

/** Loads the workshop before it is asked for; that it cannot be is told when it is. */
export const loadEarly = (): void => void import('./workshop').then(keep, () => undefined);

type Listed = Parameters<Workshop['readEarly']>[0];
/** What nearly every page shows. */
const READ_EARLY: readonly Listed[] = ['shop', 'piece', 'face', 'damage', 'log'];

/** The workshop, once it is loaded. */
let ready: Workshop | undefined;

/**
 * Keeps the workshop, and runs the code of its pages one after another whenever the browser has nothing else to do. A part of the app is run
 * when it is first asked for: done before, the page has only to draw itself. The records that nearly every page shows are read after that.
 */
function keep(loaded: Workshop): void {
  if (ready) return;
  ready = loaded;
  const names = Object.keys(loaded);
  const next = (): void => {
    const name = names.shift();
    if (name === undefined) return readLists();
    Reflect.get(loaded, name);
    whenIdle(next);
  };
  const kinds: Listed[] = [...READ_EARLY];
  const readLists = (): void => {
    const kind = kinds.shift();
    if (kind) void loaded.readEarly(kind).then(() => whenIdle(readLists));
    else loaded.rehearse().catch(() => undefined);
  };
  whenIdle(next);
}

const QUIET_MS = 200;

const whenIdle = (work: () => void): void => {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work);
  else setTimeout(work, QUIET_MS);
};

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
    keep(loaded);
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

/**
 * A page of the workshop, which is loaded when the first of them is opened, or before, when there is nothing else to do. Not by React's own
 * `lazy`: what has once shown that it waits is held back there for 300 ms, loaded or not.
 */
export function fromWorkshop(name: PageName): ComponentType {
  function Loaded() {
    const [found, setFound] = useState<{ Screen?: ComponentType; problem?: unknown }>(() =>
      ready ? { Screen: ready[name] } : {},
    );
    const { Screen, problem } = found;
    useEffect(() => {
      if (Screen) return;
      let shown = true;
      loadWorkshop().then(
        (loaded) => shown && setFound({ Screen: loaded[name] }),
        (error: unknown) => shown && setFound({ problem: error }),
      );
      return () => {
        shown = false;
      };
    }, [Screen]);
    // The page around it tells what happened, and what is safe.
    if (problem !== undefined) throw problem;
    return Screen ? <Screen /> : <Missing what="This page" loading />;
  }
  return function WorkshopPage() {
    return (
      <Guarded>
        <Loaded />
      </Guarded>
    );
  };
}
