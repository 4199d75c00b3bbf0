import FFT from 'fft.js';

/** What a tap sounds like. */
export type TapSound = {
  /** Middle of the spectrum between 80 Hz and 6 kHz, weighted by power. */
  centroidHz: number;
  /** The strongest frequency in that range. */
  dominantHz: number;
  /** Time in which the sound falls by 20 dB. */
  decayMs: number;
  /** Greatest amplitude, 0…1. */
  peak: number;
};

const LOW_HZ = 80;
const HIGH_HZ = 6000;
const WINDOW_S = 0.09;
const HOP_S = 0.003;
const FALL_DB = 20;

const fftBySize = new Map<number, FFT>();

function fftOf(size: number): FFT {
  const found = fftBySize.get(size) ?? new FFT(size);
  fftBySize.set(size, found);
  return found;
}

/** Samples a tap needs from its onset on. */
export const tapLength = (rate: number): number => 2 ** Math.round(Math.log2(WINDOW_S * rate));

/** Root mean square over consecutive hops. */
function envelope(samples: ArrayLike<number>, hop: number): number[] {
  const count = Math.floor(samples.length / hop);
  return Array.from({ length: count }, (_, i) => {
    let sum = 0;
    for (let k = i * hop; k < (i + 1) * hop; k++) sum += (samples[k] ?? 0) ** 2;
    return Math.sqrt(sum / hop);
  });
}

/** Straight-line fit of the level in dB from its peak on, as long as it stands above the floor. */
function decayMs(samples: ArrayLike<number>, rate: number): number {
  const hop = Math.max(8, Math.round(HOP_S * rate));
  const levels = envelope(samples, hop).map((v) => 20 * Math.log10(Math.max(1e-6, v)));
  const top = levels.indexOf(Math.max(...levels));
  const peak = levels[top] ?? 0;
  const run: [number, number][] = [];
  for (let i = top; i < levels.length; i++) {
    const level = levels[i] ?? -120;
    if (level < peak - 1.5 * FALL_DB) break;
    run.push([((i - top) * hop * 1000) / rate, level]);
  }
  const n = run.length;
  if (n < 2) return (hop * 1000) / rate;
  const [mx, my] = [run.reduce((s, p) => s + p[0], 0) / n, run.reduce((s, p) => s + p[1], 0) / n];
  const slope =
    run.reduce((s, p) => s + (p[0] - mx) * (p[1] - my), 0) / run.reduce((s, p) => s + (p[0] - mx) ** 2, 0);
  return slope < -1e-3 ? Math.min(1000, -FALL_DB / slope) : 1000;
}

/**
 * The features of one tap.
 *
 * @param samples from the onset on, {@link tapLength} of them, −1…1
 * @param rate samples a second
 */
export function tapSound(samples: ArrayLike<number>, rate: number): TapSound {
  const size = tapLength(rate);
  const faded = Array.from({ length: size }, (_, i) => {
    // A half window: full at the onset, nothing at the end, so that the cut makes no line of its own.
    const fade = 0.5 * (1 + Math.cos((Math.PI * i) / size));
    return (samples[i] ?? 0) * fade;
  });
  const fft = fftOf(size);
  const out = fft.createComplexArray();
  fft.realTransform(out, faded);
  const power = (k: number): number => (out[2 * k] ?? 0) ** 2 + (out[2 * k + 1] ?? 0) ** 2;
  const bin = rate / size;
  let [sum, moment, best] = [0, 0, Math.ceil(LOW_HZ / bin)];
  for (let k = Math.ceil(LOW_HZ / bin); k <= Math.min(size / 2 - 1, Math.floor(HIGH_HZ / bin)); k++) {
    sum += power(k);
    moment += k * power(k);
    if (power(k) > power(best)) best = k;
  }
  // The peak lies between bins: a parabola through the three highest, in dB.
  const [a, b, c] = [best - 1, best, best + 1].map((k) => Math.log(Math.max(1e-30, power(k)))) as [number, number, number]; // prettier-ignore
  const bend = a - 2 * b + c;
  const shift = bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (0.5 * (a - c)) / bend));
  let peak = 0;
  for (let i = 0; i < size; i++) peak = Math.max(peak, Math.abs(samples[i] ?? 0));
  return {
    centroidHz: sum > 0 ? (moment / sum) * bin : 0,
    dominantHz: (best + shift) * bin,
    decayMs: decayMs(
      Array.from({ length: size }, (_, i) => samples[i] ?? 0),
      rate,
    ),
    peak,
  };
}
