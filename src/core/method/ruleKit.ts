import { CRACK_KINDS, LOOSE_KINDS, VENEER_LOSS_KINDS } from '../damage';
import { practice } from '../sources';
import { all, any, is, not, over, yes } from './facts';
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
export const hardFilm = is('finishNow', 'shellac', 'lacquer', 'waterborne', 'varnish');
export const tiny = not(over('areaMm2', 60));
export const conserve = is('school', 'conserve');
export const loose = is('kind', ...LOOSE_KINDS);
export const veneerLoss = is('kind', ...VENEER_LOSS_KINDS);
export const crack = is('kind', ...CRACK_KINDS, 'crackedVeneer');
/** Board that holds no plug and takes no let-in block: its chips crumble. */
export const crumbly = is('build', 'particleBoard', 'mdf');
/** A stiff fill is broken out by a crack that opens and closes by more than this over the year. mm. */
export const MOST_STIFF_MOVEMENT_MM = 0.3;
export const moves = any(yes('moving'), over('movesMm', MOST_STIFF_MOVEMENT_MM));

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
/** Fills that go on the finish, after it is on. */
export const FINISH_FILLS: MethodId[] = ['burnIn', 'hardWax', 'softWax', 'colourPutty'];
export const RESINS: MethodId[] = ['epoxyFill', 'epoxyCap', 'uvResin'];
