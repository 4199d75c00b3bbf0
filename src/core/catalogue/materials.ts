import { lowerFirst } from '../terms';
/** What a method uses up or needs at hand; kinds, no products. */
export const MATERIALS = {
  woodGlue: 'Wood glue (hide or PVA)',
  hideGlue: 'Hide glue',
  thinCa: 'Thin cyanoacrylate',
  epoxy: 'Epoxy',
  consolidant: 'Consolidant that can be undone',
  syringe: 'Glue syringe',
  heatGun: 'Heat gun or iron',
  veneer: 'Matching veneer',
  veneerSheet: 'A veneer sheet for a whole face',
  solidWood: 'Matching solid wood',
  plugCutter: 'Plug cutter',
  dowels: 'Dowels',
  bareFiller: 'Bare-wood filler, stainable',
  polyester: 'Polyester filler',
  epoxyPutty: 'Epoxy putty',
  pigments: 'Dry pigments or tinting paste',
  burnInSticks: 'Hard fill sticks and a burn-in knife',
  hardWax: 'Hard wax in several colours',
  softWax: 'Soft wax sticks',
  colourPutty: 'Colour putty',
  uvResin: 'UV-curing resin and lamp',
  oxalicAcid: 'Oxalic acid',
  woodBleach: 'Two-part wood bleach',
  spirits: 'Alcohol and mineral spirits',
  rubbing: 'Rubbing compound or fine abrasive',
  shellac: 'Shellac',
  oilOrWax: 'The oil or wax that is on it',
  abrasive: 'Card scraper and abrasive paper',
  finish: 'Top-coat finish',
  toner: 'Toner or stain',
  blocker: 'Stain-blocking primer',
  stripper: 'Paste stripper without methylene chloride',
  alcohol: 'Alcohol for shellac',
  thinner: 'Lacquer thinner',
  lacquer: 'Lacquer',
  varnish: 'Varnish',
  hardWaxOil: 'Hard-wax oil',
  primer: 'Primer for paint',
  paint: 'Paint',
  paper: 'Abrasive paper, whole sheets',
} as const;

export type MaterialId = keyof typeof MATERIALS;

/** Materials in the middle of a sentence: small first letters, everything else as it is. */
export const materialWords = (materials: readonly MaterialId[]): string =>
  materials.map((m) => lowerFirst(MATERIALS[m])).join(', ');
