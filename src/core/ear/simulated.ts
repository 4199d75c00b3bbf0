import { seededRandom } from '../check';

type Partial = { hz: number; decayS: number; amplitude: number };

const SOLID: Partial[] = [
  { hz: 1150, decayS: 0.006, amplitude: 1 },
  { hz: 2450, decayS: 0.004, amplitude: 0.6 },
  { hz: 3900, decayS: 0.003, amplitude: 0.35 },
];
const HOLLOW: Partial[] = [
  { hz: 340, decayS: 0.026, amplitude: 1 },
  { hz: 820, decayS: 0.014, amplitude: 0.45 },
  { hz: 1900, decayS: 0.006, amplitude: 0.2 },
];

const NOISE = 0.0015;

/**
 * A generated tap: a few damped tones, their pitch and length scattered as a hand scatters them, and the room's noise.
 *
 * @returns samples −1…1
 */
export function simulatedTap(hollow: boolean, rate: number, random: () => number, seconds = 0.5): number[] {
  const vary = (spread: number): number => 1 + spread * (2 * random() - 1);
  const loud = 0.45 * vary(0.35);
  const partials = (hollow ? HOLLOW : SOLID).map((p) => ({
    hz: p.hz * vary(0.12),
    decayS: p.decayS * vary(0.25),
    amplitude: p.amplitude * vary(0.2),
    phase: 2 * Math.PI * random(),
  }));
  const total = partials.reduce((s, p) => s + p.amplitude, 0);
  return Array.from({ length: Math.round(seconds * rate) }, (_, i) => {
    const t = i / rate;
    const tone = partials.reduce(
      (s, p) => s + p.amplitude * Math.exp(-t / p.decayS) * Math.sin(2 * Math.PI * p.hz * t + p.phase),
      0,
    );
    return (loud * tone) / total + NOISE * (2 * random() - 1);
  });
}

/** A recording: half a second of room, then one tap after the other, solid or hollow as said. */
export function simulatedRecording(
  hollow: readonly boolean[],
  rate: number,
  seed: number,
  gapS = 0.5,
): Float32Array {
  const random = seededRandom(seed);
  const room = Array.from({ length: Math.round(0.5 * rate) }, () => NOISE * (2 * random() - 1));
  return Float32Array.from([...room, ...hollow.flatMap((h) => simulatedTap(h, rate, random, gapS))]);
}
