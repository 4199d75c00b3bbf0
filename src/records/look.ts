import useSWR from 'swr';
import type { ShopUnits } from '@/core/units';
import { LOOK } from './changes';
import { storage } from './storage';

/** How the app looks and counts: what the frame needs of the shop's record. */
export type Look = { theme: 'daylight' | 'lamplight' | 'system'; units: ShopUnits };

const PLAIN: Look = { theme: 'system', units: { length: 'mm', temperature: 'C' } };

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** The look that the shop's record names; nothing else of it is read here, and what makes no sense is left as it is at first. */
export function lookIn(text: string | null): Look {
  try {
    const record: unknown = JSON.parse(text ?? '');
    const body = isRecord(record) && isRecord(record.body) ? record.body : {};
    const { theme } = body;
    return {
      theme: theme === 'daylight' || theme === 'lamplight' ? theme : PLAIN.theme,
      units: {
        length: body.lengthUnit === 'in' ? 'in' : 'mm',
        temperature: body.temperatureUnit === 'F' ? 'F' : 'C',
      },
    };
  } catch {
    return PLAIN;
  }
}

/** Known without loading what checks whole records. */
export function useLook(): Look {
  const { data } = useSWR<Look>(LOOK, async () => lookIn(await storage.getItem('shop/shop')));
  return data ?? PLAIN;
}
