import { useEffect, useRef, type RefObject } from 'react';

/** What was shown last, for something that is done later, such as an undo: what it closed over may have changed since. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  return latest;
}
