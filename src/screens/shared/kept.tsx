import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Stored } from '@/records';
import { LengthField } from '@/ui';
import { lengthBetween } from '@/core/units';
import { useChange } from './useChange';
import { useUnits } from './useUnits';

type Figure = number | string;
type Kept = { figures: Readonly<Record<string, Figure>>; keep: (key: string, value: Figure) => void };

const KeptContext = createContext<Kept | undefined>(undefined);

/** What is entered for a sum below here is kept with the damage, under the name of its page and field. */
export function KeepFigures({ damage, children }: { damage: Stored<'damage'>; children: ReactNode }) {
  const change = useChange();
  const figures = damage.body.figures ?? {};
  const keep = (key: string, value: Figure): Promise<boolean> =>
    change(damage, { figures: { ...figures, [key]: value } });
  return <KeptContext value={{ figures, keep }}>{children}</KeptContext>;
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
