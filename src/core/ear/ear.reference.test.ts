import { seededRandom } from '../check';
import { classifyTap, LEAST_REFERENCE, simulatedRecording, simulatedTap, tapLength, tapListener, tapSound } from '.'; // prettier-ignore

const RATE = 44_100;
const tone = (hz: number, decayS: number, rate = RATE): number[] =>
  Array.from({ length: tapLength(rate) }, (_, i) => Math.exp(-i / rate / decayS) * Math.sin((2 * Math.PI * hz * i) / rate)); // prettier-ignore

test.each([300, 512.5, 1234, 3000])('a damped tone of %d Hz is heard at its own pitch', (hz) => {
  expect(tapSound(tone(hz, 0.02), RATE).dominantHz).toBeGreaterThan(hz * 0.985);
  expect(tapSound(tone(hz, 0.02), RATE).dominantHz).toBeLessThan(hz * 1.015);
});

test.each([0.01, 0.02, 0.03])('an exponential decay of %d s falls by 20 dB in its own time', (tau) => {
  // Amplitude e^(−t/τ): 20 dB is a factor of ten, so t = τ ln 10.
  const expected = tau * Math.LN10 * 1000;
  expect(tapSound(tone(900, tau), RATE).decayMs / expected).toBeGreaterThan(0.93);
  expect(tapSound(tone(900, tau), RATE).decayMs / expected).toBeLessThan(1.07);
});

test('the centroid of two undamped tones of equal power lies halfway between them', () => {
  const high = tone(3000, 100);
  const both = tone(1000, 100).map((v, i) => v + (high[i] ?? 0));
  expect(tapSound(both, RATE).centroidHz).toBeGreaterThan(1960);
  expect(tapSound(both, RATE).centroidHz).toBeLessThan(2040);
});

test('features do not depend on the sampling rate', () => {
  const [a, b] = [tapSound(tone(800, 0.02, 44_100), 44_100), tapSound(tone(800, 0.02, 48_000), 48_000)];
  expect(a.dominantHz / b.dominantHz).toBeCloseTo(1, 1);
  expect(a.decayMs / b.decayMs).toBeCloseTo(1, 1);
});

test.each([44_100, 48_000, 16_000])('every tap of a recording at %d Hz is found once', (rate) => {
  const listener = tapListener(rate);
  const samples = simulatedRecording([false, true, true, false, true], rate, 4);
  let count = 0;
  // In pieces of odd lengths, as a browser hands them over.
  for (let i = 0; i < samples.length; i += 733) count += listener.hear(samples.subarray(i, i + 733)).length;
  expect(count).toBe(5);
  expect(listener.problem()).toBeUndefined();
});

test('a tap is given when all of it was heard, and sounds as it does by itself', () => {
  const silence = new Array<number>(RATE / 2).fill(0);
  const alone = tone(900, 0.03);
  const heard = tapListener(RATE).hear([...silence, ...alone.slice(0, 4096), ...silence]);
  expect(heard).toHaveLength(1);
  // It begins at its first block above a share of its peak.
  expect((heard[0]?.dominantHz ?? 0) / tapSound(alone, RATE).dominantHz).toBeCloseTo(1, 1);
  expect((heard[0]?.decayMs ?? 0) / tapSound(alone, RATE).decayMs).toBeCloseTo(1, 0);
  // Before it is over there is none.
  expect(tapListener(RATE).hear([...silence, ...alone.slice(0, 300)])).toEqual([]);
});

test('of 160 generated taps nearly all are told apart, and the unsure ones say so', () => {
  const random = seededRandom(11);
  const sound = (hollow: boolean) => tapSound(simulatedTap(hollow, RATE, random, 0.1), RATE);
  const solid = Array.from({ length: 5 }, () => sound(false));
  let [right, sureRight, sure] = [0, 0, 0];
  for (let i = 0; i < 160; i++) {
    const hollow = i % 2 === 0;
    const heard = classifyTap(sound(hollow), solid);
    const correct = heard.hollow === hollow;
    if (correct) right++;
    if (heard.confidence > 0.9) {
      sure++;
      if (correct) sureRight++;
    }
  }
  expect(right).toBeGreaterThan(154);
  expect(sureRight / sure).toBeGreaterThan(0.99);
});

test('too few taps on sound wood: nothing is proposed', () => {
  const tap = tapSound(tone(900, 0.02), RATE);
  expect(() => classifyTap(tap, [tap])).toThrow(`at least ${LEAST_REFERENCE} are needed`);
});

test('one odd tap among the references does not turn the verdict', () => {
  const random = seededRandom(5);
  const sound = (hollow: boolean) => tapSound(simulatedTap(hollow, RATE, random, 0.1), RATE);
  const solid = [sound(false), sound(false), sound(true), sound(false), sound(false)];
  expect(classifyTap(sound(true), solid).hollow).toBe(true);
  expect(classifyTap(sound(false), solid).hollow).toBe(false);
});

test('a silent, a clipping and a noisy microphone are named', () => {
  const silent = tapListener(RATE);
  silent.hear(new Float32Array(RATE * 7));
  expect(silent.problem()).toBe('silent');
  const clipping = tapListener(RATE);
  clipping.hear(simulatedRecording([true], RATE, 1).map((v) => Math.max(-1, Math.min(1, 12 * v))));
  expect(clipping.problem()).toBe('clipping');
  const noisy = tapListener(RATE);
  const random = seededRandom(3);
  noisy.hear(Float32Array.from({ length: RATE * 2 }, () => 0.5 * (2 * random() - 1)));
  expect(noisy.problem()).toBe('noisy');
});

test('what only sounds lower, as long and as full as before, is heard as hollow; what only sounds higher is not', () => {
  const sound = (dominantHz: number) => ({ centroidHz: 900, dominantHz, decayMs: 30, peak: 0.5 });
  const solid = [sound(800), sound(810), sound(790)];
  // Six spreads down in one feature of three are two on the mean: past the turn at 1.6.
  expect(classifyTap(sound(200), solid).hollow).toBe(true);
  expect(classifyTap(sound(3200), solid).hollow).toBe(false);
});
