import { LOOSE_KINDS, type DamageKind } from '../damage';
import { memory } from '../sources';
import { dryRun, hours, minutes, step } from './kit';
import type { Deed, Row, Step } from './row';

const LIFTABLE: DamageKind[] = ['liftedEdge', 'blister', 'looseVeneer'];
const press = (title: string, detail: string, deeds: readonly Deed[] = []): Step => ({
  ...step('press', 'reglue', title, detail, 8, deeds),
  glued: true,
});

/** Veneer that is still there is laid down again. */
// prettier-ignore
export const REGLUE = {
  floodAndPress: {
    label: 'Flood and press',
    how: 'Let thinned glue run deep, then thicker, then neat at the mouth; press flat under a platen.',
    kinds: LOOSE_KINDS, family: 'reglue', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 3, speed: 3, ease: 4 },
    steps: [
      step('clean', 'reglue', 'Clean the glue line', 'Slide out loose glue and dust with a thin knife; vacuum. Keep every splinter.', 15, ['cut']),
      dryRun('reglue'),
      press('Flood and clamp', 'Three mixes: thin, half, neat at the mouth; pump and tilt. Release sheet, platen, cauls, clamps from the middle outwards. Wipe squeeze-out at once.'),
    ],
  },
  injectAndPress: {
    label: 'Inject and press',
    how: 'Slit along the grain, bring the glue in with a syringe, clamp till dry.',
    kinds: LOOSE_KINDS, family: 'reglue', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodGlue', 'syringe'], marks: { strength: 4, invisibility: 3, reversibility: 3, speed: 3, ease: 3 },
    steps: [
      step('slit', 'reglue', 'Slit along the grain', 'One cut with a thin blade, as long as the syringe needs.', 10, ['cut']),
      dryRun('reglue'),
      press('Inject and clamp', 'Syringe from the far end back; press out what is too much; platen and clamps.'),
    ],
  },
  reactivate: {
    label: 'Reactivate the old glue with heat',
    how: 'A damp cloth, an iron and a caul: the old hide glue melts and holds again.',
    kinds: LOOSE_KINDS, family: 'reglue', worksOn: 'any', extent: 'place', glue: 'oldHide', hollow: 'none', fills: 'nothing', sums: [], needs: ['heatGun'], marks: { strength: 3, invisibility: 5, reversibility: 5, speed: 5, ease: 4 },
    steps: [
      step('dryRun', 'reglue', 'Dry run', 'Iron, damp cloth, caul and clamps within reach; try the iron on a hidden spot.', 10, ['iron']),
      press('Iron and clamp', 'Damp cloth, iron till the glue gives, then caul and clamps at once.', ['iron']),
    ],
  },
  warmCaul: {
    label: 'Warm the old glue under a dry caul',
    how: 'A metal-faced caul warmed through, paper under it, clamped on dry: the old hide glue softens without water or steam at the finish.',
    kinds: LOOSE_KINDS, family: 'reglue', worksOn: 'film', extent: 'place', glue: 'oldHide', hollow: 'none', fills: 'nothing', sums: [], needs: ['heatGun'], marks: { strength: 3, invisibility: 5, reversibility: 5, speed: 3, ease: 3 },
    steps: [
      step('dryRun', 'reglue', 'Dry run', 'Caul, silicone paper and clamps within reach. Warm the caul to no more than a hand bears for a second, and try it on a hidden spot of the same finish.', 15, ['heat']),
      press('Warm caul and clamp', 'Warm caul on silicone paper, clamps at once; leave them until it is cold. No water, no steam.', ['heat']),
    ],
  },
  liftAndRelay: {
    label: 'Lift and relay the panel',
    how: 'Take the veneer off whole with heat and knives, clean both sides, lay it again between platens.',
    kinds: LIFTABLE, family: 'reglue', worksOn: 'any', extent: 'face', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodGlue', 'heatGun'], marks: { strength: 5, invisibility: 4, reversibility: 3, speed: 1, ease: 1 },
    steps: [
      step('lift', 'reglue', 'Lift the veneer', 'Cut inlay lines first. Warm and slide a wide knife along the grain; keep it flat between boards.', 90, ['heat', 'cut']),
      step('clean', 'reglue', 'Clean both sides', 'Scrape; warm water with a little vinegar; dry flat under weight.', 45, ['scrape'], { wait: hours(12, memory('veneer washed on both sides dries overnight between boards')) }),
      step('dryRun', 'reglue', 'Dry run', 'Both platens, all cauls and clamps once without glue.', 20),
      press('Spread and press', 'Glue on the core, not on the veneer; lay from the middle; all cauls and clamps.'),
    ],
  },
  tack: {
    label: 'Tack with thin cyanoacrylate',
    how: 'A drop runs under the flake; hold it down for seconds.',
    kinds: LOOSE_KINDS, family: 'reglue', worksOn: 'any', extent: 'place', glue: 'instant', hollow: 'none', fills: 'nothing', sums: [], needs: ['thinCa'], marks: { strength: 2, invisibility: 4, reversibility: 1, speed: 5, ease: 5 },
    steps: [press('Tack down', 'One drop at the mouth, hold with a stick wrapped in release paper.', ['cyanoacrylate'])],
  },

  // Done in front of the pressing, through the opening.
  washGlueLine: {
    label: 'Wash wax or oil out of the glue line',
    how: 'Mineral spirits worked in through the opening and soaked up with card and blotting paper, until the paper stays clean; then it flashes off.',
    kinds: [], family: 'reglue', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['spirits'], marks: { strength: 4, invisibility: 5, reversibility: 4, speed: 4, ease: 4 },
    steps: [
      step('wash', 'reglue', 'Wash the glue line', 'Run mineral spirits in with a brush or syringe, press it out, soak it up with blotting paper slid in; again until the paper stays clean. A last wash with alcohol where the finish allows it.', 25, ['solvent'], { wait: hours(12, memory('mineral spirits in a closed glue line flash off overnight; nothing may smell of it when glue goes in')) }),
    ],
  },
  rinseGlueLine: {
    label: 'Wash the powdery old glue out',
    how: 'Warm water with a little vinegar, worked in with a thin knife and soaked up again, until no dust comes out.',
    kinds: [], family: 'reglue', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 5, invisibility: 5, reversibility: 4, speed: 4, ease: 4 },
    steps: [
      step('rinse', 'reglue', 'Wash the old glue out', 'Warm water with a little vinegar on a thin knife and a strip of cloth; no more water than it takes. Press out, prop open, let it dry.', 30, ['cut'], { wait: hours(4, memory('a rinsed glue line that is propped open dries in about half a day')) }),
    ],
  },
  moisten: {
    label: 'Moisten the veneer and let it flatten',
    how: 'A damp cloth on the back of the flap until it bends without creaking, then light weight on it.',
    kinds: [], family: 'reglue', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: [], marks: { strength: 5, invisibility: 5, reversibility: 5, speed: 4, ease: 4 },
    steps: [
      step('moisten', 'reglue', 'Moisten and flatten', 'Damp the loose side with a brush, lay a damp cloth on it, then a board and a light weight on film.', 10, [], { wait: minutes(60, memory('thin veneer becomes supple in about an hour under a damp cloth')) }),
    ],
  },
} satisfies Record<string, Row>;
