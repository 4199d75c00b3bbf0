import useSWR from 'swr';
import type { Climate } from '@/core/climate';
import { readClimate } from './climate';

/** The shop's climate, read every minute; the app works without it. */
export function useClimate(): { climate?: Climate; missing: boolean } {
  const { data, error } = useSWR<Climate, Error>('instrument/climate', () => readClimate(), {
    refreshInterval: 60_000,
    shouldRetryOnError: false,
  });
  return data ? { climate: data, missing: error !== undefined } : { missing: error !== undefined };
}
