import { DAMAGE_KINDS, type DamageKind } from '../damage';
import { memory, practice } from '../sources';
import { hours, minutes, step } from './kit';
import type { Row } from './row';

const SURFACES = (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter((k) => DAMAGE_KINDS[k].family === 'surface' && k !== 'mouldSmell'); // prettier-ignore

/** Marks, colour and the finish itself. */
// prettier-ignore
export const SURFACE = {
  steam: {
    label: 'Raise it with water and heat',
    how: 'A drop of water, a damp cloth and the tip of an iron; the crushed fibres swell back. Let it dry before sanding.',
    kinds: ['dent', 'gouge', 'scratch'], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: ['level'], needs: ['heatGun'], marks: { strength: 5, invisibility: 5, reversibility: 5, speed: 4, ease: 4 },
    steps: [step('steam', 'level', 'Steam the dent', 'A drop of water, a damp cloth, the tip of the iron for seconds; again when it has cooled.', 15, ['iron'], { wait: hours(8, memory('steamed wood is left overnight before it is sanded')) })],
  },
  sandOut: {
    label: 'Sand it out with the face',
    how: 'It goes when the whole face is levelled for its new finish; nothing is dug out at one spot.',
    kinds: ['scratch', 'dent', 'paintSpecks'], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: ['level'], needs: ['abrasive'], marks: { strength: 5, invisibility: 5, reversibility: 1, speed: 4, ease: 4 },
    steps: [step('sand', 'level', 'Sand it out with the face', 'Within the sanding budget, the same strokes over the whole face. What is left after the first paper is raised or filled, not dug for.', 15, ['sand'])],
  },
  levelProud: {
    label: 'Level what stands proud',
    how: 'A card scraper or a block on the repair alone, then feathered out until neither hand nor light finds it.',
    kinds: ['oldRepair'], family: 'surface', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: ['level'], needs: ['abrasive'], marks: { strength: 5, invisibility: 4, reversibility: 2, speed: 4, ease: 4 },
    steps: [step('level', 'level', 'Scrape and feather', 'Tape the surround. Scraper with the grain on the repair alone; feather the last hundredths with a block and fine paper. On veneer read the budget first.', 25, ['scrape', 'sand'])],
  },
  oxalicAcid: {
    label: 'Bleach the mark with oxalic acid',
    how: 'Warm solution on bare wood, let it work, neutralise and rinse well, let it dry.',
    kinds: ['blackMark'], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['oxalicAcid'], marks: { strength: 4, invisibility: 5, reversibility: 2, speed: 3, ease: 3 },
    steps: [
      step('acid', 'bleach', 'Oxalic acid over the panel', '30 to 60 g in a litre of warm water, in plastic or glass, brushed on without iron, evenly, until the black is gone.', 20, ['oxalic'], { pace: 'brush', wait: minutes(60, practice('it works while it is wet, up to an hour; again if need be')) }),
      step('rinse', 'bleach', 'Neutralise and rinse', 'Water with a spoon of baking soda, then clear water more than once. Never sand the dry crystals.', 20, ['oxalic'], { pace: 'brush', wait: hours(24, practice('rinsed wood dries for a day before anything else')) }),
    ],
  },
  woodBleach: {
    label: 'Two-part wood bleach',
    how: 'Equal parts, usually two treatments; it takes the wood’s own colour.',
    kinds: ['shadow', 'colourMismatch', 'blackMark'], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodBleach'], marks: { strength: 4, invisibility: 3, reversibility: 0, speed: 2, ease: 2 },
    steps: [
      step('one', 'bleach', 'First bleach', 'Equal parts, never mixed in a closed pot; let it dry.', 20, ['bleach'], { pace: 'brush', wait: hours(12, memory('left to work and dry overnight; its label goes first')) }),
      step('two', 'bleach', 'Second bleach, neutralise', 'Usually twice; neutralise as the label says.', 25, ['bleach'], { pace: 'brush', wait: hours(24, practice('neutralised wood dries for a day before anything else')) }),
    ],
  },
  bleachNew: {
    label: 'Bleach the new wood to sit with the faded',
    how: 'The new piece, never the old surface, is bleached off the piece until it is no darker than the faded wood.',
    kinds: [], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodBleach'], marks: { strength: 4, invisibility: 4, reversibility: 3, speed: 3, ease: 3 },
    steps: [
      step('bleach', 'patch', 'Bleach the new wood', 'On the new wood alone, before it is let in: equal parts, plastic or glass, neutralise and rinse. Try it on an offcut.', 20, ['bleach'], { wait: hours(24, practice('neutralised wood dries for a day before it is glued')) }),
    ],
  },
  toneIn: {
    label: 'Tone it in with colour',
    how: 'Seal, bring the pale part to the ground colour, then the figure lines, then a toner over the whole.',
    kinds: ['shadow', 'colourMismatch', 'wornThrough', 'oldRepair', 'scratch', 'blackMark', 'paintSpecks'],
    family: 'surface', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['toner', 'shellac'], marks: { strength: 3, invisibility: 4, reversibility: 3, speed: 3, ease: 2 },
    steps: [step('tone', 'blend', 'Tone it in', 'Seal, ground colour, figure lines, toner; judge from standing height.', 35, ['solvent', 'spray'], { pace: 'brush', wait: minutes(60, practice('a stain waits about an hour, a toner about half of that')) })],
  },
  liftHaze: {
    label: 'Lift the haze',
    how: 'A cloth barely damp with alcohol, drawn over lightly; or rub with oil and the finest abrasive.',
    kinds: ['whiteRing', 'shadow'], family: 'surface', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['spirits', 'rubbing'], marks: { strength: 4, invisibility: 5, reversibility: 4, speed: 5, ease: 3 },
    steps: [step('lift', 'finishFill', 'Lift the haze', 'A cloth barely damp with alcohol, never resting; or oil and the finest abrasive. Try a hidden spot.', 15, ['solvent', 'oil'], { wait: minutes(60, memory('alcohol leaves a shellac film within the hour')) })],
  },
  renewFinish: {
    label: 'Strip and finish anew',
    how: 'Take the finish off by stripper or scraper within the veneer’s budget, and build a new one.',
    kinds: ['failingFinish', 'whiteRing', 'scratch', 'blackMark', 'paintSpecks'], family: 'surface', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['finish'], marks: { strength: 5, invisibility: 5, reversibility: 0, speed: 1, ease: 2 },
    steps: [
      step('strip', 'strip', 'Strip this surface', 'Chemically or with a scraper; rinse as the label says and let it dry.', 45, ['strip', 'scrape'], { pace: 'brush', wait: hours(8, memory('stripped and rinsed wood dries overnight; its label goes first')) }),
      step('coats', 'topCoat', 'Build the finish anew', 'Thin coats, scuffed between.', 45, ['solvent', 'spray'], { wait: hours(24, memory('a new film is left a day before it is handled')) }),
    ],
  },
  reviveFinish: {
    label: 'Revive the old shellac',
    how: 'Clean, melt the crazed film together with a little alcohol where it needs it, then pad on fresh shellac; polish.',
    kinds: ['failingFinish', 'scratch', 'whiteRing'], family: 'surface', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['spirits', 'shellac'], marks: { strength: 3, invisibility: 4, reversibility: 4, speed: 4, ease: 3 },
    steps: [
      step('clean', 'finishFill', 'Clean the old finish', 'Mineral spirits, then a damp cloth; dry.', 20, ['solvent'], { wait: minutes(60, memory('mineral spirits leave a film within the hour')) }),
      step('pad', 'finishFill', 'Pad on shellac', 'Where it is crazed a soft brush with alcohol and a little shellac melts the old film together; it must set before the pad goes over. Then thin, moving, three passes; polish the next day.', 40, ['solvent'], { wait: hours(12, memory('padded shellac is polished the next day')) }),
    ],
  },
  reoil: {
    label: 'Clean, oil or wax again, and buff',
    how: 'Oil and wax are not a film: the place is cleaned, given the same oil or wax again, left, and buffed with the rest.',
    kinds: ['scratch', 'failingFinish', 'whiteRing', 'dent', 'wornThrough'], family: 'surface', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['oilOrWax'], marks: { strength: 3, invisibility: 4, reversibility: 5, speed: 5, ease: 5 },
    steps: [
      step('clean', 'finishFill', 'Clean the place', 'Mineral spirits on a cloth; the finest pad with the grain where it is rough.', 15, ['solvent', 'sand'], { wait: minutes(60, memory('mineral spirits leave the wood within the hour')) }),
      step('oil', 'finishFill', 'Oil or wax again', 'The same oil or wax as is on it, thin, over the place and drawn out into the rest; wipe off after a quarter of an hour, buff the next day.', 15, ['oil'], { wait: hours(12, practice('wiped off while wet and buffed the next day')) }),
    ],
  },
  pickOut: {
    label: 'Pick the specks out',
    how: 'Flood with shellac or stripper, then a brass brush and a point along the pores.',
    kinds: ['paintSpecks'], family: 'surface', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['spirits'], marks: { strength: 4, invisibility: 5, reversibility: 4, speed: 2, ease: 4 },
    steps: [step('pick', 'strip', 'Pick the specks out', 'Soften, brass brush and point along the pores, wipe.', 45, ['strip', 'scrape'], { wait: minutes(60, memory('alcohol leaves the pores within the hour')) })],
  },
  sealOver: {
    label: 'Seal and paint over',
    how: 'A stain-blocking primer keeps the mark from bleeding through; then paint.',
    kinds: [...SURFACES, 'unsuitableVeneer'], family: 'surface', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['blocker'], marks: { strength: 4, invisibility: 1, reversibility: 1, speed: 5, ease: 5 },
    steps: [step('seal', 'seal', 'Block the mark', 'Scuff, then stain-blocking primer over it, a hand beyond its rim.', 10, ['sand', 'solvent'], { pace: 'brush', wait: hours(2, memory('a blocking primer takes paint after about two hours; its label goes first')) })],
  },
} satisfies Record<string, Row>;
