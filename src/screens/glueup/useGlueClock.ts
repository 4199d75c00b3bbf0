import { useEffect, useRef, useState } from 'react';
import type { GlueClock } from '@/core/glueup';
import { signal } from '@/instruments';

const TICK_MS = 250;
/** A first warning when so much of the open time is left. */
const WARN_MS = 120_000;

/** Now, a few times a second; after a sleep the next tick is simply later. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** A tone two minutes before the glue tacks, when it does, and when the clamps may come off. */
export function useSignals(clock: GlueClock | undefined): void {
  const last = useRef<string>(undefined);
  const mark = !clock ? 'none' : clock.phase === 'open' && clock.leftMs < WARN_MS ? 'warn' : clock.phase;
  useEffect(() => {
    const before = last.current;
    last.current = mark;
    if (before === undefined || before === mark) return;
    if (mark === 'warn' || mark === 'off') signal(false);
    if (mark === 'late') signal(true);
  }, [mark]);
}
