import { practice, type Source } from '../sources';
/** How a damage is marked on its face: an area, a line with a width, a round hole, a run along an edge, a lost corner. */
export type MarkTool = 'area' | 'line' | 'circle' | 'edge' | 'corner';

/** What raking light shows of it: something raised, a floor below the surface, a groove, a hole, or a flat stain. */
export type Relief = 'raised' | 'sunk' | 'groove' | 'hole' | 'stain';

export type DamageFamily = 'veneer' | 'wood' | 'loss' | 'surface' | 'parts';

export const DAMAGE_FAMILIES: Record<DamageFamily, { label: string; look: string }> = {
  veneer: { label: 'Veneer', look: 'Loose, cracked, worn or missing veneer.' },
  wood: {
    label: 'Splits and bruises',
    look: 'Splits, open joints, gouges, dents and scratches in the wood.',
  },
  loss: { label: 'Holes and losses', look: 'Holes, broken-out wood and bad old repairs.' },
  surface: { label: 'Surface', look: 'Marks and stains, and a finish that fails.' },
  parts: { label: 'Parts', look: 'A foot, moulding, carving or runner that is missing or worn.' },
};

/** 1 to be seen only, 2 to be felt or weakening, 3 getting worse by itself. Common practice; used by the condition score. */
export type Gravity = 1 | 2 | 3;

export type DamageKindInfo = {
  label: string;
  family: DamageFamily;
  look: string;
  tool: MarkTool;
  relief: Relief;
  gravity: Gravity;
};

const kind = (
  family: DamageFamily,
  label: string,
  tool: MarkTool,
  relief: Relief,
  gravity: Gravity,
  look: string,
): DamageKindInfo => ({ label, family, look, tool, relief, gravity });

export const DAMAGE_KINDS = {
  liftedEdge: kind(
    'veneer',
    'Lifted edge',
    'area',
    'raised',
    3,
    'The veneer has come loose at an edge, but all of it is still there. It sounds hollow under a fingernail and can be lifted with a thin knife.',
  ),
  blister: kind(
    'veneer',
    'Blister',
    'area',
    'raised',
    3,
    'The veneer is loose inside the face; the edges are sound. Raking light shows a soft swelling, and it sounds hollow.',
  ),
  looseVeneer: kind(
    'veneer',
    'Loose over most of a panel',
    'area',
    'raised',
    3,
    'Taps sound hollow over more than half of the panel.',
  ),
  chippedVeneer: kind(
    'veneer',
    'Chipped veneer',
    'area',
    'sunk',
    2,
    'A small piece, up to a few centimetres, has broken out of the veneer.',
  ),
  missingVeneer: kind(
    'veneer',
    'Missing veneer',
    'area',
    'sunk',
    2,
    'An area of veneer is gone and the core shows.',
  ),
  crackedVeneer: kind(
    'veneer',
    'Cracked veneer',
    'line',
    'groove',
    2,
    'The veneer has split along the grain. Feel with a fingernail whether its lips are loose.',
  ),
  wornThrough: kind(
    'veneer',
    'Worn through',
    'area',
    'sunk',
    2,
    'Sanding or wear has gone through the veneer; the core or the glue shows as a pale, soft-edged patch.',
  ),
  lostCorner: kind('veneer', 'Lost corner', 'corner', 'sunk', 2, 'The corner is broken off or worn round.'),
  missingMotif: kind(
    'veneer',
    'Missing inlay or banding',
    'area',
    'sunk',
    2,
    'A part of an inlay, stringing, banding or motif is gone.',
  ),
  unsuitableVeneer: kind(
    'veneer',
    'Unsuitable veneer',
    'area',
    'stain',
    1,
    'A printed foil or a veneer that cannot be finished covers the face.',
  ),
  endSplit: kind(
    'wood',
    'Split at an end or screw',
    'line',
    'groove',
    3,
    'The wood has split from its end or from a screw, along the grain.',
  ),
  longCrack: kind(
    'wood',
    'Long crack',
    'line',
    'groove',
    2,
    'A crack runs through the board or panel along the grain.',
  ),
  openGlueLine: kind(
    'wood',
    'Open glue line',
    'line',
    'groove',
    3,
    'Two boards have come apart at their straight glued joint.',
  ),
  looseJoint: kind(
    'wood',
    'Loose joint',
    'circle',
    'groove',
    3,
    'A mortise and tenon or a dowelled joint moves when the piece is racked by hand.',
  ),
  gouge: kind(
    'wood',
    'Gouge',
    'area',
    'sunk',
    2,
    'Fibres are cut or torn out. A fingernail drawn across it catches.',
  ),
  dent: kind(
    'wood',
    'Dent',
    'area',
    'sunk',
    1,
    'Fibres are pressed down but whole. A fingernail drawn across it slides through.',
  ),
  scratch: kind(
    'wood',
    'Scratch',
    'line',
    'groove',
    1,
    'A fine line in the finish, or through it into the wood.',
  ),
  hole: kind('loss', 'Hole', 'circle', 'hole', 2, 'A screw, lock, knot or bored hole.'),
  brokenChunk: kind(
    'loss',
    'Broken-out chunk',
    'area',
    'sunk',
    3,
    'A piece of the wood has broken out, at a lock or a corner.',
  ),
  oldRepair: kind(
    'loss',
    'Uneven old repair',
    'area',
    'stain',
    1,
    'An old fill or patch that stands proud, has sunk or has the wrong colour.',
  ),
  lostCarving: kind(
    'parts',
    'Lost carving or beading',
    'area',
    'sunk',
    2,
    'A piece of carving or beading has broken off.',
  ),
  missingMoulding: kind(
    'parts',
    'Missing moulding or trim',
    'edge',
    'sunk',
    2,
    'A length of moulding or trim is gone.',
  ),
  missingFoot: kind(
    'parts',
    'Missing or broken foot',
    'corner',
    'sunk',
    3,
    'A foot is gone, or too broken to stand on.',
  ),
  wornRunner: kind(
    'parts',
    'Worn runner or guide',
    'edge',
    'groove',
    2,
    'A drawer runner or guide is worn hollow; the drawer drops or sticks.',
  ),
  partOff: kind(
    'parts',
    'Part fallen off, but whole',
    'area',
    'stain',
    2,
    'A guide, stop, block or moulding has come off in one piece and can go back.',
  ),
  drawerBinds: kind(
    'parts',
    'Drawer that binds or drops',
    'edge',
    'groove',
    2,
    'The drawer sticks, scrapes, or tips down when it is pulled out.',
  ),
  rocks: kind(
    'parts',
    'Piece that rocks',
    'corner',
    'stain',
    2,
    'On a flat floor the piece rocks from corner to corner: a foot is short, or the frame is twisted.',
  ),
  mouldSmell: kind(
    'surface',
    'Mould or smell inside',
    'area',
    'stain',
    3,
    'A musty, smoky or sour smell, or grey and green fur, inside a case or a drawer.',
  ),
  blackMark: kind(
    'surface',
    'Black water mark',
    'area',
    'stain',
    1,
    'A black or blue-black stain where water met iron and the tannin in the wood.',
  ),
  whiteRing: kind(
    'surface',
    'White ring',
    'area',
    'stain',
    1,
    'A white haze in the finish from heat or damp.',
  ),
  shadow: kind(
    'surface',
    'Light or dark shadow',
    'area',
    'stain',
    1,
    'The wood under an object has kept another colour than the wood in the light.',
  ),
  failingFinish: kind(
    'surface',
    'Failing finish',
    'area',
    'stain',
    2,
    'The finish is crazed, sticky, flaking or worn away.',
  ),
  paintSpecks: kind(
    'surface',
    'Paint specks in the grain',
    'area',
    'stain',
    1,
    'Old paint has stayed in the pores after stripping.',
  ),
  colourMismatch: kind(
    'surface',
    'Parts of different colour',
    'area',
    'stain',
    1,
    'Parts of different wood or age do not go together in colour.',
  ),
} satisfies Record<string, DamageKindInfo>;

/** Of how grave each kind is; used by the condition score. */
export const DAMAGE_KINDS_SOURCE: Source = practice(
  'what gets worse by itself is graver than what is only seen',
);

export type DamageKind = keyof typeof DAMAGE_KINDS;

export const kindInfo = (id: DamageKind): DamageKindInfo => DAMAGE_KINDS[id];

export const kindsOf = (family: DamageFamily): DamageKind[] =>
  (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter((k) => DAMAGE_KINDS[k].family === family);

/** Kinds that share what is asked and what repairs them. */
export const LOOSE_KINDS: DamageKind[] = ['liftedEdge', 'blister', 'looseVeneer', 'crackedVeneer'];
export const VENEER_LOSS_KINDS: DamageKind[] = ['chippedVeneer', 'missingVeneer', 'lostCorner', 'wornThrough', 'missingMotif']; // prettier-ignore
export const CRACK_KINDS: DamageKind[] = ['endSplit', 'longCrack', 'openGlueLine'];
/** Cracks that a board's own movement can open and close. */
export const MOVING_KINDS: DamageKind[] = [...CRACK_KINDS, 'crackedVeneer'];

/** What can be seen or measured of one damage. What is not known stays out. */
export type DamageFacts = {
  kind: DamageKind;
  areaMm2?: number;
  alongMm?: number;
  acrossMm?: number;
  atEdge?: boolean;
  /** Damaged share of the whole face, this and all others of its kind, 0…1. */
  faceShare?: number;
  openingMm?: number;
  /** Width of a crack or joint. */
  gapMm?: number;
  depthMm?: number;
  diameterMm?: number;
  /** How much a crack opens and closes over the year. */
  movesMm?: number;
  woodAllPresent?: boolean;
  oldGlue?: 'hide' | 'other';
  glueLine?: 'clean' | 'powdery' | 'waxy';
  brittle?: boolean;
  coreSound?: boolean;
  donor?: boolean;
  edgeBanding?: boolean;
  fibresCut?: boolean;
  closesByHand?: boolean;
  moving?: boolean;
  dirty?: boolean;
  screwInSplit?: boolean;
  carriesLoad?: boolean;
  finishBroken?: boolean;
  through?: boolean;
  screwAgain?: boolean;
  pieceKept?: boolean;
  patternThere?: boolean;
  inWood?: boolean;
  /** What is wrong with a core that is not sound. */
  coreFault?: 'crumbled' | 'void' | 'rot' | 'corner';
  /** How an old repair lies to the surface. */
  repairLevel?: 'proud' | 'sunk' | 'level';
  lipsLoose?: boolean;
  mayPlane?: boolean;
  finishPlan?: 'refresh' | 'replace';
  coveredLater?: boolean;
  periodVeneer?: boolean;
  partWhole?: boolean;
  wanted?: 'feature' | 'hide';
  spiritsHide?: boolean;
  patterned?: boolean;
  faded?: boolean;
  drawerFault?: 'tight' | 'worn' | 'stop';
  rocksBy?: 'shortFoot' | 'longFoot' | 'twist';
  stillDamp?: boolean;
  smellOf?: 'mould' | 'smoke' | 'pest';
};
