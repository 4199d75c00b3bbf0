import { useCallback, useEffect, useRef, useState } from 'react';
import {
  classifyTap,
  LEAST_REFERENCE,
  tapListener,
  type Hearing,
  type HearingProblem,
  type TapListener,
  type TapSound,
} from '@/core/ear';
import { openMicrophone, simulatedMicrophone, type Microphone } from '@/instruments';

export type Ear = {
  open: boolean;
  simulated: boolean;
  /** Taps on wood known to be sound that are still needed. */
  missing: number;
  /** What the last tap sounded like, until it is confirmed. */
  heard?: Hearing;
  problem?: HearingProblem;
  refused?: string;
  start: () => void;
  startSimulated: () => void;
  stop: () => void;
  /** The last proposal was confirmed or overruled: it is cleared. */
  clear: () => void;
  /** Begin again with taps on sound wood. */
  relearn: () => void;
};

/**
 * Listens for taps. The first ones teach it what sound wood is like here; after that each tap gets a proposal.
 *
 * @param hollowThere what the simulated bench should sound like at the place that is asked for
 */
export function useEar(hollowThere: () => boolean): Ear {
  const microphone = useRef<Microphone>(undefined);
  const listener = useRef<TapListener>(undefined);
  const [open, setOpen] = useState<'no' | 'real' | 'simulated'>('no');
  const [solid, setSolid] = useState<TapSound[]>([]);
  const [heard, setHeard] = useState<Hearing>();
  const [problem, setProblem] = useState<HearingProblem>();
  const [refused, setRefused] = useState<string>();
  const known = useRef<TapSound[]>([]);
  const asked = useRef(hollowThere);
  useEffect(() => {
    asked.current = hollowThere;
  });

  const stop = useCallback((): void => {
    microphone.current?.stop();
    microphone.current = undefined;
    listener.current = undefined;
    setOpen('no');
    setProblem(undefined);
  }, []);
  // A microphone that is granted after the page was left is closed at once.
  const left = useRef(false);
  useEffect(() => {
    left.current = false;
    return () => {
      left.current = true;
      microphone.current?.stop();
    };
  }, []);

  const onTap = useCallback((tap: TapSound): void => {
    if (known.current.length < LEAST_REFERENCE) {
      known.current = [...known.current, tap];
      setSolid(known.current);
    } else setHeard(classifyTap(tap, known.current));
  }, []);
  const onSamples = useCallback(
    (samples: Float32Array, rate: number): void => {
      listener.current ??= tapListener(rate);
      listener.current.hear(samples).forEach(onTap);
      setProblem(listener.current.problem());
    },
    [onTap],
  );
  const start = (): void => {
    setRefused(undefined);
    openMicrophone(onSamples).then(
      (m) => {
        if (left.current) return m.stop();
        microphone.current?.stop();
        microphone.current = m;
        setOpen('real');
      },
      (error: unknown) => setRefused(error instanceof Error ? error.message : String(error)),
    );
  };
  const startSimulated = (): void => {
    stop();
    setRefused(undefined);
    // While it learns, somebody taps on sound wood.
    microphone.current = simulatedMicrophone(
      onSamples,
      () => known.current.length >= LEAST_REFERENCE && asked.current(),
    );
    setOpen('simulated');
  };
  return {
    open: open !== 'no',
    simulated: open === 'simulated',
    missing: Math.max(0, LEAST_REFERENCE - solid.length),
    ...(heard ? { heard } : {}),
    ...(problem ? { problem } : {}),
    ...(refused ? { refused } : {}),
    start,
    startSimulated,
    stop,
    clear: () => setHeard(undefined),
    relearn: () => {
      known.current = [];
      setSolid([]);
      setHeard(undefined);
    },
  };
}
