import type { AnyStored } from './types';

/** A key of records: another text whenever one of them has changed, come or gone. The one way such keys are made. */
export const revisionsOf = (...lists: readonly (readonly (AnyStored | undefined)[])[]): string =>
  lists
    .map((list) => list.map((r) => (r ? `${r.kind}/${r.id}.${r.revision}.${r.savedAt}` : '-')).join(' '))
    .join(' | ');
