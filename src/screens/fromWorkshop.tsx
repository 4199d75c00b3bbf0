import { lazy, Suspense, type ComponentType } from 'react';
import type * as workshop from './workshop';
import { Missing } from './shared/Missing';

type Workshop = typeof workshop;
/** Names of what in the workshop is a page: a component without anything handed in. */
type PageName = {
  [K in keyof Workshop]: Workshop[K] extends () => React.ReactNode ? K : never;
}[keyof Workshop];

export const loadWorkshop = (): Promise<Workshop> => import('./workshop');

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
