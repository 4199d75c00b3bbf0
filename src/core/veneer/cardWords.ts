import { memory, sourced } from '../sources';
import type { WoodCard } from './card';

const RUNS = ['runs all ways, as in a burr', 'sways', 'runs one way'] as const;
const PORES = { none: 'no pores to be seen', fine: 'fine pores', coarse: 'coarse pores' } as const;
/** From here on grain sways, and runs one way. */
const STEPS = [
  sourced(0.35, memory('a burr in a photo')),
  sourced(0.65, memory('straight grain in a photo')),
] as const;
/** From here on there are lines, and strong ones, in L*; and a photo is said to be off level. */
const LINES = [
  sourced(6, memory('lines that are seen from standing height')),
  sourced(16, memory('lines that are seen across a room')),
] as const;
const LINE_WORDS = ['hardly any lines', 'soft lines', 'strong lines'] as const;
const OFF_LEVEL_DEG = 1;

/** A wood card in a sentence. @param length a length in words */
export function cardWords(
  { coherence, periodMm, contrast, pores, grainDeg }: WoodCard,
  length: (mm: number) => string,
): string {
  const run = RUNS[STEPS.filter((s) => coherence >= s.value).length] ?? RUNS[1];
  const off = Math.min(grainDeg, 180 - grainDeg);
  return [
    `Its grain ${run}`,
    ...(coherence >= STEPS[0].value && off >= OFF_LEVEL_DEG
      ? [`${off.toFixed(0)}° off level in the photo`]
      : []),
    ...(periodMm === undefined ? [] : [`stripes ${length(periodMm)} apart`]),
    LINE_WORDS[LINES.filter((l) => contrast >= l.value).length] ?? LINE_WORDS[1],
    PORES[pores],
  ]
    .join(', ')
    .concat('.');
}
