import type { MethodId } from '../catalogue';
import { CRACK_KINDS, LOOSE_KINDS, VENEER_LOSS_KINDS, type DamageKind } from '../damage';
import { practice, type Source } from '../sources';
import { all, any, is, not, over, strains, surely, yes, type Predicate } from './facts';
import { LIMITS } from './limits';
import type { Judgement, Link } from './rule';

export const CP = practice();

export const rule = (
  id: string,
  verdict: Judgement['verdict'],
  methods: MethodId[],
  when: Predicate,
  text: string,
  weight: Judgement['weight'] = 2,
  source: Source = CP,
): Judgement => ({ id, verdict, methods, when, text, weight, source });

/** A ban that something would take away: “if …”. */
export const banned = (
  id: string,
  methods: MethodId[],
  when: Predicate,
  text: string,
  lift: string,
  weight: Judgement['weight'] = 2,
): Judgement => ({ ...rule(id, 'rulesOut', methods, when, text, weight), lift });

export const link = (
  id: string,
  verdict: Link['verdict'],
  methods: MethodId[],
  put: MethodId[],
  when: Predicate,
  text: string,
  as?: DamageKind,
): Link => ({ id, verdict, methods, put, when, text, source: CP, ...(as ? { as } : {}) });

export const clearGoal = any(
  is('goal', 'shellac', 'lacquer', 'varnish', 'oil'),
  all(is('goal', 'keep'), not(is('finishNow', 'paint'))),
);
export const showClear = all(not(is('show', false)), not(surely('coveredLater')), clearGoal, not(is('school', 'paint'))); // prettier-ignore
export const finishStays = is('goal', 'keep');
export const bareWork = any(not(finishStays), is('finishNow', 'bare'));
export const painted = any(is('school', 'paint'), is('goal', 'paint'));
export const hardFilm = is('finishNow', 'shellac', 'lacquer', 'waterborne', 'varnish');
/** Oil and wax soak in or lie on; they are no film that a knife could be levelled against. */
export const oiled = is('finishNow', 'oil', 'wax');
export const oilStays = all(finishStays, oiled);
/** The film that a fill is made on: the old one that stays, or the first coats of a new one. */
export const film = any(all(finishStays, hardFilm), is('goal', 'shellac', 'lacquer', 'varnish'));
export const newFilm = is('goal', 'shellac', 'lacquer', 'varnish');
export const tiny = not(over('areaMm2', LIMITS.tinyMm2));
export const small = not(over('areaMm2', LIMITS.smallMm2));
export const conserve = is('school', 'conserve');
export const loose = is('kind', ...LOOSE_KINDS);
export const veneerLoss = is('kind', ...VENEER_LOSS_KINDS);
export const crack = is('kind', ...CRACK_KINDS, 'crackedVeneer');
/** Board that holds no plug and takes no let-in block: its chips crumble. */
export const crumbly = is('build', 'particleBoard', 'mdf');
export const moves = any(yes('moving'), over('movesMm', LIMITS.stillMm), strains(LIMITS.stiffStrain));
export const closesUp = strains(LIMITS.softStrain);
export const hidden = any(is('show', false), surely('coveredLater'));

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
export const WAXES: MethodId[] = ['hardWax', 'softWax'];
/** Fills that go on the finish, after it is on. */
export const FINISH_FILLS: MethodId[] = ['burnIn', 'hardWax', 'softWax', 'colourPutty'];
export const RESINS: MethodId[] = ['epoxyFill', 'epoxyCap', 'uvResin'];
export const CORE_METHODS: MethodId[] = [
  'hardenCore',
  'consolidateCore',
  'buildUpCore',
  'coreBlock',
  'coreCorner',
];
