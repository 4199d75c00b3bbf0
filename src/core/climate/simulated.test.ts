import { simulatedClimate } from './simulated';

const day = (seed: number) =>
  Array.from({ length: 24 }, (_, h) => simulatedClimate(seed, 29_000 * 1440 + h * 60, ''));

test('warmest in the afternoon, dampest before dawn, never out of range', () => {
  const hours = day(1);
  const warmest = hours.indexOf(hours.reduce((a, b) => (b.temperatureC > a.temperatureC ? b : a)));
  const dampest = hours.indexOf(hours.reduce((a, b) => (b.relativeHumidity > a.relativeHumidity ? b : a)));
  expect(warmest).toBeGreaterThanOrEqual(13);
  expect(warmest).toBeLessThanOrEqual(17);
  expect(dampest).toBeLessThanOrEqual(5);
  for (const c of hours) {
    expect(c.relativeHumidity).toBeGreaterThan(0.3);
    expect(c.relativeHumidity).toBeLessThan(0.75);
    expect(c.simulated).toBe(true);
  }
});

test('the same seed gives the same day, another seed another', () => {
  expect(day(5)).toEqual(day(5));
  expect(day(5)).not.toEqual(day(6));
});

test('it does not jump from minute to minute', () => {
  for (let m = 0; m < 600; m++) {
    const [a, b] = [simulatedClimate(2, m, ''), simulatedClimate(2, m + 1, '')];
    expect(Math.abs(a.temperatureC - b.temperatureC)).toBeLessThanOrEqual(0.11);
  }
});

test('it wobbles about its day and not to one side of it: over many days its mean is the middle it is said to have', () => {
  const all = Array.from({ length: 200 * 24 }, (_, h) => simulatedClimate(8, h * 60, ''));
  const mean = (v: number[]): number => v.reduce((a, b) => a + b, 0) / v.length;
  // 18.5 °C and 52 %: wobbling to one side alone would be 0.4 °C and 1.5 % off.
  expect(Math.abs(mean(all.map((c) => c.temperatureC)) - 18.5)).toBeLessThan(0.1);
  expect(Math.abs(mean(all.map((c) => c.relativeHumidity)) - 0.52)).toBeLessThan(0.005);
});

test('it is read to a tenth of a degree and a whole per cent, as a shop instrument is', () => {
  for (const { temperatureC, relativeHumidity } of day(3)) {
    expect(10 * temperatureC).toBeCloseTo(Math.round(10 * temperatureC), 9);
    expect(100 * relativeHumidity).toBeCloseTo(Math.round(100 * relativeHumidity), 9);
    expect(temperatureC).toBeGreaterThan(14);
    expect(temperatureC).toBeLessThan(23);
  }
  expect(new Set(day(3).map((c) => Math.round(c.temperatureC * 10) % 10)).size).toBeGreaterThan(4);
});

test('the wobble goes both ways: over a hundred days neither warmer nor damper than the day asks for', () => {
  const at = (i: number) => simulatedClimate(5, i * 60, '2026-03-02T08:00:00');
  const mean = (f: (i: number) => number): number => Array.from({ length: 2400 }, (_, i) => f(i)).reduce((a, b) => a + b, 0) / 2400; // prettier-ignore
  expect(mean((i) => at(i).temperatureC)).toBeCloseTo(18.5, 1);
  expect(mean((i) => at(i).relativeHumidity)).toBeCloseTo(0.52, 2);
});
