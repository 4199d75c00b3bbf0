import { CRACK_KINDS, type DamageKind } from '../damage';
import { memory } from '../sources';
import { dryRun, glue, hours, levelled, step } from './kit';
import type { Row } from './row';

const BROKEN_OFF: DamageKind[] = [
  'brokenChunk',
  'lostCarving',
  'lostCorner',
  'missingMoulding',
  'missingFoot',
];
const cleaned = hours(4, memory('a washed joint dries in about half a day'));

/** Splits, joints and parts that are put together again. */
// prettier-ignore
export const STRUCTURE = {
  glueSplit: {
    label: 'Glue and clamp the split',
    how: 'Wick or inject glue along the whole crack, close it by hand, clamp across.',
    kinds: CRACK_KINDS, family: 'structure', worksOn: 'any', extent: 'place', glue: 'split', hollow: 'wedge', fills: 'nothing', sums: ['close'], needs: ['woodGlue', 'syringe'], marks: { strength: 4, invisibility: 5, reversibility: 3, speed: 4, ease: 4 },
    steps: [
      step('clean', 'structure', 'Clean the split', 'Blow and brush it out; no knife that takes wood. Wax goes with a drop of mineral spirits; let it dry.', 15, ['solvent']),
      dryRun('structure'),
      glue('structure', 'Glue and clamp the split', 'Work glue along the whole crack by syringe or by flexing it; close it by hand, then clamps across with blocks. Wipe at once.', 15),
    ],
  },
  screwSplit: {
    label: 'Glue the split on its screw',
    how: 'Leave the screw in to hold the crack open while glue runs in; back it out, clamp, re-drive with a pilot hole.',
    kinds: ['endSplit'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'split', hollow: 'wedge', fills: 'nothing', sums: ['pilot', 'close'], needs: ['woodGlue'], marks: { strength: 4, invisibility: 5, reversibility: 3, speed: 4, ease: 4 },
    steps: [
      step('open', 'structure', 'Open the split on its screw', 'Turn the screw in until the crack opens a hair; no more.', 5),
      glue('structure', 'Glue, screw out, clamp', 'Run glue in, back the screw out, wipe it, close and clamp. Wax the screw for later.', 15),
      step('pilot', 'reassemble', 'Re-drive the screw', 'Bore a pilot hole of the screw’s core first.', 5, ['drill']),
    ],
  },
  sliver: {
    label: 'Let in a sliver',
    how: 'Plane a tapered sliver of the same wood, glue it in along the gap, level it when dry.',
    kinds: [...CRACK_KINDS, 'crackedVeneer'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['sliver'], needs: ['solidWood', 'woodGlue'], marks: { strength: 4, invisibility: 4, reversibility: 3, speed: 3, ease: 3 },
    steps: [
      step('taper', 'structure', 'Plane the sliver', 'Same wood, grain along, tapered a little; try it without force.', 25, ['cut', 'saw']),
      glue('structure', 'Glue the sliver in', 'In a crack that moves, glue one side only. Leave it proud.', 10),
      levelled,
    ],
  },
  dowelJoint: {
    label: 'Dowelled edge joint',
    how: 'Dowels 25 mm deep on each side, drilled from one mark, with a dry run on short loose dowels.',
    kinds: ['openGlueLine'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['close'], needs: ['dowels', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 2, speed: 2, ease: 2 },
    steps: [
      step('mark', 'structure', 'Mark and drill the dowels', '25 mm deep on each side from one mark; a collar on the bit. Dry run with short loose dowels.', 45, ['drill', 'sand']),
      dryRun('structure'),
      glue('structure', 'Glue and clamp the edge', 'Glue on both edges and in the holes; bars above and below in turn so that it stays flat.', 20),
    ],
  },
  planeJoint: {
    label: 'Plane both edges and glue them anew',
    how: 'Take the boards apart, plane a shaving or two off both edges until no light shows, rub and clamp.',
    kinds: ['openGlueLine'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['close'], needs: ['woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 2, speed: 2, ease: 2 },
    steps: [
      step('apart', 'structure', 'Take the boards apart', 'Warmth and damp along the joint, then a wide knife; no hammer.', 20, ['takeApart', 'heat']),
      step('plane', 'structure', 'Plane both edges', 'Both edges in one setting with a long plane, a paper’s thickness hollow in the middle; hold them to the light.', 30, ['cut']),
      dryRun('structure'),
      glue('structure', 'Glue and clamp the edge', 'Thin on both edges, rub together, bars above and below in turn so that it stays flat.', 20),
    ],
  },
  epoxyJoint: {
    label: 'Glue it with thickened epoxy',
    how: 'Epoxy with fine wood dust bridges what does not quite meet; clamps only hold it, they do not force it.',
    kinds: CRACK_KINDS, family: 'structure', worksOn: 'any', extent: 'place', glue: 'fills', hollow: 'wedge', fills: 'nothing', sums: ['close'], needs: ['epoxy', 'syringe'], marks: { strength: 5, invisibility: 3, reversibility: 1, speed: 3, ease: 3 },
    steps: [
      step('clean', 'structure', 'Clean both sides', 'Scrape and brush to clean wood; tape both faces along the joint.', 20, ['scrape']),
      dryRun('structure'),
      glue('structure', 'Glue with thickened epoxy', 'Neat epoxy on both sides first, then epoxy thick as honey; clamps hand-tight. Scrape squeeze-out while it is like cheese.', 20, ['epoxy']),
    ],
  },
  reglueJoint: {
    label: 'Take the joint apart and reglue it',
    how: 'Number the parts, ease the joint open with heat and damp, clean both sides, glue, clamp square.',
    kinds: ['looseJoint', 'rocks'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['apart'], needs: ['woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 3, speed: 2, ease: 3 },
    steps: [
      step('apart', 'structure', 'Take the joint apart', 'Number the parts. Heat and damp, a strap or a spreader; never a hammer on show wood.', 30, ['takeApart', 'heat']),
      step('clean', 'structure', 'Clean both sides', 'Scrape and wash old glue off without taking wood; let it dry.', 20, ['scrape'], { wait: cleaned }),
      dryRun('structure'),
      glue('structure', 'Glue and clamp square', 'Both sides thinly; measure the diagonals, stand it on a flat floor; wipe squeeze-out at once.', 15),
    ],
  },
  injectJoint: {
    label: 'Inject the joint as it stands',
    how: 'Drill a fine hole at the back, inject glue until it shows, clamp.',
    kinds: ['looseJoint'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'fills', hollow: 'tenon', fills: 'nothing', sums: ['apart'], needs: ['epoxy', 'syringe'], marks: { strength: 2, invisibility: 4, reversibility: 1, speed: 4, ease: 4 },
    steps: [glue('structure', 'Inject and clamp', 'A fine hole at the back, glue until it shows at the shoulder, clamp.', 15, ['drill', 'epoxy'])],
  },
  reglueBreak: {
    label: 'Glue the broken piece back',
    how: 'Fit it dry, glue, hold it with tape and clamps in the direction of the break.',
    kinds: BROKEN_OFF, family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['apart'], needs: ['woodGlue'], marks: { strength: 4, invisibility: 5, reversibility: 3, speed: 4, ease: 4 },
    steps: [
      step('fit', 'structure', 'Fit the piece dry', 'No splinter in between; mark how the clamps will pull.', 10),
      glue('structure', 'Glue the piece back', 'Thin on both sides; tape and clamps in the direction of the break.', 15),
    ],
  },
  refit: {
    label: 'Put the part back where it was',
    how: 'Clean both sides to wood, find the old marks, glue it as it was held before; screws back in their own holes.',
    kinds: ['partOff'], family: 'structure', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['apart', 'pilot'], needs: ['woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 4, speed: 4, ease: 5 },
    steps: [
      step('clean', 'structure', 'Clean both sides', 'Scrape and wash old glue off without taking wood; pull bent pins straight out. Let it dry.', 15, ['scrape'], { wait: cleaned }),
      step('fit', 'structure', 'Find its place', 'Ghost lines, pin holes and wear show where it sat. For a stop or guide try the drawer or door with it taped on.', 10),
      glue('structure', 'Glue the part on', 'Thin on both sides; rub, tape or clamp. Across the grain of a board glue the middle only, or use the old screws, so that the board can move.', 10),
    ],
  },
} satisfies Record<string, Row>;
