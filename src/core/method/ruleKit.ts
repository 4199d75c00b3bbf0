import { practice } from '../sources';
import { all, any, is, not, over } from './facts';
import type { Rule, Verdict } from './rule';
import type { MethodId } from './methods';

export const CP = practice();
export const rule = (
  id: string,
  verdict: Verdict,
  methods: MethodId[],
  when: Rule['when'],
  text: string,
  weight: Rule['weight'] = 2,
  source = CP,
): Rule => ({ id, verdict, methods, when, text, weight, source });

export const clearGoal = any(
  is('goal', 'shellac', 'lacquer', 'varnish', 'oil'),
  all(is('goal', 'keep'), not(is('finishNow', 'paint'))),
);
export const showClear = all(not(is('show', false)), clearGoal, not(is('school', 'paint')));
export const finishStays = is('goal', 'keep');
export const bareWork = any(not(finishStays), is('finishNow', 'bare'));
export const painted = any(is('school', 'paint'), is('goal', 'paint'));
export const hardFilm = is('finishNow', 'shellac', 'lacquer', 'varnish');
export const tiny = not(over('areaMm2', 60));
export const FILLS: MethodId[] = [
  'bareFiller',
  'polyesterFiller',
  'epoxyPutty',
  'burnIn',
  'hardWax',
  'softWax',
  'colourPutty',
];
export const PATCHES: MethodId[] = ['veneerPatch', 'harvestedPatch', 'edgeStrip', 'sawnStrip'];
