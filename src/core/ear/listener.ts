import { tapLength, tapSound, type TapSound } from './features';

/** Why the microphone is of no use as it is. */
export type HearingProblem = 'silent' | 'clipping' | 'noisy';

export const HEARING_PROBLEMS: Record<HearingProblem, string> = {
  silent:
    'Nothing is heard. Check that the microphone is not covered or switched off, hold it within a hand of the wood and tap harder.',
  clipping:
    'The taps are too loud for the microphone and come out cut off. Tap more gently, or hold it farther away.',
  noisy: 'The room is too noisy to tell taps apart. Switch machines and music off, or go on by ear.',
};

const BLOCK_S = 0.005;
/** A tap rises this many times above what the room does. */
const RISE = 6;
const LEAST_PEAK = 0.02;
/** No second tap is looked for until the first has died away. */
const REST_S = 0.18;
const CLIP_LEVEL = 0.985;
const CLIPPED_SHARE = 0.01;
const MOST_NOISE = 0.06;
const SILENCE_S = 6;
const SILENCE_LEVEL = 0.004;

export type TapListener = {
  /** Takes the next samples, −1…1; gives the taps that were complete with them. */
  hear: (samples: ArrayLike<number>) => TapSound[];
  problem: () => HearingProblem | undefined;
};

/**
 * Listens to a running microphone for taps: an onset well above the room's own noise, and what follows it.
 *
 * It holds a few tenths of a second at most, however long it listens.
 */
export function tapListener(rate: number): TapListener {
  const block = Math.max(16, Math.round(BLOCK_S * rate));
  const need = tapLength(rate);
  let held: number[] = [];
  let pending: number[] | undefined;
  let noise = 0;
  let [rest, quietFor, blocks] = [0, 0, 0];
  let clipped = false;

  const finish = (samples: number[]): TapSound => {
    const loud = samples.filter((v) => Math.abs(v) >= CLIP_LEVEL).length;
    clipped = loud / samples.length > CLIPPED_SHARE;
    return tapSound(samples, rate);
  };

  const takeBlock = (samples: number[]): TapSound[] => {
    let [square, peak] = [0, 0];
    for (const v of samples) {
      square += v * v;
      peak = Math.max(peak, Math.abs(v));
    }
    const level = Math.sqrt(square / samples.length);
    if (pending) {
      pending.push(...samples);
      if (pending.length < need) return [];
      const tap = finish(pending.slice(0, need));
      pending = undefined;
      rest = Math.round((REST_S * rate) / block);
      return [tap];
    }
    quietFor = level < SILENCE_LEVEL ? quietFor + samples.length / rate : 0;
    if (rest > 0) {
      rest--;
      return [];
    }
    const onset = blocks > 20 && peak > LEAST_PEAK && level > RISE * Math.max(noise, 1e-4);
    if (onset) {
      const start = samples.findIndex((v) => Math.abs(v) > 0.15 * peak);
      pending = samples.slice(Math.max(0, start));
      return [];
    }
    blocks++;
    // The room's own level, followed slowly upwards and quickly downwards.
    noise = noise === 0 ? level : noise + (level - noise) * (level < noise ? 0.2 : 0.03);
    return [];
  };

  return {
    hear: (samples) => {
      const found: TapSound[] = [];
      for (let i = 0; i < samples.length; i++) {
        held.push(samples[i] ?? 0);
        if (held.length < block) continue;
        found.push(...takeBlock(held));
        held = [];
      }
      return found;
    },
    problem: () =>
      clipped ? 'clipping' : noise > MOST_NOISE ? 'noisy' : quietFor > SILENCE_S ? 'silent' : undefined,
  };
}
