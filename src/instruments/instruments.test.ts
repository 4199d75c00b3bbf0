import { classifyTap, tapListener, type TapSound } from '@/core/ear';
import { openMicrophone, simulatedMicrophone } from './microphone';
import { readCaliper, readMoistureMeter } from './readings';

const answer = (body: unknown, ok = true): void => {
  globalThis.fetch = (async () => ({ ok, json: async () => body })) as unknown as typeof fetch;
};

test('a reading is taken when it makes sense, and refused in words when not', async () => {
  answer({ value: 0.82, at: 'now', simulated: true });
  await expect(readCaliper()).resolves.toBe(0.82);
  answer({ value: 0.09, at: 'now', simulated: true });
  await expect(readMoistureMeter()).resolves.toBe(0.09);
  answer({ value: 'much', at: 'now', simulated: true });
  await expect(readCaliper()).rejects.toThrow('The caliper');
  answer({}, false);
  await expect(readMoistureMeter()).rejects.toThrow('The moisture meter does not answer. Type the reading');
  globalThis.fetch = (() => Promise.reject(new Error('offline'))) as typeof fetch;
  await expect(readCaliper()).rejects.toThrow('The caliper does not answer');
});

test('without a microphone it is said how to go on', async () => {
  await expect(openMicrophone(() => undefined)).rejects.toThrow('gives no microphone to this page');
});

test('the simulated microphone is heard like a real one, and stops when told', () => {
  jest.useFakeTimers();
  const taps: TapSound[] = [];
  let hollow = false;
  const listener = tapListener(44_100);
  const microphone = simulatedMicrophone(
    (samples) => taps.push(...listener.hear(samples)),
    () => hollow,
  );
  jest.advanceTimersByTime(4000);
  expect(taps.length).toBeGreaterThanOrEqual(3);
  const solid = taps.slice(0, 3);
  hollow = true;
  jest.advanceTimersByTime(3000);
  expect(classifyTap(taps[taps.length - 1] ?? solid[0]!, solid).hollow).toBe(true);
  microphone.stop();
  const count = taps.length;
  jest.advanceTimersByTime(5000);
  expect(taps).toHaveLength(count);
  jest.useRealTimers();
});
