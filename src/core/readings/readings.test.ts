import { assertMoisture, simulatedCaliper, simulatedMoistureMeter, summarise } from './readings';

test('least, mean, greatest and spread, by hand', () => {
  expect(summarise([0.7, 0.8, 0.9, 0.8])).toEqual({
    count: 4,
    least: 0.7,
    mean: 0.8,
    greatest: 0.9,
    // √((0.01 + 0 + 0.01 + 0) / 3)
    spread: expect.closeTo(0.08165, 5),
  });
  expect(summarise([0.6])?.spread).toBe(0);
  expect(summarise([])).toBeUndefined();
});

test('the simulated instruments read as real ones do, and say that they are simulated', () => {
  for (let seed = 0; seed < 200; seed++) {
    const mm = simulatedCaliper(seed, 'now');
    expect(mm.value).toBeGreaterThan(0.55);
    expect(mm.value).toBeLessThan(1.05);
    const moisture = simulatedMoistureMeter(seed, 'now');
    expect(() => assertMoisture(moisture.value)).not.toThrow();
    expect(mm.simulated && moisture.simulated).toBe(true);
  }
  expect(simulatedCaliper(3, 'now')).toEqual(simulatedCaliper(3, 'now'));
});

test.each([0, 0.9])('a moisture of %d is refused', (fraction) => {
  expect(() => assertMoisture(fraction)).toThrow('it must lie between 2 % and 40 %');
});
