import { equilibriumMoisture } from './moisture';

/**
 * Wood Handbook (Forest Products Laboratory), Table 4-2: equilibrium moisture content in percent at stated temperature
 * and relative humidity. The figures were written down from memory of the table; it prints one decimal, so half a unit of
 * that plus the rounding of °F to °C is allowed: 0.1.
 */
test.each([
  [21.1, 0.1, 2.5],
  [21.1, 0.2, 4.5],
  [21.1, 0.25, 5.4],
  [21.1, 0.3, 6.2],
  [21.1, 0.4, 7.7],
  [21.1, 0.5, 9.2],
  [21.1, 0.6, 11.0],
  [21.1, 0.65, 12.0],
  [21.1, 0.7, 13.1],
  [21.1, 0.8, 16.0],
  [21.1, 0.9, 20.5],
  [4.4, 0.5, 9.5],
  [4.4, 0.3, 6.3],
  [37.8, 0.65, 11.2],
])('at %d °C and %d: %d %%', (temperatureC, relativeHumidity, percent) => {
  expect(Math.abs(equilibriumMoisture(temperatureC, relativeHumidity) * 100 - percent)).toBeLessThanOrEqual(
    0.1,
  );
});

test('rises with humidity and has none in dry air', () => {
  expect(equilibriumMoisture(20, 0)).toBe(0);
  const series = [0.1, 0.3, 0.5, 0.7, 0.9].map((h) => equilibriumMoisture(20, h));
  expect([...series].sort((a, b) => a - b)).toEqual(series);
});

test.each([
  [-40, 0.5, 'The temperature is -40 °C'],
  [61, 0.5, 'between -5 °C and 60 °C'],
  [20, 1.2, 'The relative humidity is 1.2'],
  [20, -0.1, 'relative humidity'],
  [Number.NaN, 0.5, 'temperature is NaN'],
])('refuses %d °C at %d', (temperatureC, relativeHumidity, message) => {
  expect(() => equilibriumMoisture(temperatureC, relativeHumidity)).toThrow(message);
});
