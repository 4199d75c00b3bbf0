import { LOOSE_KINDS, VENEER_LOSS_KINDS, type DamageKind } from '../damage';
import { memory } from '../sources';
import { hours, step } from './kit';
import type { Deed, Row, Step } from './row';

const CHIPS: DamageKind[] = ['chippedVeneer', 'missingVeneer'];
const PATCHED: DamageKind[] = [...VENEER_LOSS_KINDS, 'oldRepair'];

const press = (title = 'Glue and press the patch', deeds: readonly Deed[] = []): Step => ({
  ...step('press', 'patch', title, 'Glue in the recess, patch in, release sheet, platen, clamps. Wipe squeeze-out at once.', 8, deeds), // prettier-ignore
  glued: true,
});
const trim = step('trim', 'level', 'Trim and level the patch', 'Overhang off with a knife along the grain; across it with a backing block. Then plane, file, scraper.', 20, ['cut', 'scrape'], { pace: 'level' }); // prettier-ignore
const fit = step('fit', 'patch', 'Fit dry', 'Grain with grain, no light in the joint. Dry run with platen and clamps.', 20, ['cut'], { pace: 'cut' }); // prettier-ignore
const fitStrip = (attended: number): Step =>
  step('fit', 'patch', 'Fit dry', 'Ends on a slant, strip flush with both sides.', attended, ['cut']);

/** Veneer that is gone is put back. */
// prettier-ignore
export const PATCH = {
  veneerPatch: {
    label: 'Veneer patch',
    how: 'Let in a piece of matching veneer whose long sides run with the grain.',
    kinds: PATCHED, family: 'patch', worksOn: 'any', extent: 'place', glue: 'patch', hollow: 'none', fills: 'nothing', sums: [], needs: ['veneer', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 3, speed: 2, ease: 2 },
    steps: [
      step('cut', 'patch', 'Cut patch and recess', 'Print the outline at 1:1, check its bar, knife patch and recess together along a rule. Bevel a hair so that the joint closes.', 35, ['cut', 'buyWood'], { pace: 'cut' }),
      fit, press(), trim,
    ],
  },
  harvestedPatch: {
    label: 'Patch harvested from the piece',
    how: 'Cut the patch from a hidden place of the same piece and close that place with new veneer.',
    kinds: PATCHED, family: 'patch', worksOn: 'any', extent: 'place', glue: 'patch', hollow: 'none', fills: 'nothing', sums: [], needs: ['veneer', 'woodGlue', 'heatGun'], marks: { strength: 5, invisibility: 5, reversibility: 3, speed: 1, ease: 1 },
    steps: [
      step('harvest', 'patch', 'Lift the donor veneer', 'Warm it, slide a thin knife along the grain, press it flat between boards.', 40, ['heat', 'cut'], { wait: hours(4, memory('lifted veneer lies flat between boards in about half a day')) }),
      step('cut', 'patch', 'Cut patch and recess', 'Print the outline at 1:1, check its bar, knife patch and recess together along a rule.', 35, ['cut'], { pace: 'cut' }),
      fit,
      step('close', 'patch', 'Close the donor place', 'Lay new veneer where the old was taken.', 30, ['cut', 'buyWood'], { after: ['fit'] }),
      press(), trim,
    ],
  },
  edgeStrip: {
    label: 'Edge strip',
    how: 'A strip as wide as the edge, backed with tape before it is cut.',
    kinds: [...CHIPS, 'lostCorner'], family: 'patch', worksOn: 'any', extent: 'place', glue: 'patch', hollow: 'none', fills: 'nothing', sums: ['banding'], needs: ['veneer', 'woodGlue'], marks: { strength: 4, invisibility: 4, reversibility: 3, speed: 3, ease: 3 },
    steps: [
      step('cut', 'patch', 'Tape and cut the strip', 'Tape its back before cutting; a cross-grain strip breaks otherwise.', 25, ['cut', 'buyWood']),
      fitStrip(15), press('Glue and press the strip'), trim,
    ],
  },
  sawnStrip: {
    label: 'Sawn strip from solid',
    how: 'Slice a thick strip from a block as long as the edge is high.',
    kinds: [...CHIPS, 'lostCorner'], family: 'patch', worksOn: 'any', extent: 'place', glue: 'patch', hollow: 'none', fills: 'nothing', sums: ['strips', 'banding'], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 3, speed: 2, ease: 2 },
    steps: [
      step('cut', 'patch', 'Saw the strips', 'Slice a block as long as the edge is high; cut one or two spare. A small block rides in a sled.', 40, ['saw', 'sand', 'buyWood']),
      fitStrip(20), press('Glue and press the strip'), trim,
    ],
  },
  reveneer: {
    label: 'Reveneer the whole face',
    how: 'Lay a new sheet over the face, with overhang all round.',
    kinds: [...LOOSE_KINDS, ...VENEER_LOSS_KINDS, 'unsuitableVeneer'], family: 'patch', worksOn: 'any', extent: 'face', glue: 'patch', hollow: 'none', fills: 'nothing', sums: [], needs: ['veneerSheet', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 2, speed: 1, ease: 1 },
    steps: [
      step('prepare', 'patch', 'Prepare the face', 'Fill and level the old face. For a glued sheet take it to clean wood and tooth it. For a self-adhesive sheet seal it, scuff at P320 (ISO 6344) and take off every speck of dust. Cut the sheet with overhang all round.', 60, ['scrape', 'sand', 'solvent', 'cut', 'buyWood'], { pace: 'face' }),
      step('fit', 'patch', 'Dry run', 'All platens, cauls and clamps once without glue.', 25),
      press('Glue and press the sheet'),
      step('trim', 'level', 'Trim and scrape the sheet', 'Overhang off with a knife along the grain; across it with a backing block. Then a light pass with the scraper, with the grain.', 20, ['cut', 'scrape'], { pace: 'scrape' }),
    ],
  },
} satisfies Record<string, Row>;
