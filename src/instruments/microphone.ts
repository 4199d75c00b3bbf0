import { seededRandom } from '@/core/check';
import { simulatedTap } from '@/core/ear';

export type Microphone = { rate: number; simulated: boolean; stop: () => void };

const CHUNK = 2048;

/** What the browser's refusals mean, in words. */
function refusal(error: unknown): Error {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError')
    return new Error(
      'The microphone is refused. Allow it for this page in the browser’s settings, or go on by your own ear.',
    );
  if (name === 'NotFoundError')
    return new Error('This device has no microphone. Go on by your own ear, or try the simulated one.');
  return new Error('The microphone cannot be opened; another program may hold it. Go on by your own ear.');
}

/**
 * Opens the phone's microphone and hands its samples on, unprocessed: noise suppression would swallow the taps.
 *
 * @throws Error in plain words when there is none or it is refused
 */
export async function openMicrophone(
  onSamples: (samples: Float32Array, rate: number) => void,
): Promise<Microphone> {
  if (typeof navigator === 'undefined' || !navigator.mediaDevices)
    throw new Error(
      'This browser gives no microphone to this page. Open it over https or on this device itself.',
    );
  const stream = await navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
    .catch((error: unknown) => {
      throw refusal(error);
    });
  const context = new AudioContext();
  await context.resume();
  const source = context.createMediaStreamSource(stream);
  // An audio worklet would need a script of its own that the page's security policy and the bundler both stand in the way of;
  // this older node does the little that is needed here.
  const tap = context.createScriptProcessor(CHUNK, 1, 1);
  tap.onaudioprocess = (event) => onSamples(event.inputBuffer.getChannelData(0).slice(), context.sampleRate);
  source.connect(tap);
  tap.connect(context.destination);
  return {
    rate: context.sampleRate,
    simulated: false,
    stop: () => {
      tap.onaudioprocess = null;
      source.disconnect();
      tap.disconnect();
      stream.getTracks().forEach((t) => t.stop());
      void context.close();
    },
  };
}

const SIMULATED_RATE = 44_100;
const BETWEEN_MS = 900;

/** A simulated microphone beside a bench where somebody taps: `hollow` is asked at each tap. */
export function simulatedMicrophone(
  onSamples: (samples: Float32Array, rate: number) => void,
  hollow: () => boolean,
  seed = 7,
): Microphone {
  const random = seededRandom(seed);
  const room = (): Float32Array => Float32Array.from({ length: CHUNK }, () => 0.0015 * (2 * random() - 1));
  for (let i = 0; i < 8; i++) onSamples(room(), SIMULATED_RATE);
  const timer = setInterval(() => {
    onSamples(Float32Array.from(simulatedTap(hollow(), SIMULATED_RATE, random)), SIMULATED_RATE);
    onSamples(room(), SIMULATED_RATE);
  }, BETWEEN_MS);
  return { rate: SIMULATED_RATE, simulated: true, stop: () => clearInterval(timer) };
}
