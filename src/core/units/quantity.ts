export type TemperatureUnit = 'C' | 'F';

/** A span of time for reading: `40 min`, `2 h 40 min`, `3 days 4 h`. */
export function formatMinutes(minutes: number): string {
  const m = Math.round(minutes);
  if (m < 1) return minutes > 0 ? `${Math.max(1, Math.round(minutes * 60))} s` : '0 min';
  if (m < 60) return `${m} min`;
  const hours = Math.floor(m / 60);
  if (hours < 48) return m % 60 === 0 ? `${hours} h` : `${hours} h ${m % 60} min`;
  const days = Math.floor(hours / 24);
  return hours % 24 === 0 ? `${days} days` : `${days} days ${hours % 24} h`;
}

/** A temperature for reading, from °C. */
export const formatTemperature = (celsius: number, unit: TemperatureUnit): string =>
  unit === 'C' ? `${Math.round(celsius)} °C` : `${Math.round(celsius * 1.8 + 32)} °F`;

export const toCelsius = (value: number, unit: TemperatureUnit): number =>
  unit === 'C' ? value : (value - 32) / 1.8;

export const fromCelsius = (celsius: number, unit: TemperatureUnit): number =>
  unit === 'C' ? celsius : celsius * 1.8 + 32;

/** A small quantity with as many digits as it deserves: `0.42`, `4.2`, `42`. */
export const formatSmall = (value: number): string =>
  value.toFixed(Math.abs(value) >= 10 ? 0 : Math.abs(value) >= 1 ? 1 : 2);

/** Room on a disk, for reading: “3.4 MB”. */
export function formatBytes(bytes: number): string {
  const step = [
    { unit: 'GB', bytes: 1e9 },
    { unit: 'MB', bytes: 1e6 },
    { unit: 'kB', bytes: 1e3 },
  ].find((s) => bytes >= s.bytes);
  if (!step) return `${Math.round(bytes)} bytes`;
  const value = bytes / step.bytes;
  return `${value < 10 ? value.toFixed(1) : Math.round(value)} ${step.unit}`;
}
