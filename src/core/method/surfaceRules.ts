import { DAMAGE_KINDS, type DamageKind } from '../damage';
import { memory } from '../sources';
import { all, any, is, not, over, yes } from './facts';
import type { Rule } from './rule';
import { bareWork, conserve, finishStays, painted, rule } from './ruleKit';

const SURFACE_KINDS = (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter(
  (k) => DAMAGE_KINDS[k].family === 'surface',
);
const black = is('kind', 'blackMark');
const ring = is('kind', 'whiteRing');
const shadow = is('kind', 'shadow');
const failing = is('kind', 'failingFinish');
const specks = is('kind', 'paintSpecks');
const mismatch = is('kind', 'colourMismatch');

/** Rules for marks, stains and finishes. */
// prettier-ignore
export const SURFACE_RULES: readonly Rule[] = [
  rule('seal-paint', 'for', ['sealOver'], painted,
    'Paint covers it once the mark is sealed against bleeding through.', 3),
  rule('seal-clear', 'rulesOut', ['sealOver'], not(painted),
    'It needs paint over it.'),
  rule('colour-paint', 'rulesOut', ['toneIn', 'woodBleach'], painted,
    'Paint hides the colour of the wood.'),
  rule('polish-paint', 'against', ['liftHaze', 'reviveFinish', 'pickOut', 'oxalicAcid'], painted,
    'It is painted over; this work would be lost.', 3),

  rule('oxalic-iron', 'for', ['oxalicAcid'], all(black, bareWork, not(is('inWood', false))),
    'Oxalic acid dissolves the iron–tannin black and leaves the wood’s own colour.', 3),
  rule('oxalic-finish', 'rulesOut', ['oxalicAcid'], not(bareWork),
    'It works on bare wood only; through a finish it does nothing.'),
  rule('oxalic-film', 'rulesOut', ['oxalicAcid', 'woodBleach'], is('inWood', false),
    'The mark is in the finish, not in the wood.'),
  rule('oxalic-conserve', 'against', ['oxalicAcid'], conserve,
    'The mark is part of the piece’s life; bleaching is not undone.', 1),
  rule('bleach-black', 'against', ['woodBleach'], black,
    'It takes the wood’s own colour along with the mark.', 3),
  rule('bleach-bare', 'rulesOut', ['woodBleach'], not(bareWork),
    'It works on bare wood only.'),
  rule('bleach-conserve', 'rulesOut', ['woodBleach'], conserve,
    'Bleach takes patina that nothing brings back.'),
  rule('bleach-thin', 'against', ['woodBleach'], all(not(is('build', 'solid')), not(over('veneerMm', 0.8))),
    'On thin veneer it may lift the glue; test on a hidden place first.', 2, memory('veneer of about 0.8 mm and less counts as thin here')),
  rule('bleach-dark', 'for', ['woodBleach'], all(any(shadow, mismatch), bareWork, yes('inWood')),
    'It brings a dark part down to the light one before any colour.', 1),
  rule('black-renew', 'for', ['renewFinish'], all(black, is('inWood', false), not(finishStays)),
    'The mark goes with the old finish.', 3),
  rule('black-renew-wood', 'against', ['renewFinish'], all(black, not(is('inWood', false))),
    'A new finish over the mark only makes it clearer.', 3),
  rule('black-tone', 'for', ['toneIn'], all(black, finishStays),
    'Under a finish that stays, colour around it makes it recede.', 1),
  rule('black-leave', 'for', ['leave'], all(black, conserve, finishStays),
    'An old mark that harms nothing.', 3),

  rule('haze-film', 'for', ['liftHaze'], all(ring, not(painted)),
    'The haze sits at the top of the finish; a touch of alcohol or a fine rub lets it out.', 3),
  rule('haze-bare', 'rulesOut', ['liftHaze', 'reviveFinish'], is('finishNow', 'bare'),
    'There is no finish to work on.'),
  rule('haze-hard', 'against', ['liftHaze'], all(ring, is('finishNow', 'varnish', 'waterborne')),
    'Alcohol does not reach into this finish; only the rub helps.', 1),
  rule('haze-broken', 'against', ['liftHaze'], all(ring, yes('finishBroken')),
    'The finish itself is broken there.', 3),
  rule('haze-shadow', 'for', ['liftHaze'], all(shadow, is('inWood', false)),
    'It is in the finish, and comes off with it or evens out with a rub.', 3),
  rule('haze-shadow-wood', 'rulesOut', ['liftHaze'], all(shadow, yes('inWood')),
    'The wood itself has another colour.'),
  rule('renew-anyway', 'for', ['renewFinish'], all(any(ring, failing), not(finishStays)),
    'The finish comes off anyway.', 3),
  rule('renew-stays', 'against', ['renewFinish'], all(any(ring, failing, black, specks), finishStays),
    'The finish was to stay.', 3),
  rule('renew-conserve', 'against', ['renewFinish'], conserve,
    'The old surface goes with the finish.', 3),
  rule('renew-specks', 'against', ['renewFinish'], specks,
    'It has just been stripped; the paint sits in the pores, not on the wood.', 2),

  rule('revive-shellac', 'for', ['reviveFinish'], all(any(failing, ring), is('finishNow', 'shellac'), finishStays),
    'New shellac melts into old shellac; nothing is taken off.', 3),
  rule('revive-other', 'rulesOut', ['reviveFinish'], is('finishNow', 'varnish', 'waterborne', 'oil', 'paint'),
    'Fresh shellac does not melt into this finish.'),
  rule('revive-stripped', 'rulesOut', ['reviveFinish', 'liftHaze'], all(not(finishStays), is('kind', ...SURFACE_KINDS)),
    'The finish comes off; there is nothing left to revive.'),

  rule('specks-pick', 'for', ['pickOut'], all(specks, not(painted)),
    'Shellac or stripper softens the specks; a brush and a point lift them along the pores.', 3),
  rule('specks-finish', 'rulesOut', ['pickOut'], all(specks, not(bareWork)),
    'The finish over them stays.'),
  rule('specks-tone', 'for', ['toneIn'], all(specks, finishStays),
    'Dotted with pigment they vanish in the grain.', 2),
  rule('tone-shadow', 'for', ['toneIn'], all(any(shadow, mismatch), not(painted), not(is('inWood', false))),
    'Colour is added to the pale part, the reddish tone first, the brown on both.', 3),
  rule('tone-film', 'against', ['toneIn'], all(shadow, is('inWood', false)),
    'What lies in the finish should come off, not be covered.', 2),
  rule('leave-surface', 'for', ['leave'], all(is('kind', 'shadow', 'colourMismatch', 'oldRepair'), conserve),
    'Age shows its colours; it harms nothing.', 2),
  rule('leave-hidden', 'for', ['leave'], all(is('kind', ...SURFACE_KINDS), is('show', false)),
    'Nobody sees it there.', 3),
  rule('leave-surface-clear', 'against', ['leave'], all(is('kind', ...SURFACE_KINDS, 'oldRepair', 'unsuitableVeneer'), not(conserve), not(is('show', false))),
    'It draws the eye under an even finish.', 3),
  rule('leave-failing', 'against', ['leave'], all(failing, not(is('show', false))),
    'A finish that lets go protects nothing.', 3),
];
