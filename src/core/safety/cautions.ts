import type { AdhesiveId } from '../adhesive';
import type { MethodId } from '../method';

export type CautionId =
  | 'always'
  | 'cyanoacrylate'
  | 'epoxy'
  | 'heat'
  | 'hotGlue'
  | 'isocyanate'
  | 'formaldehyde'
  | 'knife'
  | 'stripper'
  | 'dust'
  | 'leadPaint'
  | 'solvent'
  | 'oilyRags'
  | 'polyester'
  | 'oxalic'
  | 'bleach'
  | 'uv'
  | 'power';

/** Cautions in plain words, shown with a method and before its first step. */
export const CAUTIONS: Record<CautionId, string> = {
  always: "Follow the product's label and data sheet, local codes and licensed practice.",
  cyanoacrylate:
    'Cyanoacrylate bonds skin and eyes in seconds and its fumes sting: gloves, goggles, fresh air.',
  epoxy: 'Epoxy sensitises skin and grows hot in thick pours: gloves, thin layers, fresh air.',
  heat: 'An iron, heat gun or burn-in knife burns skin and can light finish and solvent: no open solvent nearby.',
  hotGlue:
    'Hot glue and its pot scald, and film under an iron burns: dry hands off the pot, a lid on it, the iron on its stand.',
  isocyanate:
    'Polyurethane glue holds isocyanates, which sensitise lungs and skin: gloves, fresh air, no sanding before it is hard.',
  formaldehyde:
    'Urea-formaldehyde glue gives off formaldehyde and its powder harms lungs: mask when mixing, gloves, fresh air until it has cured.',
  knife: 'A knife or chisel under hand pressure slips: both hands behind the edge, work held down.',
  stripper:
    'Strippers harm skin, eyes and lungs, and methylene chloride can kill in a closed room and is banned for consumers in places: outdoors or with strong draught, gloves, goggles.',
  dust: 'Wood dust is carcinogenic, and teak, walnut and rosewood sensitise: extraction and a mask.',
  leadPaint: 'Old paint may hold lead: test first; no dry sanding and no heat gun on it.',
  solvent: 'Solvent vapour harms and ignites: fresh air, no flame, no spark.',
  oilyRags:
    'Oily rags heat themselves and catch fire: dry them flat outdoors or keep them under water in a metal can.',
  oxalic:
    'Oxalic acid is poisonous and burns eyes and skin: gloves, goggles, never mixed with bleach, and its dry residue is never sanded.',
  bleach:
    'Two-part bleach is caustic lye and strong peroxide: gloves, goggles, apron, water at hand, never mixed in a closed pot.',
  uv: 'A UV lamp harms eyes and skin: do not look into it, cover the light.',
  power:
    'A router, drill or saw takes fingers: work held down, guards on, cord out before the bit is changed.',
  polyester: 'Polyester filler gives off styrene, and its hardener burns eyes: goggles, gloves, fresh air.',
};

const BY_METHOD: Partial<Record<MethodId, CautionId[]>> = {
  floodAndPress: ['knife'],
  injectAndPress: ['knife'],
  reactivate: ['heat'],
  liftAndRelay: ['heat', 'knife'],
  tack: ['cyanoacrylate'],
  veneerPatch: ['knife', 'dust'],
  harvestedPatch: ['knife', 'heat', 'dust'],
  edgeStrip: ['knife', 'dust'],
  sawnStrip: ['knife', 'dust'],
  reveneer: ['knife', 'dust', 'solvent'],
  bareFiller: ['dust'],
  polyesterFiller: ['polyester', 'dust'],
  epoxyPutty: ['epoxy', 'dust'],
  burnIn: ['heat'],
  hardWax: ['heat'],
  motifPart: ['knife'],
  newMotif: ['knife', 'heat'],
  screwSplit: ['power'],
  sliver: ['knife', 'dust'],
  dowelJoint: ['power', 'dust'],
  reglueJoint: ['heat'],
  injectJoint: ['epoxy', 'power'],
  dutchman: ['knife', 'power', 'dust'],
  facePlug: ['power', 'dust'],
  dowelPlug: ['power', 'dust'],
  newPart: ['power', 'dust'],
  steam: ['heat'],
  sawdustGlue: ['dust'],
  epoxyFill: ['epoxy', 'dust'],
  epoxyCap: ['epoxy', 'dust'],
  uvResin: ['uv', 'epoxy'],
  oxalicAcid: ['oxalic'],
  woodBleach: ['bleach'],
  toneIn: ['solvent'],
  liftHaze: ['solvent', 'oilyRags'],
  reviveFinish: ['solvent'],
  renewFinish: ['stripper', 'solvent', 'dust'],
  pickOut: ['stripper', 'solvent'],
  sealOver: ['solvent', 'leadPaint'],
};

const BY_GLUE: Partial<Record<AdhesiveId, CautionId>> = {
  epoxy: 'epoxy',
  epoxyFast: 'epoxy',
  cyanoacrylate: 'cyanoacrylate',
  caMedium: 'cyanoacrylate',
  caGel: 'cyanoacrylate',
  polyurethane: 'isocyanate',
  ureaFormaldehyde: 'formaldehyde',
  contact: 'solvent',
  hotHide: 'hotGlue',
  hotHideSlow: 'hotGlue',
  hotHideFast: 'hotGlue',
  ironOnFilm: 'hotGlue',
};

/** Cautions of a method and of the glue it is done with; the one about labels and codes always last. */
export function cautionsFor(method: MethodId, glue?: AdhesiveId): CautionId[] {
  const ofGlue = glue === undefined ? undefined : BY_GLUE[glue];
  return [...new Set<CautionId>([...(BY_METHOD[method] ?? []), ...(ofGlue ? [ofGlue] : []), 'always'])];
}
