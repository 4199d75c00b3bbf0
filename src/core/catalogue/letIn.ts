import { glue, levelled, step } from './kit';
import type { Row } from './row';

/** Wood let in where wood is gone, and parts made anew. */
// prettier-ignore
export const LET_IN = {
  motifPart: {
    label: 'Replace the missing part of the motif',
    how: 'Trace the gap from its counterpart, cut the piece to the line, press it in under release paper.',
    kinds: ['missingMotif'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['part'], needs: ['veneer', 'woodGlue'], marks: { strength: 4, invisibility: 4, reversibility: 4, speed: 2, ease: 1 },
    steps: [
      step('trace', 'patch', 'Trace the gap', 'From its counterpart or by rubbing; keep the old lines.', 20),
      step('cut', 'patch', 'Cut the piece to the line', 'Knife or fine saw, edges square, a hair full.', 40, ['cut', 'saw', 'sand', 'buyWood']),
      glue('patch', 'Press the piece in', 'Release paper, a small caul, a clamp.', 10),
      levelled,
    ],
  },
  newMotif: {
    label: 'Replace the whole motif',
    how: 'Cut out the motif along its lines and let in a new one.',
    kinds: ['missingMotif'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['part'], needs: ['veneer', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 1, speed: 2, ease: 2 },
    steps: [
      step('cut', 'patch', 'Cut the motif out', 'Along its own lines with a sharp knife; warm it loose.', 40, ['cut', 'heat', 'sand', 'buyWood']),
      glue('patch', 'Lay the new motif', 'Release paper, caul, clamps.', 15),
      levelled,
    ],
  },
  dutchman: {
    label: 'Dutchman (a wood patch let in)',
    how: 'Square the loss off to clean lines, let in a block with its grain aligned, plane it flush.',
    kinds: ['brokenChunk', 'gouge', 'hole', 'lostCarving', 'lostCorner', 'oldRepair', 'wornRunner', 'drawerBinds', 'missingMoulding', 'missingFoot'],
    family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['dutchman', 'pilot', 'level'], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 3, speed: 2, ease: 2 },
    steps: [
      step('cut', 'patch', 'Square the loss off', 'Clean lines to a knife and chisel, a flat floor, sides a hair under-cut.', 35, ['cut', 'rout', 'sand']),
      step('fit', 'patch', 'Fit the block', 'Grain aligned, growth rings the same way; a little proud. A small block is sawn in a sled with a push stick.', 25, ['saw', 'sand', 'buyWood']),
      glue('patch', 'Glue the block in', 'Glue on floor and sides; press with a caul.', 10),
      levelled,
    ],
  },
  facePlug: {
    label: 'Face-grain plug',
    how: 'Bore the hole clean, glue in a plug from a plug cutter with its grain along the board, level it.',
    kinds: ['hole'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['plug', 'pilot', 'level'], needs: ['plugCutter', 'solidWood', 'woodGlue'], marks: { strength: 4, invisibility: 4, reversibility: 3, speed: 3, ease: 4 },
    steps: [
      step('bore', 'patch', 'Bore the hole clean', 'To the size of the plug cutter, with a sharp bit and a backing.', 10, ['drill', 'sand']),
      glue('patch', 'Glue the plug in', 'Grain along the board; tap it home with a block.', 5),
      levelled,
    ],
  },
  dowelPlug: {
    label: 'Dowel plug',
    how: 'Bore to a dowel’s size, glue the dowel in, cut it flush.',
    kinds: ['hole'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['plug', 'pilot'], needs: ['dowels', 'woodGlue'], marks: { strength: 5, invisibility: 1, reversibility: 3, speed: 5, ease: 5 },
    steps: [glue('patch', 'Bore and glue the dowel', 'To the dowel’s size; glue in the hole, not on the dowel.', 10, ['drill', 'sand']), levelled],
  },
  newPart: {
    label: 'New part to a pattern',
    how: 'Trace the good one, make the part and a spare or two, fit, glue.',
    kinds: ['missingFoot', 'missingMoulding', 'wornRunner', 'drawerBinds', 'lostCarving', 'partOff'],
    family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['part', 'pilot'], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 4, speed: 1, ease: 2 },
    steps: [
      step('trace', 'structure', 'Trace the good one', 'Both views; note grain and the way it was joined.', 20),
      step('make', 'structure', 'Make the part', 'One and a spare; shape it to the pattern, try it dry.', 90, ['saw', 'rout', 'sand', 'buyWood']),
      glue('structure', 'Glue the part on', 'As the old one was joined; square and true to the floor.', 15),
    ],
  },
  shimFoot: {
    label: 'Build the short foot up',
    how: 'Stand it on a flat floor, measure the gap with card, glue a piece of wood of that thickness under the foot, its grain as in the foot, and trim it to the outline.',
    kinds: ['rocks', 'missingFoot'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['feet'], needs: ['solidWood', 'woodGlue'], marks: { strength: 5, invisibility: 4, reversibility: 4, speed: 4, ease: 4 },
    steps: [
      step('measure', 'structure', 'Measure the gap', 'On a surface known to be flat, with the piece upright; cards under each foot until nothing rocks.', 10),
      glue('structure', 'Glue the piece under', 'A slice of like wood, the same grain; clamp or weight. Keep the piece off its feet until it holds.', 15, ['saw']),
      step('trim', 'structure', 'Trim to the outline', 'Chisel and file; ease the lower rim so that it does not split when dragged.', 10, ['cut']),
    ],
  },
  trimFeet: {
    label: 'Take the long foot down',
    how: 'Scribe round the long foot from a flat floor and pare it down to the line.',
    kinds: ['rocks'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: ['feet'], needs: [], marks: { strength: 5, invisibility: 5, reversibility: 0, speed: 5, ease: 4 },
    steps: [step('trim', 'structure', 'Scribe and pare', 'On a surface known to be flat; scribe by the height of the gap, saw or pare, try again before taking more.', 20, ['cut', 'saw'])],
  },
  easeDrawer: {
    label: 'Ease the drawer and wax its tracks',
    how: 'Find where it shines, take a shaving off there only, in dry air; wax runners, sides and rails.',
    kinds: ['drawerBinds'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: ['drawer'], needs: [], marks: { strength: 4, invisibility: 5, reversibility: 3, speed: 5, ease: 5 },
    steps: [
      step('find', 'structure', 'Find where it binds', 'Chalk the sides and runners, push it in and out, look for rubbed places. Check first that it is not swollen: let it dry for some days.', 15, ['openInside']),
      step('ease', 'structure', 'Take a shaving off', 'Plane or scrape only what is rubbed; stop at play of a card’s thickness each side.', 20, ['cut', 'scrape']),
      step('wax', 'reassemble', 'Wax the tracks', 'Hard paraffin or candle wax on runners, sides and rails; not on show wood that gets a finish later.', 5),
    ],
  },
  refitStop: {
    label: 'Set the drawer stop anew',
    how: 'Glue a small block to the rail so that the front stands flush when the drawer is closed.',
    kinds: ['drawerBinds'], family: 'letIn', worksOn: 'any', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: ['pilot', 'drawer'], needs: ['woodGlue'], marks: { strength: 5, invisibility: 5, reversibility: 4, speed: 5, ease: 5 },
    steps: [
      step('fit', 'structure', 'Find the place', 'Close the drawer with the front flush, mark its inner face on the rail.', 10),
      glue('structure', 'Glue the stop on', 'Along the mark; rub it on, a pin or a clamp until it holds. Try the drawer before it has set.', 10),
    ],
  },
} satisfies Record<string, Row>;
