import { useState } from 'react';
import type { Mark } from '@/core/damage';
import { markOf, storedMark } from '@/core/job';
import type { Stored } from '@/records';
import { useDraft } from '../shared/FaceBoard';
import { useChange } from '../shared/useChange';

const MOST_UNDO = 100;

/** The mark of a damage while it is drawn: what a finger drags, what is kept, and the steps back and forth. */
export function useMarking(damage: Stored<'damage'> | undefined) {
  const change = useChange();
  const [past, setPast] = useState<Mark[]>([]);
  const [future, setFuture] = useState<Mark[]>([]);
  const saved: Mark = damage ? markOf(damage.body) : { tool: 'area', outline: [] };
  const write = (mark: Mark): Promise<boolean> => change(damage, storedMark(mark));
  const put = (mark: Mark): void => {
    setPast((p) => [...p.slice(1 - MOST_UNDO), saved]);
    setFuture([]);
    write(mark);
  };
  const draft = useDraft<Mark>(saved, put);
  const step = (from: Mark[], setFrom: typeof setPast, setTo: typeof setPast): (() => void) | undefined => {
    const last = from[from.length - 1];
    return (
      last &&
      (() => {
        setFrom(from.slice(0, -1));
        setTo((to) => [...to, saved]);
        write(last);
      })
    );
  };
  return { draft, put, undo: step(past, setPast, setFuture), redo: step(future, setFuture, setPast) };
}
