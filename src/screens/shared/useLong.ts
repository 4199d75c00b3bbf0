import { useCallback, useEffect, useRef, useState } from 'react';
import type { JobOptions } from '@/worker';
import { useAct } from './useAct';

export type Long = { label: string; fraction: number };

/** Work in the worker that takes its time: what is going on, how far it is, and a way to stop it. It stops with the page. */
export function useLong(): {
  going: Long | undefined;
  cancel: () => void;
  begin: (label: string, work: (options: JobOptions) => Promise<void>) => void;
} {
  const act = useAct();
  const [going, setGoing] = useState<Long>();
  const controller = useRef<AbortController>(undefined);
  const cancel = useCallback(() => controller.current?.abort(), []);
  useEffect(() => cancel, [cancel]);
  const begin = (label: string, work: (options: JobOptions) => Promise<void>): void => {
    cancel();
    const mine = new AbortController();
    controller.current = mine;
    setGoing({ label, fraction: 0 });
    act(async () => {
      try {
        await work({ signal: mine.signal, onProgress: (fraction) => setGoing({ label, fraction }) });
      } finally {
        if (controller.current === mine) setGoing(undefined);
      }
    });
  };
  return { going, cancel, begin };
}
