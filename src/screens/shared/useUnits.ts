import { formatArea, formatLength, formatTemperature, type LengthUnit } from '@/core/units';
import { useShop } from '@/records';

/** Lengths, areas and temperatures in the user's own units. */
export function useUnits(): {
  unit: LengthUnit;
  length: (mm: number) => string;
  area: (mm2: number) => string;
  temperature: (c: number) => string;
} {
  const { shop } = useShop();
  const unit = shop.lengthUnit;
  return {
    unit,
    length: (mm) => formatLength(mm, unit),
    area: (mm2) => formatArea(mm2, unit),
    temperature: (c) => formatTemperature(c, shop.temperatureUnit),
  };
}
