import { useEffect, useRef, useState } from 'react';

/** What the worker makes of something that changes while a finger moves: of what was asked while it is busy, only the last is made. */
export function useLive<T>(key: string, ask: () => Promise<T>): T | undefined {
  const [made, setMade] = useState<T>();
  const wanted = useRef<() => Promise<T>>(undefined);
  const busy = useRef(false);
  const alive = useRef(true);
  const latest = useRef(ask);
  useEffect(() => {
    latest.current = ask;
  });
  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);
  useEffect(() => {
    wanted.current = latest.current;
    const next = (): void => {
      const now = wanted.current;
      if (!now || busy.current) return;
      wanted.current = undefined;
      busy.current = true;
      now()
        .then(
          (seen) => alive.current && setMade(seen),
          () => undefined,
        )
        .finally(() => {
          busy.current = false;
          next();
        });
    };
    next();
  }, [key]);
  return made;
}
