import { DAMAGE_KINDS, type DamageKind } from '../damage';
import { all, any, is, not, over, surely, yes } from './facts';
import { LIMITS } from './limits';
import type { Rule } from './rule';
import { banned, bareWork, conserve, finishStays, oiled, oilStays, painted, rule } from './ruleKit';

const SURFACE_KINDS = (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter(
  (k) => DAMAGE_KINDS[k].family === 'surface' && k !== 'mouldSmell',
);
const black = is('kind', 'blackMark');
const ring = is('kind', 'whiteRing');
const shadow = is('kind', 'shadow');
const failing = is('kind', 'failingFinish');
const specks = is('kind', 'paintSpecks');
const mismatch = is('kind', 'colourMismatch');
/** Tired shellac that gets shellac again: nothing need come off. */
const shellacAgain = all(is('goal', 'shellac'), is('finishNow', 'shellac'));
const oilAgain = all(is('goal', 'oil'), oiled);

/** Rules for marks, stains and finishes. */
// prettier-ignore
export const SURFACE_RULES: readonly Rule[] = [
  rule('seal-paint', 'for', ['sealOver'], painted,
    'Paint covers it once the mark is sealed against bleeding through.', 3),
  banned('seal-clear', ['sealOver'], not(painted),
    'It needs paint over it.', 'it is painted in the end'),
  banned('colour-paint', ['toneIn', 'woodBleach'], painted,
    'Paint hides the colour of the wood.', 'it is not painted'),
  rule('polish-paint', 'against', ['liftHaze', 'reviveFinish', 'pickOut', 'oxalicAcid', 'reoil'], painted,
    'It is painted over; this work would be lost.', 3),

  rule('oxalic-iron', 'for', ['oxalicAcid'], all(black, bareWork, not(is('inWood', false))),
    'Oxalic acid dissolves the iron–tannin black and leaves the wood’s own colour.', 3),
  banned('oxalic-finish', ['oxalicAcid'], not(bareWork),
    'It works on bare wood only; through a finish it does nothing.', 'the finish comes off'),
  banned('oxalic-film', ['oxalicAcid', 'woodBleach'], is('inWood', false),
    'The mark is in the finish, not in the wood.', 'the mark is in the wood', 3),
  rule('oxalic-conserve', 'against', ['oxalicAcid'], conserve,
    'The mark is part of the piece’s life; bleaching is not undone.', 1),
  rule('bleach-black', 'against', ['woodBleach'], black,
    'It takes the wood’s own colour along with the mark.', 3),
  banned('bleach-bare', ['woodBleach'], not(bareWork),
    'It works on bare wood only.', 'the finish comes off'),
  banned('bleach-conserve', ['woodBleach'], conserve,
    'Bleach on the old surface takes patina that nothing brings back.', 'it is new wood that is bleached'),
  rule('bleach-thin', 'against', ['woodBleach'], all(not(is('build', 'solid')), not(over('veneerMm', LIMITS.thinVeneerMm))),
    'On thin veneer it may lift the glue; test on a hidden place first.', 2, LIMITS.thinVeneerMm.source),
  rule('bleach-dark', 'for', ['woodBleach'], all(any(shadow, mismatch), bareWork, yes('inWood')),
    'It brings a dark part down to the light one before any colour.', 1),
  rule('black-renew', 'for', ['renewFinish'], all(black, is('inWood', false), not(finishStays)),
    'The mark goes with the old finish.', 3),
  rule('black-renew-wood', 'against', ['renewFinish'], all(black, not(is('inWood', false))),
    'A new finish over the mark only makes it clearer.', 3),
  rule('black-tone', 'for', ['toneIn'], all(black, finishStays, not(oiled)),
    'Under a finish that stays, colour around it makes it recede.', 1),
  rule('black-leave', 'for', ['leave'], all(black, conserve, finishStays),
    'An old mark that harms nothing.', 3),

  rule('haze-film', 'for', ['liftHaze'], all(ring, not(painted), not(oiled)),
    'The haze sits at the top of the finish; a touch of alcohol or a fine rub lets it out.', 3),
  banned('haze-bare', ['liftHaze', 'reviveFinish', 'reoil'], is('finishNow', 'bare'),
    'There is no finish to work on.', 'there is a finish on it after all', 3),
  rule('haze-hard', 'against', ['liftHaze'], all(ring, is('finishNow', 'varnish', 'waterborne')),
    'Alcohol does not reach into this finish; only the rub helps.', 1),
  rule('haze-broken', 'against', ['liftHaze'], all(ring, yes('finishBroken')),
    'The finish itself is broken there.', 3),
  rule('haze-oil', 'against', ['liftHaze'], oiled,
    'Oil and wax are no film that haze could be let out of.', 3),
  rule('haze-shadow', 'for', ['liftHaze'], all(shadow, is('inWood', false)),
    'It is in the finish, and comes off with it or evens out with a rub.', 3),
  banned('haze-shadow-wood', ['liftHaze'], all(shadow, yes('inWood')),
    'The wood itself has another colour.', 'it is only in the finish', 3),
  rule('renew-anyway', 'for', ['renewFinish'], all(any(ring, failing), not(finishStays), not(oilAgain), not(surely('finishPlan', 'refresh'))),
    'The finish comes off anyway.', 3),
  rule('renew-refresh', 'against', ['renewFinish'], is('finishPlan', 'refresh'),
    'It is to be refreshed, not replaced.', 3),
  rule('renew-replace', 'for', ['renewFinish'], all(failing, is('finishPlan', 'replace')),
    'A film that flakes, sticks or has gone holds nothing that is put on it.', 3),
  rule('renew-stays', 'against', ['renewFinish'], all(any(ring, failing, black, specks), finishStays, not(surely('finishPlan', 'replace'))),
    'The finish was to stay.', 3),
  rule('renew-conserve', 'against', ['renewFinish'], conserve,
    'The old surface goes with the finish.', 3),
  rule('renew-specks', 'against', ['renewFinish'], specks,
    'It has just been stripped; the paint sits in the pores, not on the wood.', 2),

  rule('revive-shellac', 'for', ['reviveFinish'], all(any(failing, ring), is('finishNow', 'shellac'), any(finishStays, shellacAgain), not(surely('finishPlan', 'replace'))),
    'New shellac melts into old shellac; nothing is taken off.', 3),
  rule('revive-crazed', 'for', ['reviveFinish'], all(failing, shellacAgain, is('finishPlan', 'refresh')),
    'Crazed or tired shellac is cleaned, melted together and padded, not stripped.', 3),
  banned('revive-other', ['reviveFinish'], is('finishNow', 'varnish', 'waterborne', 'oil', 'wax', 'paint'),
    'Fresh shellac does not melt into this finish.', 'the old finish is shellac: try a drop of alcohol', 2),
  rule('revive-lacquer', 'against', ['reviveFinish'], is('finishNow', 'lacquer'),
    'Shellac lies on lacquer; it does not melt into it.', 1),
  rule('revive-gone', 'against', ['reviveFinish'], is('finishPlan', 'replace'),
    'A film that flakes or sticks carries nothing.', 3),
  banned('revive-stripped', ['reviveFinish', 'liftHaze'], all(not(finishStays), not(shellacAgain), is('kind', ...SURFACE_KINDS, 'scratch')),
    'The finish comes off; there is nothing left to revive.', 'the finish stays'),

  rule('reoil-oil', 'for', ['reoil'], all(any(oilStays, oilAgain), any(failing, ring, is('kind', 'wornThrough'))),
    'Oil and wax are given again at the place and buffed in; nothing is stripped.', 3),
  rule('reoil-dent', 'against', ['reoil'], is('kind', 'dent'),
    'It brings the sheen back, not the wood.', 3),
  banned('reoil-film', ['reoil'], not(oiled),
    'The finish is a film, not oil or wax.', 'the finish is oil or wax', 3),
  banned('reoil-other', ['reoil'], all(oiled, not(finishStays), not(is('goal', 'oil'))),
    'Another finish is to come; it does not hold on fresh oil or wax.', 'oil or wax stays', 2),
  banned('tone-oil', ['toneIn'], oilStays,
    'Colour in shellac lies on oil and wax and comes off; they are no ground for it.', 'the oil or wax comes off', 2),

  rule('specks-pick', 'for', ['pickOut'], all(specks, not(painted)),
    'Shellac or stripper softens the specks; a brush and a point lift them along the pores.', 3),
  banned('specks-finish', ['pickOut'], all(specks, not(bareWork)),
    'The finish over them stays.', 'the finish comes off'),
  rule('specks-sand', 'against', ['sandOut'], specks,
    'The paint sits deep in the pores; sanding to it takes the wood.', 3),
  rule('specks-tone', 'for', ['toneIn'], all(specks, finishStays),
    'Dotted with pigment they vanish in the grain.', 2),
  rule('tone-shadow', 'for', ['toneIn'], all(any(shadow, mismatch), not(painted), not(is('inWood', false))),
    'Colour is added to the pale part, the reddish tone first, the brown on both.', 3),
  rule('tone-film', 'against', ['toneIn'], all(shadow, is('inWood', false)),
    'What lies in the finish should come off, not be covered.', 2),
  rule('leave-surface', 'for', ['leave'], all(any(is('kind', 'shadow', 'colourMismatch'), all(is('kind', 'oldRepair'), not(surely('repairLevel', 'proud')))), conserve),
    'Age shows its colours; it harms nothing.', 2),
  rule('leave-hidden', 'for', ['leave'], all(is('kind', ...SURFACE_KINDS), is('show', false)),
    'Nobody sees it there.', 3),
  rule('leave-surface-clear', 'against', ['leave'], all(is('kind', ...SURFACE_KINDS, 'oldRepair', 'unsuitableVeneer'), not(conserve), not(is('show', false))),
    'It draws the eye under an even finish.', 3),
  rule('leave-failing', 'against', ['leave'], all(failing, not(is('show', false))),
    'A finish that lets go protects nothing.', 3),
];
