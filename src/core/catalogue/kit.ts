import { memory, practice, sourced, type Source, type Sourced } from '../sources';
import type { Deed, Step } from './row';

/** Minutes that a step is attended are from memory; the log shows what they really took. */
export const ATTENDED_SOURCE: Source = memory('minutes of a careful hand; your own log goes first');
/** Figures that stand in the words of a step. */
export const WORDS_SOURCE: Source = practice('what a careful refinisher does at this step');

export const minutes = (value: number, source: Source): Sourced => sourced(value, source);
export const hours = (value: number, source: Source): Sourced => sourced(value * 60, source);

export const step = (
  key: string,
  phase: Step['phase'],
  title: string,
  detail: string,
  attended: number,
  deeds: readonly Deed[] = [],
  more: Pick<Step, 'wait' | 'after' | 'layer' | 'alone' | 'pace'> = {},
): Step => ({
  key,
  phase,
  title,
  detail,
  attended: sourced(attended, ATTENDED_SOURCE),
  deeds,
  source: WORDS_SOURCE,
  ...more,
});

export const glue = (
  phase: Step['phase'],
  title: string,
  detail: string,
  attended: number,
  deeds: readonly Deed[] = [],
): Step => ({ ...step('glue', phase, title, detail, attended, deeds), glued: true });

export const dryRun = (phase: Step['phase']): Step =>
  step('dryRun', phase, 'Dry run', 'All blocks, cauls and clamps on once without glue; look along it for twist.', 10); // prettier-ignore
export const levelled = step('level', 'level', 'Plane and scrape level', 'When the glue is hard. Plane with the grain, then a scraper; spare the wood around.', 15, ['cut', 'scrape']); // prettier-ignore
