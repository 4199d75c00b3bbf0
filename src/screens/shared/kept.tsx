import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Stored } from '@/records';
import { LengthField } from '@/ui';
import { lengthBetween } from '@/core/units';
import { useChange } from './useChange';
import { useLatest } from './useLatest';
import { useUnits } from './useUnits';

type Figure = number | string;
type Figures = Readonly<Record<string, Figure>>;
type Kept = {
  figures: Figures;
  keep: (key: string, value: Figure) => void;
  /** Keeps several at one time. @returns what takes them back, leaving what was entered since */
  keepAll: (figures: Figures) => () => void;
};

const KeptContext = createContext<Kept | undefined>(undefined);

/** What is entered for a sum below here is kept with the damage, under the name of its page and field. */
export function KeepFigures({ damage, children }: { damage: Stored<'damage'>; children: ReactNode }) {
  const change = useChange();
  const figures = damage.body.figures ?? {};
  const keep = (key: string, value: Figure): Promise<boolean> =>
    change(damage, { figures: { ...figures, [key]: value } });
  // An undo comes later, when the damage is another record than now.
  const latest = useLatest((next: Figures, gone: readonly string[]) => {
    const kept = Object.entries({ ...figures, ...next }).filter(([key]) => !gone.includes(key));
    change(damage, { figures: Object.fromEntries(kept) });
  });
  const keepAll = (next: Figures): (() => void) => {
    const keys = Object.keys(next);
    const before = Object.fromEntries(keys.flatMap((k): [string, Figure][] => (figures[k] === undefined ? [] : [[k, figures[k]]]))); // prettier-ignore
    const gone = keys.filter((k) => figures[k] === undefined);
    change(damage, { figures: { ...figures, ...next } });
    return () => latest.current(before, gone);
  };
  return <KeptContext value={{ figures, keep, keepAll }}>{children}</KeptContext>;
}

/** Keeps a figure by its name; nothing where nothing is kept. @returns (key, value) */
export function useKeep(): Kept['keep'] {
  const kept = useContext(KeptContext);
  return kept ? kept.keep : () => undefined;
}

/** Keeps several figures at one time, with what takes them back. */
export function useKeepAll(): Kept['keepAll'] {
  const kept = useContext(KeptContext);
  return kept ? kept.keepAll : () => () => undefined;
}

/** A section that stands alone keeps its figures as long as it is shown. */
function useFigure(key: string): [Figure | undefined, (value: Figure) => void] {
  const kept = useContext(KeptContext);
  const [alone, setAlone] = useState<Figure>();
  return kept ? [kept.figures[key], (value) => kept.keep(key, value)] : [alone, setAlone];
}

/** @param key `page.field`, letters only */
export function useKeptNumber(key: string, start: number): [number, (value: number) => void] {
  const [value, set] = useFigure(key);
  return [typeof value === 'number' ? value : start, set];
}

/** @param key `page.field`, letters only */
export function useKeptChoice<V extends string>(
  key: string,
  start: V,
  options: readonly V[],
): [V, (value: V) => void] {
  const [value, set] = useFigure(key);
  return [options.find((o) => o === value) ?? start, set];
}

/** A text for the sum on a page, such as a list of sizes. @param key `page.field`, letters only */
export function useKeptText(key: string, start: string): [string, (value: string) => void] {
  const [value, set] = useFigure(key);
  return [typeof value === 'string' ? value : start, set];
}

/** A length for the sum on a page, with its field. */
export function useKeptLength(
  key: string,
  startMm: number,
): [number, (label: string, least: number, most: number) => ReactNode] {
  const [mm, setMm] = useKeptNumber(key, startMm);
  const { unit } = useUnits();
  return [
    mm,
    (label, least, most) => (
      <LengthField
        key={label}
        label={label}
        valueMm={mm}
        unit={unit}
        check={lengthBetween(label, least, most)}
        onChange={setMm}
      />
    ),
  ];
}
