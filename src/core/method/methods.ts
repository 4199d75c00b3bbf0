import { CRACK_KINDS, DAMAGE_KINDS, LOOSE_KINDS, VENEER_LOSS_KINDS, type DamageKind } from '../damage';
import type { MaterialId } from './materials';

export type Criterion = 'fit' | 'strength' | 'invisibility' | 'reversibility' | 'speed' | 'ease' | 'stock';
export type MarkedCriterion = Exclude<Criterion, 'fit' | 'stock'>;

export const CRITERIA: Record<Criterion, string> = {
  fit: 'Fits the finish',
  strength: 'Strength',
  invisibility: 'Invisibility',
  reversibility: 'Can be undone',
  speed: 'Speed',
  ease: 'Little skill needed',
  stock: 'Materials in stock',
};

/** What a method leads to in the plan. */
export type MethodFamily = 'reglue' | 'patch' | 'structure' | 'letIn' | 'fill' | 'surface' | 'leave';

/** The state of the surface a method is made for. */
export type WorksOn = 'bare' | 'film' | 'any';

export type Method = {
  id: MethodId;
  label: string;
  how: string;
  kinds: readonly DamageKind[];
  family: MethodFamily;
  worksOn: WorksOn;
  needs: readonly MaterialId[];
  /** 0 poor … 5 as good as it gets; common practice, judged on the method done well. */
  marks: Record<MarkedCriterion, number>;
};

type Row = {
  label: string;
  how: string;
  kinds: readonly DamageKind[];
  family: MethodFamily;
  worksOn?: WorksOn;
  needs?: readonly MaterialId[];
  /** Strength, invisibility, reversibility, speed, ease. */
  marks: readonly [number, number, number, number, number];
};

const LIFTABLE: DamageKind[] = ['liftedEdge', 'blister', 'looseVeneer'];
const PATCHED: DamageKind[] = [...VENEER_LOSS_KINDS, 'oldRepair'];
const CHIPS: DamageKind[] = ['chippedVeneer', 'missingVeneer'];
const BROKEN_OFF: DamageKind[] = [
  'brokenChunk',
  'lostCarving',
  'lostCorner',
  'missingMoulding',
  'missingFoot',
];
const SMALL_FILLS: DamageKind[] = [...CHIPS, 'crackedVeneer', 'gouge', 'dent', 'scratch', 'hole', 'longCrack', 'endSplit', 'oldRepair']; // prettier-ignore
const SURFACES = (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter(
  (k) => DAMAGE_KINDS[k].family === 'surface',
);

const TABLE = {
  floodAndPress: {
    label: 'Flood and press',
    how: 'Let thinned glue run deep, then thicker, then neat at the mouth; press flat under a platen.',
    kinds: LOOSE_KINDS,
    family: 'reglue',
    needs: ['woodGlue'],
    marks: [5, 5, 3, 3, 4],
  },
  injectAndPress: {
    label: 'Inject and press',
    how: 'Slit along the grain, bring the glue in with a syringe, clamp till dry.',
    kinds: LOOSE_KINDS,
    family: 'reglue',
    needs: ['woodGlue', 'syringe'],
    marks: [4, 3, 3, 3, 3],
  },
  reactivate: {
    label: 'Reactivate the old glue with heat',
    how: 'A damp cloth, an iron and a caul: the old hide glue melts and holds again.',
    kinds: LOOSE_KINDS,
    family: 'reglue',
    needs: ['heatGun'],
    marks: [3, 5, 5, 5, 4],
  },
  liftAndRelay: {
    label: 'Lift and relay the panel',
    how: 'Take the veneer off whole with heat and knives, clean both sides, lay it again between platens.',
    kinds: LIFTABLE,
    family: 'reglue',
    needs: ['woodGlue', 'heatGun'],
    marks: [5, 4, 3, 1, 1],
  },
  tack: {
    label: 'Tack with thin cyanoacrylate',
    how: 'A drop runs under the flake; hold it down for seconds.',
    kinds: LOOSE_KINDS,
    family: 'reglue',
    needs: ['thinCa'],
    marks: [2, 4, 1, 5, 5],
  },
  veneerPatch: {
    label: 'Veneer patch',
    how: 'Let in a piece of matching veneer whose long sides run with the grain.',
    kinds: PATCHED,
    family: 'patch',
    needs: ['veneer', 'woodGlue'],
    marks: [5, 4, 3, 2, 2],
  },
  harvestedPatch: {
    label: 'Patch harvested from the piece',
    how: 'Cut the patch from a hidden place of the same piece and close that place with new veneer.',
    kinds: PATCHED,
    family: 'patch',
    needs: ['woodGlue', 'heatGun'],
    marks: [5, 5, 3, 1, 1],
  },
  edgeStrip: {
    label: 'Edge strip',
    how: 'A strip as wide as the edge, backed with tape before it is cut.',
    kinds: [...CHIPS, 'lostCorner'],
    family: 'patch',
    needs: ['veneer', 'woodGlue'],
    marks: [4, 4, 3, 3, 3],
  },
  sawnStrip: {
    label: 'Sawn strip from solid',
    how: 'Slice a thick strip from a block as long as the edge is high.',
    kinds: [...CHIPS, 'lostCorner'],
    family: 'patch',
    needs: ['solidWood', 'woodGlue'],
    marks: [5, 4, 3, 2, 2],
  },
  reveneer: {
    label: 'Reveneer the whole face',
    how: 'Lay a new sheet over the face, with overhang all round.',
    kinds: [...LOOSE_KINDS, ...VENEER_LOSS_KINDS, 'unsuitableVeneer'],
    family: 'patch',
    needs: ['veneerSheet', 'woodGlue'],
    marks: [5, 4, 2, 1, 1],
  },
  motifPart: {
    label: 'Replace the missing part of the motif',
    how: 'Trace the gap from its counterpart, cut the piece to the line, press it in under release paper.',
    kinds: ['missingMotif'],
    family: 'letIn',
    needs: ['veneer', 'woodGlue'],
    marks: [4, 4, 4, 2, 1],
  },
  newMotif: {
    label: 'Replace the whole motif',
    how: 'Cut out the motif along its lines and let in a new one.',
    kinds: ['missingMotif'],
    family: 'letIn',
    needs: ['veneer', 'woodGlue'],
    marks: [5, 4, 1, 2, 2],
  },
  glueSplit: {
    label: 'Glue and clamp the split',
    how: 'Wick or inject glue along the whole crack, close it by hand, clamp across.',
    kinds: CRACK_KINDS,
    family: 'structure',
    needs: ['woodGlue', 'syringe'],
    marks: [4, 5, 3, 4, 4],
  },
  screwSplit: {
    label: 'Glue the split on its screw',
    how: 'Leave the screw in to hold the crack open while glue runs in; back it out, clamp, re-drive with a pilot hole.',
    kinds: ['endSplit'],
    family: 'structure',
    needs: ['woodGlue'],
    marks: [4, 5, 3, 4, 4],
  },
  sliver: {
    label: 'Let in a sliver',
    how: 'Plane a tapered sliver of the same wood, glue it in along the gap, level it when dry.',
    kinds: [...CRACK_KINDS, 'crackedVeneer'],
    family: 'structure',
    needs: ['solidWood', 'woodGlue'],
    marks: [4, 4, 3, 3, 3],
  },
  dowelJoint: {
    label: 'Dowelled edge joint',
    how: 'Dowels 25 mm deep on each side, drilled from one mark, with a dry run on short loose dowels.',
    kinds: ['openGlueLine'],
    family: 'structure',
    needs: ['dowels', 'woodGlue'],
    marks: [5, 4, 2, 2, 2],
  },
  reglueJoint: {
    label: 'Take the joint apart and reglue it',
    how: 'Number the parts, ease the joint open with heat and damp, clean both sides, glue, clamp square.',
    kinds: ['looseJoint'],
    family: 'structure',
    needs: ['woodGlue'],
    marks: [5, 5, 3, 2, 3],
  },
  injectJoint: {
    label: 'Inject the joint as it stands',
    how: 'Drill a fine hole at the back, inject glue until it shows, clamp.',
    kinds: ['looseJoint'],
    family: 'structure',
    needs: ['epoxy', 'syringe'],
    marks: [2, 4, 1, 4, 4],
  },
  reglueBreak: {
    label: 'Glue the broken piece back',
    how: 'Fit it dry, glue, hold it with tape and clamps in the direction of the break.',
    kinds: BROKEN_OFF,
    family: 'structure',
    needs: ['woodGlue'],
    marks: [4, 5, 3, 4, 4],
  },
  dutchman: {
    label: 'Dutchman (a wood patch let in)',
    how: 'Square the loss off to clean lines, let in a block with its grain aligned, plane it flush.',
    kinds: [
      'brokenChunk',
      'gouge',
      'hole',
      'lostCarving',
      'lostCorner',
      'oldRepair',
      'wornRunner',
      'missingMoulding',
    ],
    family: 'letIn',
    needs: ['solidWood', 'woodGlue'],
    marks: [5, 4, 3, 2, 2],
  },
  facePlug: {
    label: 'Face-grain plug',
    how: 'Bore the hole clean, glue in a plug from a plug cutter with its grain along the board, level it.',
    kinds: ['hole'],
    family: 'letIn',
    needs: ['plugCutter', 'solidWood', 'woodGlue'],
    marks: [4, 4, 3, 3, 4],
  },
  dowelPlug: {
    label: 'Dowel plug',
    how: 'Bore to a dowel’s size, glue the dowel in, cut it flush.',
    kinds: ['hole'],
    family: 'letIn',
    needs: ['dowels', 'woodGlue'],
    marks: [5, 1, 3, 5, 5],
  },
  newPart: {
    label: 'New part to a pattern',
    how: 'Trace the good one, make the part and a spare or two, fit, glue.',
    kinds: ['missingFoot', 'missingMoulding', 'wornRunner', 'lostCarving'],
    family: 'letIn',
    needs: ['solidWood', 'woodGlue'],
    marks: [5, 4, 4, 1, 2],
  },
  steam: {
    label: 'Steam the dent out',
    how: 'A drop of water, a damp cloth and the tip of an iron; the crushed fibres swell back. Let it dry before sanding.',
    kinds: ['dent', 'gouge'],
    family: 'surface',
    worksOn: 'bare',
    needs: ['heatGun'],
    marks: [5, 5, 5, 4, 4],
  },
  bareFiller: {
    label: 'Bare-wood filler',
    how: 'Fill proud in several passes, sand level.',
    kinds: [
      ...CHIPS,
      'lostCorner',
      'wornThrough',
      'gouge',
      'dent',
      'hole',
      'scratch',
      'longCrack',
      'endSplit',
      'oldRepair',
      'brokenChunk',
    ],
    family: 'fill',
    worksOn: 'bare',
    needs: ['bareFiller'],
    marks: [3, 2, 2, 4, 5],
  },
  sawdustGlue: {
    label: 'Sawdust or shavings in glue',
    how: 'Work dust of the same piece into glue in the gap, sand while it is tacky.',
    kinds: [...CRACK_KINDS, 'crackedVeneer'],
    family: 'fill',
    worksOn: 'bare',
    needs: ['woodGlue'],
    marks: [2, 3, 2, 5, 5],
  },
  polyesterFiller: {
    label: 'Polyester filler',
    how: 'Two parts, mixed; hard within the hour, sands smooth under paint.',
    kinds: [...VENEER_LOSS_KINDS, 'gouge', 'dent', 'scratch', 'hole', 'brokenChunk', 'oldRepair'],
    family: 'fill',
    worksOn: 'bare',
    needs: ['polyester'],
    marks: [4, 1, 1, 5, 4],
  },
  epoxyPutty: {
    label: 'Epoxy putty',
    how: 'Knead, press on, shape while wet, sand when hard.',
    kinds: [...CHIPS, ...BROKEN_OFF, 'hole'],
    family: 'fill',
    worksOn: 'bare',
    needs: ['epoxyPutty'],
    marks: [5, 1, 1, 4, 4],
  },
  epoxyFill: {
    label: 'Epoxy fill, tinted',
    how: 'Tint darker than the wood, mix for 2 to 3 min, pour proud in thin layers, level the next day.',
    kinds: ['hole', 'gouge', 'longCrack', 'brokenChunk'],
    family: 'fill',
    worksOn: 'bare',
    needs: ['epoxy', 'pigments'],
    marks: [5, 2, 1, 2, 3],
  },
  epoxyCap: {
    label: 'Epoxy base with a stainable cap',
    how: 'Epoxy to just below the surface, scored when hard; stainable filler for the last two millimetres.',
    kinds: ['hole'],
    family: 'fill',
    worksOn: 'bare',
    needs: ['epoxy', 'bareFiller'],
    marks: [4, 3, 1, 2, 3],
  },
  uvResin: {
    label: 'UV-cured resin',
    how: 'A thin layer into the hole, the lamp on it, the next layer.',
    kinds: ['hole'],
    family: 'fill',
    worksOn: 'any',
    needs: ['uvResin'],
    marks: [3, 3, 1, 5, 3],
  },
  burnIn: {
    label: 'Burn-in with a hard fill stick',
    how: 'Melt hard fill into the place with a hot knife and level it to the film.',
    kinds: SMALL_FILLS,
    family: 'fill',
    worksOn: 'film',
    needs: ['burnInSticks'],
    marks: [3, 4, 3, 4, 2],
  },
  hardWax: {
    label: 'Melted hard wax',
    how: 'Blend two or three colours drop by drop and level with a plastic card.',
    kinds: SMALL_FILLS,
    family: 'fill',
    worksOn: 'film',
    needs: ['hardWax'],
    marks: [2, 3, 4, 5, 4],
  },
  softWax: {
    label: 'Soft wax stick',
    how: 'Rub in and buff.',
    kinds: SMALL_FILLS,
    family: 'fill',
    worksOn: 'film',
    needs: ['softWax'],
    marks: [1, 2, 5, 5, 5],
  },
  colourPutty: {
    label: 'Colour putty',
    how: 'Blend the colours and press in after the finish.',
    kinds: [...CHIPS, 'hole', 'gouge'],
    family: 'fill',
    worksOn: 'film',
    needs: ['colourPutty'],
    marks: [1, 2, 4, 5, 5],
  },
  oxalicAcid: {
    label: 'Bleach the mark with oxalic acid',
    how: 'Warm solution over the whole panel, let it work, neutralise and rinse well, let it dry.',
    kinds: ['blackMark'],
    family: 'surface',
    worksOn: 'bare',
    needs: ['oxalicAcid'],
    marks: [4, 5, 2, 3, 3],
  },
  woodBleach: {
    label: 'Two-part wood bleach',
    how: 'Equal parts, usually two treatments; it takes the wood’s own colour.',
    kinds: ['shadow', 'colourMismatch', 'blackMark'],
    family: 'surface',
    worksOn: 'bare',
    needs: ['woodBleach'],
    marks: [4, 3, 0, 2, 2],
  },
  toneIn: {
    label: 'Tone it in with colour',
    how: 'Seal, bring the pale part to the ground colour, then the figure lines, then a toner over the whole.',
    kinds: ['shadow', 'colourMismatch', 'wornThrough', 'oldRepair', 'scratch', 'blackMark', 'paintSpecks'],
    family: 'surface',
    needs: ['toner', 'shellac'],
    marks: [3, 4, 3, 3, 2],
  },
  liftHaze: {
    label: 'Lift the haze',
    how: 'A cloth barely damp with alcohol, drawn over lightly; or rub with oil and the finest abrasive.',
    kinds: ['whiteRing', 'shadow'],
    family: 'surface',
    worksOn: 'film',
    needs: ['spirits', 'rubbing'],
    marks: [4, 5, 4, 5, 3],
  },
  renewFinish: {
    label: 'Strip and finish anew',
    how: 'Take the finish off by stripper or scraper within the veneer’s budget, and build a new one.',
    kinds: ['failingFinish', 'whiteRing', 'scratch', 'blackMark', 'paintSpecks'],
    family: 'surface',
    needs: ['finish'],
    marks: [5, 5, 0, 1, 2],
  },
  reviveFinish: {
    label: 'Revive the old finish',
    how: 'Clean, then pad on fresh shellac that melts into the old; polish.',
    kinds: ['failingFinish', 'scratch', 'whiteRing'],
    family: 'surface',
    worksOn: 'film',
    needs: ['spirits', 'shellac'],
    marks: [3, 4, 4, 4, 3],
  },
  pickOut: {
    label: 'Pick the specks out',
    how: 'Flood with shellac or stripper, then a brass brush and a point along the pores.',
    kinds: ['paintSpecks'],
    family: 'surface',
    worksOn: 'bare',
    needs: ['spirits'],
    marks: [4, 5, 4, 2, 4],
  },
  sealOver: {
    label: 'Seal and paint over',
    how: 'A stain-blocking primer keeps the mark from bleeding through; then paint.',
    kinds: [...SURFACES, 'unsuitableVeneer'],
    family: 'surface',
    needs: ['blocker'],
    marks: [4, 1, 1, 5, 5],
  },
  leave: {
    label: 'Leave it as it is',
    how: 'Stable, honest wear. Record why.',
    kinds: Object.keys(DAMAGE_KINDS) as DamageKind[],
    family: 'leave',
    marks: [2, 2, 5, 5, 5],
  },
} satisfies Record<string, Row>;

export type MethodId = keyof typeof TABLE;

/** Repair methods in the words of the trade. Marks are common practice. */
export const METHODS: readonly Method[] = (Object.entries(TABLE) as [MethodId, Row][]).map(([id, row]) => {
  const [strength, invisibility, reversibility, speed, ease] = row.marks;
  return {
    ...row,
    id,
    worksOn: row.worksOn ?? 'any',
    needs: row.needs ?? [],
    marks: { strength, invisibility, reversibility, speed, ease },
  };
});

const BY_ID: ReadonlyMap<string, Method> = new Map(METHODS.map((m) => [m.id, m]));

/** @throws RangeError for a method that does not exist */
export function methodById(id: string): Method {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`There is no repair method “${id}”.`);
  return found;
}
