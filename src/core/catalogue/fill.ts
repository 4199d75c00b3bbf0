import { CRACK_KINDS, VENEER_LOSS_KINDS, type DamageKind } from '../damage';
import { memory, practice } from '../sources';
import { hours, minutes, step } from './kit';
import type { Row } from './row';

const CHIPS: DamageKind[] = ['chippedVeneer', 'missingVeneer'];
const BROKEN_OFF: DamageKind[] = [
  'brokenChunk',
  'lostCarving',
  'lostCorner',
  'missingMoulding',
  'missingFoot',
];
const SMALL_FILLS: DamageKind[] = [...CHIPS, 'crackedVeneer', 'gouge', 'dent', 'scratch', 'hole', 'longCrack', 'endSplit', 'oldRepair']; // prettier-ignore
const OVERNIGHT = practice('epoxy is left overnight and is machinable the next day');
const FILLER_DRIES = memory(
  'a water-borne filler of some millimetres dries in two to three hours; its label goes first',
);

/** What fills instead of wood. */
// prettier-ignore
export const FILL = {
  bareFiller: {
    label: 'Bare-wood filler',
    how: 'Fill proud in several passes, sand level.',
    kinds: [...CHIPS, 'lostCorner', 'wornThrough', 'gouge', 'dent', 'hole', 'scratch', 'longCrack', 'endSplit', 'oldRepair', 'brokenChunk'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'bareFiller', sums: ['fill', 'level'], needs: ['bareFiller'], marks: { strength: 3, invisibility: 2, reversibility: 2, speed: 4, ease: 5 },
    steps: [
      step('fill1', 'bareFill', 'First fill', 'Work across the place, not along it; leave it proud.', 10, [], { wait: hours(2, FILLER_DRIES), layer: 'below', pace: 'fill' }),
      step('fill2', 'bareFill', 'Last fill', 'It has shrunk; fill again, proud.', 10, [], { wait: hours(3, FILLER_DRIES), layer: 'last', alone: { title: 'Fill', detail: 'Work across the place, not along it; leave it proud.' }, pace: 'fill' }),
      step('sand', 'bareFill', 'Level the fill', 'With a block, with the grain.', 15, ['sand'], { pace: 'level' }),
    ],
  },
  sawdustGlue: {
    label: 'Own dust or shavings in clear glue',
    how: 'Work dust or a fine shaving of the same piece into glue in the gap, level it while it is tacky so that the gap packs itself.',
    kinds: [...CRACK_KINDS, 'crackedVeneer'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'joins', hollow: 'none', fills: 'nothing', sums: [], needs: ['woodGlue'], marks: { strength: 2, invisibility: 3, reversibility: 2, speed: 4, ease: 5 },
    steps: [step('fill', 'bareFill', 'Work dust and glue in', 'Dust of the same piece; rub it in while tacky so that the gap packs itself. It sinks as it dries: look again before the finish.', 10, ['sand'], { wait: hours(36, practice('glue with dust in a filled gap dries for one to two days before it is levelled and finished')) })],
  },
  polyesterFiller: {
    label: 'Polyester filler',
    how: 'Two parts, mixed; hard within the hour, sands smooth under paint.',
    kinds: [...VENEER_LOSS_KINDS, 'gouge', 'dent', 'scratch', 'hole', 'brokenChunk', 'oldRepair'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'polyesterFiller', sums: ['fill', 'level'], needs: ['polyester'], marks: { strength: 4, invisibility: 1, reversibility: 1, speed: 5, ease: 4 },
    steps: [
      step('fill1', 'bareFill', 'Mix and fill', 'Mix to the label; it is hard within the hour.', 15, ['polyester'], { wait: minutes(45, practice('hard within the hour')), layer: 'below', pace: 'fill' }),
      step('fill2', 'bareFill', 'Skim and level', 'A thin last pass, then level it.', 25, ['polyester', 'sand'], { wait: minutes(45, practice('hard within the hour')), layer: 'last', alone: { title: 'Mix, fill and level', detail: 'Mix to the label, draw it over with a wide knife; level it when it is hard.' }, pace: 'level' }),
    ],
  },
  epoxyPutty: {
    label: 'Epoxy putty',
    how: 'Knead, press on, shape while wet, sand when hard.',
    kinds: [...CHIPS, ...BROKEN_OFF, 'hole'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'none', hollow: 'none', fills: 'epoxyPutty', sums: ['fill'], needs: ['epoxyPutty'], marks: { strength: 5, invisibility: 1, reversibility: 1, speed: 4, ease: 4 },
    steps: [
      step('fill1', 'bareFill', 'Knead, press on, shape', 'Workable for about 30 min; shape it wet against a taped board.', 25, ['epoxy'], { wait: minutes(60, practice('workable for about 30 min, hard at about 60 min')), layer: 'each', pace: 'fill' }),
      step('sand', 'bareFill', 'Shape it level', 'File, then level it with a block.', 20, ['sand']),
    ],
  },
  epoxyFill: {
    label: 'Epoxy fill, tinted',
    how: 'Tint darker than the wood, mix for 2 to 3 min, pour proud in thin layers, level the next day.',
    kinds: ['hole', 'gouge', 'longCrack', 'brokenChunk'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'fills', hollow: 'scoop', fills: 'epoxy', sums: ['fill', 'level'], needs: ['epoxy', 'pigments'], marks: { strength: 5, invisibility: 2, reversibility: 1, speed: 2, ease: 3 },
    steps: [
      step('pour', 'bareFill', 'Mix and pour', 'Backing under it, tint first, mix 2 to 3 min, pour in layers, each once the one below has gelled; keep the mixing pot to tell when it is hard.', 25, ['epoxy'], { wait: hours(16, OVERNIGHT), layer: 'each' }),
      step('level', 'bareFill', 'Level the fill', 'Plane or scrape, then a block.', 20, ['scrape', 'sand'], { pace: 'level' }),
    ],
  },
  epoxyCap: {
    label: 'Epoxy base with a stainable cap',
    how: 'Epoxy to just below the surface, scored when hard; stainable filler for the last two millimetres.',
    kinds: ['hole'],
    family: 'fill', worksOn: 'bare', extent: 'place', glue: 'fills', hollow: 'scoop', fills: 'cappedEpoxy', sums: ['fill', 'level'], needs: ['epoxy', 'bareFiller'], marks: { strength: 4, invisibility: 3, reversibility: 1, speed: 2, ease: 3 },
    steps: [
      step('base', 'bareFill', 'Epoxy base', 'Soak the rim thin, then fill to 2 mm under the surface; score it when hard.', 20, ['epoxy'], { wait: hours(16, OVERNIGHT), layer: 'each' }),
      step('cap', 'bareFill', 'Stainable cap', 'Filler proud, level it, try the stain on it.', 20, ['sand'], { wait: hours(3, FILLER_DRIES) }),
    ],
  },
  uvResin: {
    label: 'UV-cured resin',
    how: 'A thin layer into the hole, the lamp on it, the next layer.',
    kinds: ['hole'],
    family: 'fill', worksOn: 'any', extent: 'place', glue: 'none', hollow: 'none', fills: 'uvResin', sums: ['fill'], needs: ['uvResin'], marks: { strength: 3, invisibility: 3, reversibility: 1, speed: 5, ease: 3 },
    steps: [step('layers', 'bareFill', 'Layers under the lamp', 'Thin layer, lamp, next; scrape level.', 20, ['uv', 'epoxy', 'scrape'])],
  },
  burnIn: {
    label: 'Burn-in with a hard fill stick',
    how: 'Melt hard fill into the place with a hot knife and level it to the film.',
    kinds: SMALL_FILLS, family: 'fill', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'burnIn', sums: ['fill', 'level'], needs: ['burnInSticks'], marks: { strength: 3, invisibility: 4, reversibility: 3, speed: 4, ease: 2 },
    steps: [step('burn', 'finishFill', 'Burn in', 'Balm band one knife width around; fill a little proud, level with the knife.', 30, ['heat'])],
  },
  hardWax: {
    label: 'Melted hard wax',
    how: 'Blend two or three colours drop by drop and level with a plastic card.',
    kinds: SMALL_FILLS, family: 'fill', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'hardWax', sums: ['fill'], needs: ['hardWax'], marks: { strength: 2, invisibility: 3, reversibility: 4, speed: 5, ease: 4 },
    steps: [step('wax', 'finishFill', 'Melt and blend hard wax', 'Two or three colours drop by drop; sets in about 30 s; level along, then across, gently.', 20, ['heat'])],
  },
  softWax: {
    label: 'Soft wax stick',
    how: 'Rub in and buff.',
    kinds: SMALL_FILLS, family: 'fill', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'softWax', sums: ['fill'], needs: ['softWax'], marks: { strength: 1, invisibility: 2, reversibility: 5, speed: 5, ease: 5 },
    steps: [step('wax', 'rubOut', 'Rub in soft wax', 'After the last coat: rub in across, buff along. Nothing goes over it.', 8)],
  },
  colourPutty: {
    label: 'Colour putty',
    how: 'Blend the colours and press in after the finish.',
    kinds: [...CHIPS, 'hole', 'gouge'],
    family: 'fill', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'colourPutty', sums: ['fill'], needs: ['colourPutty'], marks: { strength: 1, invisibility: 2, reversibility: 4, speed: 5, ease: 5 },
    steps: [step('putty', 'finishFill', 'Press in colour putty', 'On the sealed or coated surface: blend to the ground tone; wipe the surround.', 8)],
  },
  filmOver: {
    label: 'A film of finish over the fill',
    how: 'One or two thin coats of shellac or lacquer over the fill and a hand’s breadth around, rubbed to the sheen of the rest.',
    kinds: [], family: 'fill', worksOn: 'film', extent: 'place', glue: 'none', hollow: 'none', fills: 'nothing', sums: [], needs: ['shellac'], marks: { strength: 4, invisibility: 5, reversibility: 3, speed: 4, ease: 4 },
    steps: [
      step('film', 'finishFill', 'Film over the fill', 'Thin coats with a soft brush or pad, drawn out to nothing at the rim.', 15, ['solvent'], { wait: hours(24, memory('a thin local coat of shellac or lacquer is rubbed the next day')) }),
      step('sheen', 'rubOut', 'Bring the sheen together', 'The finest abrasive on felt with a drop of oil or water.', 10, ['sand']),
    ],
  },
} satisfies Record<string, Row>;
