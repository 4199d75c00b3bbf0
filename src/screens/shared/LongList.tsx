import { useEffect, useState, type ReactNode } from 'react';
import { Text } from '@/ui';
import { WhenSeen } from './WhenSeen';

const FIRST = 14;
const MORE = 20;

/** A list that may be long: its first rows at once, the rest as they come into sight. */
export function LongList<T>({
  items,
  children,
}: {
  items: readonly T[];
  children: (item: T, index: number) => ReactNode;
}) {
  const [shown, setShown] = useState(FIRST);
  const left = items.length - shown;
  return (
    <>
      {items.slice(0, shown).map(children)}
      {left > 0 ? (
        <>
          <WhenSeen key={shown} onSeen={() => setShown(shown + MORE)} />
          <Text kind="quiet">{`${left} more below.`}</Text>
        </>
      ) : null}
    </>
  );
}

/** So many of many things are drawn by now: some more each time the page is free, until all of them are. */
export function useGrowing(all: number, step: number): number {
  const [drawn, setDrawn] = useState(step);
  useEffect(() => {
    if (drawn >= all) return;
    const timer = setTimeout(() => setDrawn(drawn + step), 0);
    return () => clearTimeout(timer);
  }, [drawn, all, step]);
  return Math.min(all, drawn);
}
