import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Broken } from './Broken';

/**
 * A page that may stop: in its place it is said what happened and what is safe. It stands inside the router: a boundary round the router
 * would take the address away with the page.
 */
export function Guarded({ children }: { children: ReactNode }) {
  const path = usePathname();
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[path]}>
      {children}
    </ErrorBoundary>
  );
}
