import { seededRandom } from '../check';

/** One reading of a thermo-hygrometer. */
export type Climate = { temperatureC: number; relativeHumidity: number; at: string; simulated: boolean };

const HOUR_MIN = 60;

/** A smooth wobble that is the same for the same seed and minute: interpolated between seeded values per hour. */
function wobble(seed: number, minute: number): number {
  const hour = Math.floor(minute / HOUR_MIN);
  const t = minute / HOUR_MIN - hour;
  const value = (h: number): number => seededRandom((seed * 7919 + h) >>> 0)() - 0.5;
  return value(hour) * (1 - t) + value(hour + 1) * t;
}

/**
 * A simulated thermo-hygrometer in a shop: warmest at three in the afternoon, dampest before dawn.
 *
 * @param minutes local time in minutes since 1970, as the shop's clock shows it
 */
export function simulatedClimate(seed: number, minutes: number, at: string): Climate {
  const swing = Math.cos(((minutes % 1440) / 1440 - 15 / 24) * 2 * Math.PI);
  const temperatureC = 18.5 + 3 * swing + 0.8 * wobble(seed, minutes);
  const relativeHumidity = 0.52 - 0.08 * swing + 0.03 * wobble(seed + 1, minutes);
  return {
    temperatureC: Math.round(temperatureC * 10) / 10,
    relativeHumidity: Math.round(relativeHumidity * 100) / 100,
    at,
    simulated: true,
  };
}
