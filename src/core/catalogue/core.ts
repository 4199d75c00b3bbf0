import { memory, practice } from '../sources';
import { hours, step } from './kit';
import type { Row } from './row';

const OVERNIGHT = practice('epoxy is left overnight and is machinable the next day');
const bed = step('bed', 'structure', 'Level the bed', 'Scrape and pare the bed flat, the veneer’s thickness less the glue below the old surface. Try it with a scrap of the veneer.', 20, ['scrape', 'cut']); // prettier-ignore

/** What carries the veneer is mended before the veneer: always the first half of another repair. */
// prettier-ignore
export const CORE = {
  hardenCore: {
    label: 'Harden the core with thin epoxy',
    how: 'Take out what is loose, warm thin epoxy into the crumbled core until it drinks no more, press it flat under film.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'fills', hollow: 'scoop', fills: 'nothing', sums: [], needs: ['epoxy'], marks: { strength: 4, invisibility: 5, reversibility: 1, speed: 2, ease: 3 },
    steps: [
      step('clear', 'structure', 'Take out loose core', 'Pick and vacuum out what falls out by itself; leave what still holds. Dry it if it was wet.', 15, ['cut']),
      step('soak', 'structure', 'Soak with thin epoxy', 'Warm the place, brush slow thin epoxy in, again while the first is wet, until it drinks no more. Film over it, a block and a clamp or weight.', 20, ['epoxy'], { wait: hours(16, OVERNIGHT) }),
      bed,
    ],
  },
  consolidateCore: {
    label: 'Harden the core with a consolidant that can be undone',
    how: 'A thin acrylic resin in solvent, or weak hide size, drawn in many times and left to dry: the core holds together and can be opened again.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['consolidant'], marks: { strength: 3, invisibility: 5, reversibility: 4, speed: 1, ease: 3 },
    steps: [
      step('clear', 'structure', 'Take out loose core', 'Pick and vacuum out what falls out by itself, and keep it with the piece. Dry it if it was wet.', 15, ['cut']),
      step('soak', 'structure', 'Draw the consolidant in', 'Thin first, then stronger, with a syringe or brush, until it drinks no more. Cover it so that it dries slowly.', 30, ['solvent'], { wait: hours(48, memory('a solvent-borne consolidant needs about two days in a thick core')) }),
      bed,
    ],
  },
  buildUpCore: {
    label: 'Build the core up with tinted epoxy in layers',
    how: 'Thin epoxy on the walls first, then epoxy with wood dust in layers, up to the bed of the veneer.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'fills', hollow: 'scoop', fills: 'nothing', sums: [], needs: ['epoxy', 'pigments'], marks: { strength: 5, invisibility: 5, reversibility: 1, speed: 2, ease: 3 },
    steps: [
      step('clear', 'structure', 'Clean the void', 'Square-edged and clean to sound core; vacuum. Tape a backing under it where it goes through.', 15, ['cut']),
      step('layers', 'structure', 'Fill in layers', 'Wet the walls with thin epoxy, then epoxy thickened with wood dust, no layer thicker than its data sheet allows; the last a little proud.', 30, ['epoxy'], { wait: hours(16, OVERNIGHT) }),
      bed,
    ],
  },
  coreBlock: {
    label: 'Let a wooden block into the core',
    how: 'Cut the bad core out square, let in a block of stable wood with its grain along the core’s, plane it to the bed of the veneer.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 3, speed: 2, ease: 2 },
    steps: [
      step('cut', 'structure', 'Cut the bad core out', 'Square, to sound wood on all sides, floor flat; knife, chisel, or a router on a fence.', 35, ['cut', 'rout', 'sand']),
      step('fit', 'structure', 'Fit the block', 'Dry, stable wood; grain as in the core. A little proud.', 20, ['saw']),
      { ...step('glue', 'structure', 'Glue the block in', 'Floor and sides; press with a caul.', 10), glued: true },
      bed,
    ],
  },
  coreCorner: {
    label: 'New core piece at the corner',
    how: 'Saw the broken corner back to a clean slanted line, glue a piece of wood on with grain along, shape it to the old edges before the veneer goes on.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 3, speed: 2, ease: 2 },
    steps: [
      step('cut', 'structure', 'Saw the corner back', 'A clean slanted line to sound core, so that long grain meets it.', 20, ['saw', 'cut']),
      { ...step('glue', 'structure', 'Glue the new corner on', 'Larger than the old one; clamp against a block taped along the edge. A hidden dowel where it is knocked.', 20, ['drill']), glued: true },
      step('shape', 'structure', 'Shape it to the edges', 'Plane and file to both edges, then down to the bed of the veneer.', 25, ['cut', 'scrape']),
    ],
  },
  fillBottom: {
    label: 'Fill the bottom first',
    how: 'The depth is filled with wood, or with epoxy and dust, to a little below the surface; the fill that shows is thin and lies on it.',
    kinds: [], family: 'core', worksOn: 'any', extent: 'place', glue: 'fills', hollow: 'scoop', fills: 'nothing', sums: [], needs: ['epoxy'], marks: { strength: 4, invisibility: 4, reversibility: 2, speed: 2, ease: 4 },
    steps: [
      step('bottom', 'structure', 'Fill the bottom', 'Mask the rim. Epoxy with wood dust, or a scrap of wood glued in, to about 2 mm below the surface; score it when it is hard.', 20, ['epoxy'], { wait: hours(16, OVERNIGHT) }),
    ],
  },
} satisfies Record<string, Row>;
