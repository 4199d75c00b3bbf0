import { DAMAGE_KINDS, LOOSE_KINDS, type DamageKind } from '../damage';
import { memory } from '../sources';
import { hours, step } from './kit';
import type { Row } from './row';

const KINDS = Object.keys(DAMAGE_KINDS) as DamageKind[];
/** What gets worse, or is lost, while it waits for its repair. */
const WAITS_BADLY: DamageKind[] = [...LOOSE_KINDS, 'chippedVeneer', 'missingVeneer', 'lostCorner', 'missingMotif', 'endSplit', 'longCrack', 'openGlueLine', 'looseJoint', 'brokenChunk', 'lostCarving', 'missingMoulding', 'missingFoot', 'wornRunner', 'partOff', 'rocks']; // prettier-ignore

/** Looking after a piece, holding what is loose, and leaving alone. */
// prettier-ignore
export const CARE = {
  cleanMould: {
    label: 'Dry it out and take the mould off',
    how: 'Drawers out, moving dry air, then a damp wipe with a mask on; nothing is brushed dry.',
    kinds: ['mouldSmell'], family: 'care', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 4, invisibility: 5, reversibility: 5, speed: 2, ease: 5 },
    steps: [
      step('dry', 'intake', 'Dry it out slowly', 'Drawers and backs out where they come out, moving air, no heat on it. Mould stops when the wood is under about 15 % moisture.', 15, ['openInside'], { wait: hours(72, memory('a damp case dries for some days in moving air; a meter tells when')) }),
      step('wipe', 'intake', 'Wipe the mould off', 'Damp cloths with alcohol and water, folded inwards and thrown away; vacuum only with a HEPA filter. Outdoors if it can be.', 30, ['openInside', 'solvent'], { wait: hours(12, memory('wiped wood dries overnight')) }),
    ],
  },
  airOut: {
    label: 'Air it and take the smell up',
    how: 'Wiped inside, left open in dry moving air and sun on the air, not on the wood; charcoal or baking soda closed in with it for days.',
    kinds: ['mouldSmell'], family: 'care', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 2, invisibility: 5, reversibility: 5, speed: 1, ease: 5 },
    steps: [step('air', 'intake', 'Wipe and air', 'Wipe the inside, leave it open and in moving dry air; then a dish of charcoal or baking soda inside, closed.', 15, ['openInside'], { wait: hours(168, memory('a smell needs a week or more to go')) })],
  },
  sealInside: {
    label: 'Seal the inside with shellac',
    how: 'Two thin coats of dewaxed shellac on the bare wood inside hold back what the wood gives off. Oil is not used inside: it turns rancid.',
    kinds: ['mouldSmell'], family: 'care', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['shellac'], marks: { strength: 4, invisibility: 4, reversibility: 2, speed: 4, ease: 4 },
    steps: [step('seal', 'seal', 'Seal the inside', 'On dry, clean wood only. Two thin coats; leave it open until no smell of alcohol is left.', 30, ['openInside', 'solvent'], { wait: hours(12, memory('shellac inside a case airs overnight')) })],
  },
  makeSafe: {
    label: 'Make it safe for now',
    how: 'Nothing breaks off or gets lost until the repair: paper and weak paste or low-tack tape over what is loose, padding, splinters in a labelled bag. It is no repair.',
    kinds: WAITS_BADLY, family: 'care', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 1, invisibility: 1, reversibility: 5, speed: 5, ease: 5 },
    steps: [step('hold', 'intake', 'Hold what is loose', 'Thin paper with weak wheat paste over loose veneer, or low-tack tape that is taken off within days; never on flaking finish or gilding. Label it, so that nobody wipes or lifts there.', 10)],
  },
  leave: {
    label: 'Leave it as it is',
    how: 'Stable, honest wear. Record why.',
    kinds: KINDS, family: 'leave', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 2, invisibility: 2, reversibility: 5, speed: 5, ease: 5 },
    steps: [],
  },
} satisfies Record<string, Row>;
