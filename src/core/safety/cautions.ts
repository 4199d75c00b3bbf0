import type { AdhesiveId } from '../adhesive';
import { methodById, type Deed, type MethodId } from '../catalogue';
import type { FinishNow } from '../terms';
import { practice, type Source } from '../sources';

export type CautionId = keyof typeof CAUTIONS;

/** Cautions in plain words, shown before the steps that need them. */
export const CAUTIONS = {
  leadPaint:
    'Old paint may hold lead, which harms children most. Test it first. No dry sanding, no dry scraping, no heat gun on it: work wet, vacuum with a HEPA filter, keep children and food away, and where local rules ask for it leave it to licensed people.',
  asbestos:
    'Heat-proof linings and boards in old furniture may hold asbestos: leave them alone, do not saw, break or sand them, and have them taken out by licensed people.',
  pestTreatment:
    'Old pest treatments (arsenic, mercury, DDT, PCP) may be in the wood: gloves, no dry sanding, no vacuuming without a HEPA filter, wash before eating.',
  mould: 'Mould harms lungs: a mask, damp wipes, drying out; nothing is brushed or swept dry.',
  electricSet:
    'A radio or lamp in the piece: pull the plug and take the set out first. Its parts hold charge and mains voltage for a long time; leave them to a qualified person.',
  cyanoacrylate:
    'Cyanoacrylate bonds skin and eyes in seconds and its fumes sting: gloves, goggles, fresh air.',
  epoxy: 'Epoxy sensitises skin and grows hot in thick pours: gloves, thin layers, fresh air.',
  heat: 'A heat gun, hot caul, torch or burn-in knife burns skin and can light finish and solvent: no open solvent nearby.',
  iron: 'An iron and a damp cloth are electricity and water: a sound cord, a socket with a residual-current device, dry hands, the iron on its stand. It scalds.',
  hotGlue:
    'Hot glue and its pot scald, and film under an iron burns: dry hands off the pot, a lid on it, the iron on its stand.',
  isocyanate:
    'Polyurethane glue holds isocyanates, which sensitise lungs and skin: gloves, fresh air, no sanding before it is hard.',
  formaldehyde:
    'Urea-formaldehyde glue gives off formaldehyde and its powder harms lungs: mask when mixing, gloves, fresh air until it has cured.',
  knife: 'A knife or chisel under hand pressure slips: both hands behind the edge, work held down.',
  methylene:
    'Strippers with methylene chloride have killed people in closed rooms, and many countries forbid or restrict them, for trades too. Ordinary gloves dissolve in it and cartridge masks do not hold it back. Choose another stripper.',
  stripper:
    'Strippers harm skin, eyes and lungs: outdoors or with a strong draught, the gloves their label names, goggles, water at hand.',
  dust: 'Wood dust is carcinogenic, and teak, walnut and rosewood sensitise: extraction and a mask.',
  solvent: 'Solvent vapour harms and ignites: fresh air, no flame, no spark, no pilot light.',
  spray:
    'Spray mist reaches deep into lungs and explodes: a respirator made for it, moving air, no spark, no pilot light.',
  oilyRags:
    'Oily rags heat themselves and catch fire: dry them flat outdoors or keep them under water in a metal can.',
  oxalic:
    'Oxalic acid is poisonous and burns eyes and skin: gloves, goggles, 30 to 60 g/l in plastic or glass, no iron, never mixed with bleach; neutralise and rinse, and never sand the dry residue.',
  bleach:
    'Two-part bleach is caustic lye and strong peroxide: gloves, goggles, apron, water at hand, never mixed in a closed pot, never sand the dry residue.',
  uv: 'A UV lamp harms eyes and skin: do not look into it, cover the light.',
  bandSaw:
    'A band saw pulls small blocks from the hand: a sled and a push stick, guide down, fingers never in line with the blade.',
  router:
    'A router trims with a bare bit: work held down, both hands on it, against the turn of the bit, cord out before the bit is changed.',
  drill: 'A drill that catches spins the work: hold it down, no gloves, no loose sleeves.',
  polyester: 'Polyester filler gives off styrene, and its hardener burns eyes: goggles, gloves, fresh air.',
  protectedWood:
    'Some rosewoods, mahogany and ebony are protected: check the rules before wood or the piece is bought, sold or sent over a border.',
  always: "Follow the product's label and data sheet, local codes and licensed practice.",
} as const;

/** Of the figures in them. */
export const CAUTIONS_SOURCE: Source = practice(
  'as labels, data sheets and public safety advice have it; they go first',
);

/** What a deed can do to a person, whatever it is done to. */
const BY_DEED: Record<Deed, readonly CautionId[]> = {
  cut: ['knife'],
  saw: ['bandSaw', 'dust'],
  rout: ['router', 'dust'],
  drill: ['drill'],
  clean: [],
  scrape: [],
  sand: ['dust'],
  heat: ['heat'],
  iron: ['iron'],
  strip: ['methylene', 'stripper', 'solvent'],
  solvent: ['solvent'],
  spray: ['spray'],
  oil: ['oilyRags'],
  epoxy: ['epoxy'],
  cyanoacrylate: ['cyanoacrylate'],
  polyester: ['polyester'],
  uv: ['uv'],
  oxalic: ['oxalic'],
  bleach: ['bleach'],
  openInside: ['mould', 'pestTreatment', 'asbestos'],
  takeApart: ['knife'],
  buyWood: [],
};

/** Deeds that loosen dust or fume from what lies on the wood. */
const ABRADES: readonly Deed[] = ['clean', 'sand', 'scrape', 'heat', 'iron', 'strip', 'saw', 'rout', 'drill'];
const DRY_WORK: readonly Deed[] = ['sand', 'scrape', 'saw', 'rout'];

/** Woods of which some kinds are protected in trade; as this app names them. */
export const PROTECTED_WOODS: readonly string[] = ['rosewood', 'mahogany', 'ebony', 'bandingTulipwood'];

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

/** What is in a piece or is feared of it, beside what its faces show. */
export const HAZARDS = {
  electric: 'A radio, lamp or other electric set',
  mould: 'Mould, or a musty smell',
  pest: 'An old pest treatment, perhaps',
  heatBoard: 'A heat-proof lining or board',
} as const;
export type Hazard = keyof typeof HAZARDS;

const BY_HAZARD: Record<Hazard, CautionId> = {
  electric: 'electricSet',
  mould: 'mould',
  pest: 'pestTreatment',
  heatBoard: 'asbestos',
};

/** What is known of the surface that a step is done on. */
export type RiskySurface = { finishNow?: FinishNow; species?: string; holds?: readonly Hazard[] };

const ORDER = Object.keys(CAUTIONS) as CautionId[];

/**
 * Cautions of one step: by what is done, the surface it is done on, what the piece holds, and the glue. What kills comes
 * first; the one about labels and codes is always last.
 */
export function cautionsFor(
  deeds: readonly Deed[],
  surface: RiskySurface = {},
  glue?: AdhesiveId,
): CautionId[] {
  const said = new Set<CautionId>(deeds.flatMap((d) => BY_DEED[d]));
  const does = (group: readonly Deed[]): boolean => deeds.some((d) => group.includes(d));
  if (surface.finishNow === 'paint' && does(ABRADES)) said.add('leadPaint');
  if (deeds.includes('openInside')) for (const h of surface.holds ?? []) said.add(BY_HAZARD[h]);
  if (does(DRY_WORK) && surface.holds?.includes('pest')) said.add('pestTreatment');
  if (does(['sand', 'saw', 'rout', 'drill']) && surface.holds?.includes('heatBoard')) said.add('asbestos');
  if (deeds.includes('buyWood') && PROTECTED_WOODS.includes(surface.species ?? '')) said.add('protectedWood');
  const ofGlue = glue === undefined ? undefined : BY_GLUE[glue];
  if (ofGlue) said.add(ofGlue);
  said.add('always');
  return ORDER.filter((c) => said.has(c));
}

/** Cautions of all steps of a chain of methods. */
export const cautionsOf = (
  methods: readonly MethodId[],
  surface: RiskySurface = {},
  glue?: AdhesiveId,
): CautionId[] =>
  cautionsFor(
    methods.flatMap((m) => methodById(m).steps.flatMap((s) => [...s.deeds])),
    surface,
    glue,
  );
