import { memory, practice, sourced, type Sourced } from '../sources';
import type { MaterialId } from './materials';
import type { Deed } from './row';

/** How much of a material a repair takes follows from one of these. */
export type Use =
  /** Weighed by the glue chosen and the real glued area. */
  | { by: 'glue' }
  /** Fills the hollow; so many times its volume is made up, for shrinking, standing proud and what stays on the knife. */
  | { by: 'volume'; times: Sourced }
  /** Spread over the place and a rim around it; ml for every m² and coat, and so many coats, or one at each step of that deed. Some come in equal parts. */
  | { by: 'surface'; mlPerM2: Sourced; coats: Sourced; eachTime?: Deed; parts?: Sourced }
  /** A piece of veneer as large as the patch, or the face. */
  | { by: 'sheet' }
  /** A block of wood that the piece is cut from. */
  | { by: 'block' }
  /** At hand; nothing of it is counted. */
  | { by: 'tool' };

const label = (what: string) => memory(`${what}; the label goes first`);
const PROUD = 'what is filled proud and levelled, and what stays on knife and board';

const GLUE: Use = { by: 'glue' };
const TOOL: Use = { by: 'tool' };
const filling = (times: number, why: string): Use => ({
  by: 'volume',
  times: sourced(times, memory(`${why}; ${PROUD}`)),
});
const spread = (mlPerM2: number, coats: number, what: string): Extract<Use, { by: 'surface' }> => ({
  by: 'surface',
  mlPerM2: sourced(mlPerM2, label(what)),
  coats: sourced(coats, practice('passes as the trade has them')),
});

/** Every material has its way of being counted. */
export const USES: Record<MaterialId, Use> = {
  woodGlue: GLUE,
  hideGlue: GLUE,
  thinCa: GLUE,
  epoxy: GLUE,
  consolidant: spread(400, 3, 'a consolidant is fed until the wood takes no more, about 400 ml/m² a time'),
  syringe: TOOL,
  heatGun: TOOL,
  veneer: { by: 'sheet' },
  veneerSheet: { by: 'sheet' },
  solidWood: { by: 'block' },
  plugCutter: TOOL,
  dowels: TOOL,
  bareFiller: filling(1.4, 'water-borne filler shrinks by about a tenth'),
  polyester: filling(1.3, 'polyester hardly shrinks'),
  epoxyPutty: filling(1.2, 'putty is pressed on and shaped'),
  pigments: TOOL,
  burnInSticks: filling(1.3, 'a stick is melted in proud'),
  hardWax: filling(1.2, 'hard wax is melted in proud'),
  softWax: filling(1.2, 'soft wax is rubbed in'),
  colourPutty: filling(1.2, 'putty is pressed in with a finger'),
  uvResin: filling(1.2, 'resin is filled in layers'),
  oxalicAcid: spread(100, 2, 'a solution is brushed on at about 100 ml/m²'),
  woodBleach: {
    ...spread(120, 1, 'a bleach is laid on wet at about 120 ml/m²'),
    eachTime: 'bleach',
    parts: sourced(2, practice('two parts, as much of each; its label goes first')),
  },
  spirits: spread(150, 1, 'a wipe takes about 150 ml/m²'),
  rubbing: TOOL,
  shellac: spread(80, 2, 'a thin coat of shellac takes about 80 ml/m²'),
  oilOrWax: spread(60, 2, 'a thin coat of oil takes about 60 ml/m²'),
  abrasive: TOOL,
  finish: spread(100, 2, 'a coat takes about 100 ml/m²'),
  toner: spread(80, 2, 'a misted coat takes about 80 ml/m²'),
  blocker: spread(100, 1, 'a coat takes about 100 ml/m²'),
  stripper: spread(350, 1, 'a paste stripper is laid on thick, about 350 ml/m²'),
  alcohol: spread(200, 1, 'softening shellac takes about 200 ml/m² of alcohol a pass'),
  thinner: spread(250, 1, 'softening lacquer takes about 250 ml/m² of thinner a pass'),
  lacquer: spread(120, 1, 'a sprayed coat of lacquer takes about 120 ml/m²'),
  varnish: spread(85, 1, 'a brushed coat of varnish takes about 85 ml/m²'),
  hardWaxOil: spread(45, 1, 'a thin coat of hard-wax oil takes about 45 ml/m²'),
  primer: spread(110, 1, 'a coat of primer takes about 110 ml/m²'),
  paint: spread(110, 1, 'a coat of paint takes about 110 ml/m²'),
  paper: TOOL,
};
