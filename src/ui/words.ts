import { createContext, useCallback, useContext } from 'react';
import { inUnits, type ShopUnits } from '@/core/units';

/** The units of this shop, for everything that is said or typed. */
export const UnitsContext = createContext<ShopUnits>({ length: 'mm', temperature: 'C' });

/** Puts the app's own sentences into the units of this shop. */
export function useWords(): (text: string) => string {
  const units = useContext(UnitsContext);
  return useCallback((text: string) => inUnits(text, units), [units]);
}
