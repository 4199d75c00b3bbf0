import { METHODS, type MethodId } from '../catalogue';
import { DAMAGE_KINDS, QUESTIONS, type DamageFacts } from '../damage';
import type { School } from '../terms';
import type { SurfaceFacts } from './facts';
import { rankMethods } from './rank';
import type { RankedMethod } from './standing';

/** Every row is common practice: what a careful refinisher of that school would do first, and would not do at all. */
type Row = [
  what: string,
  damage: DamageFacts,
  face: SurfaceFacts,
  school: School,
  /** The whole chain, such as `hardenCore>veneerPatch`; a least bad answer ends in `!`. */
  first: string,
  setAside?: Partial<Record<MethodId, string>>,
];

const SOLID: SurfaceFacts = { build: 'solid', show: true, finishNow: 'lacquer', goal: 'lacquer' };
const KEPT: SurfaceFacts = { ...SOLID, goal: 'keep' };
const SHELLAC_KEPT: SurfaceFacts = { ...KEPT, finishNow: 'shellac' };
const OIL_KEPT: SurfaceFacts = { ...KEPT, finishNow: 'oil' };
const BARE: SurfaceFacts = { ...SOLID, finishNow: 'bare' };
const PAINT: SurfaceFacts = { build: 'solid', show: true, finishNow: 'paint', goal: 'paint' };
const HIDDEN: SurfaceFacts = { ...SOLID, show: false };
const BOARD: SurfaceFacts = { build: 'particleBoard', show: true, finishNow: 'lacquer', goal: 'lacquer', veneerMm: 0.6 }; // prettier-ignore
const VENEERED: SurfaceFacts = { build: 'solidCore', show: true, finishNow: 'shellac', goal: 'shellac', veneerMm: 0.9 }; // prettier-ignore

const DENT: DamageFacts = {
  kind: 'dent',
  areaMm2: 120,
  alongMm: 14,
  acrossMm: 10,
  atEdge: false,
  fibresCut: false,
};
const GOUGE: DamageFacts = { kind: 'gouge', areaMm2: 120, alongMm: 20, acrossMm: 7, atEdge: false, fibresCut: true, depthMm: 2 }; // prettier-ignore
const BIG_GOUGE: DamageFacts = { ...GOUGE, areaMm2: 900, alongMm: 60, acrossMm: 20, depthMm: 6 };
const SCRATCH: DamageFacts = { kind: 'scratch', areaMm2: 40, alongMm: 90, acrossMm: 0.4, fibresCut: false, finishBroken: false, atEdge: false }; // prettier-ignore
const hole = (diameterMm: number, more: Partial<DamageFacts> = {}): DamageFacts => ({
  kind: 'hole',
  diameterMm,
  areaMm2: (Math.PI / 4) * diameterMm ** 2,
  alongMm: diameterMm,
  acrossMm: diameterMm,
  atEdge: false,
  screwAgain: false,
  carriesLoad: false,
  ...more,
});
const SPLIT: DamageFacts = { kind: 'endSplit', areaMm2: 100, alongMm: 100, gapMm: 1, atEdge: true, closesByHand: true, screwInSplit: false }; // prettier-ignore
const CRACK: DamageFacts = { kind: 'longCrack', areaMm2: 800, alongMm: 400, gapMm: 2, atEdge: true, closesByHand: false, carriesLoad: false }; // prettier-ignore
const SEAM: DamageFacts = { kind: 'openGlueLine', areaMm2: 600, alongMm: 600, gapMm: 1, atEdge: true, closesByHand: true, carriesLoad: false }; // prettier-ignore
const JOINT: DamageFacts = { kind: 'looseJoint', oldGlue: 'hide' };
const CHUNK: DamageFacts = { kind: 'brokenChunk', areaMm2: 1500, alongMm: 60, acrossMm: 25, atEdge: true, depthMm: 12, pieceKept: false, carriesLoad: false }; // prettier-ignore
const LOSS20: DamageFacts = { kind: 'missingVeneer', areaMm2: 314, alongMm: 20, acrossMm: 20, atEdge: false, donor: false, edgeBanding: false, faceShare: 0.01 }; // prettier-ignore
const MOTIF: DamageFacts = { kind: 'missingMotif', areaMm2: 200, alongMm: 30, acrossMm: 8, atEdge: false, patternThere: true, donor: false }; // prettier-ignore
const BLACK: DamageFacts = { kind: 'blackMark', areaMm2: 5000, inWood: true };
const RING: DamageFacts = { kind: 'whiteRing', areaMm2: 6000, finishBroken: false };
const SHADOW: DamageFacts = { kind: 'shadow', areaMm2: 9000, inWood: true };
const FAILING: DamageFacts = { kind: 'failingFinish', areaMm2: 90_000 };

const LIFTED: DamageFacts = { kind: 'liftedEdge', areaMm2: 5400, alongMm: 180, acrossMm: 40, atEdge: true, faceShare: 0.03 }; // prettier-ignore
const BLISTER: DamageFacts = { kind: 'blister', areaMm2: 3000, atEdge: false, faceShare: 0.02 };
const CHIP: DamageFacts = { kind: 'chippedVeneer', areaMm2: 300, alongMm: 24, acrossMm: 16, atEdge: false, donor: false, edgeBanding: false, faceShare: 0.01 }; // prettier-ignore
const LIPS: DamageFacts = { kind: 'crackedVeneer', areaMm2: 60, alongMm: 200, gapMm: 0.2, atEdge: false, closesByHand: true, faceShare: 0.01 }; // prettier-ignore
const VKEPT: SurfaceFacts = { ...VENEERED, goal: 'keep' };
const VPAINT: SurfaceFacts = { ...VENEERED, finishNow: 'paint', goal: 'paint' };
const VBOARD: SurfaceFacts = { ...VENEERED, build: 'particleBoard' };

// prettier-ignore
const ROWS: Row[] = [
  // The cases that started it.
  ['hole in particle board, clear finish', hole(10), BOARD, 'clear', 'epoxyCap', { facePlug: 'crumble', dowelPlug: 'end grain', dutchman: 'crumble' }],
  ['dent, bare wood', DENT, BARE, 'clear', 'steam'],
  ['the same dent, finish stays', DENT, KEPT, 'clear', 'burnIn>filmOver', { steam: 'clouds' }],
  ['the same dent, oil stays', DENT, OIL_KEPT, 'clear', 'steam>reoil', { burnIn: 'hard film' }],
  ['gouge in lacquer that stays', GOUGE, KEPT, 'clear', 'burnIn>filmOver', { bareFiller: 'finish stays', steam: 'cut' }],
  ['the same gouge in oil', GOUGE, OIL_KEPT, 'clear', 'hardWax', { burnIn: 'hard film' }],
  ['20 mm loss on a show face, clear', LOSS20, VENEERED, 'clear', 'veneerPatch', { polyesterFiller: 'only paint', epoxyPutty: 'opaque' }],
  ['20 mm loss on a show face, paint', LOSS20, { ...VENEERED, finishNow: 'paint', goal: 'paint' }, 'paint', 'polyesterFiller'],
  ['10 mm hole, clear show face', hole(10), SOLID, 'clear', 'facePlug', { dowelPlug: 'end grain', uvResin: 'wide place' }],
  ['missing motif, conserve', MOTIF, VENEERED, 'conserve', 'motifPart', { newMotif: 'not the whole replaced', reveneer: '' }],
  // Dents.
  ['dent, finish comes off', DENT, SOLID, 'clear', 'steam'],
  ['dent, finish comes off, conserve', DENT, { ...SOLID, goal: 'shellac' }, 'conserve', 'steam'],
  ['dent, paint', DENT, PAINT, 'paint', 'steam', { burnIn: '' }],
  ['dent whose fibres are cut, clear', { ...DENT, fibresCut: true, areaMm2: 50 }, SOLID, 'clear', 'bareFiller', { steam: 'cut' }],
  ['dent in a finish that stays, conserve', { ...DENT, finishBroken: false }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['small dent in veneer on particle board', { ...DENT, areaMm2: 50 }, BOARD, 'clear', 'bareFiller', { steam: 'swells the board' }],
  // Gouges.
  ['gouge in shellac that stays', GOUGE, SHELLAC_KEPT, 'clear', 'burnIn>filmOver'],
  ['gouge in a water-based coat that stays', GOUGE, { ...KEPT, finishNow: 'waterborne' }, 'clear', 'burnIn>filmOver'],
  ['small gouge, finish comes off', { ...GOUGE, areaMm2: 50 }, SOLID, 'clear', 'bareFiller'],
  ['large gouge, finish comes off', BIG_GOUGE, SOLID, 'clear', 'dutchman', { bareFiller: 'shows', burnIn: '' }],
  ['large gouge, paint', BIG_GOUGE, PAINT, 'paint', 'polyesterFiller'],
  ['large gouge, conserve', BIG_GOUGE, { ...SOLID, goal: 'shellac' }, 'conserve', 'dutchman', { epoxyFill: 'undone' }],
  ['gouge, hidden face', { ...GOUGE, areaMm2: 300 }, HIDDEN, 'clear', 'bareFiller'],
  ['gouge, wax only', GOUGE, { ...KEPT, finishNow: 'wax' }, 'clear', 'hardWax', { burnIn: 'hard film' }],
  // Scratches.
  ['scratch in a finish that stays', SCRATCH, KEPT, 'clear', 'softWax', { renewFinish: 'is to stay' }],
  ['scratch in shellac that stays', SCRATCH, SHELLAC_KEPT, 'clear', 'reviveFinish'],
  ['scratch, finish comes off', SCRATCH, SOLID, 'clear', 'sandOut', { reoil: 'not oil or wax' }],
  ['deep scratch in lacquer that stays', { ...SCRATCH, fibresCut: true, finishBroken: true }, KEPT, 'clear', 'hardWax'],
  ['scratch through the colour, finish stays', { ...SCRATCH, finishBroken: true }, KEPT, 'clear', 'toneIn'],
  ['scratch, conserve', SCRATCH, SHELLAC_KEPT, 'conserve', 'leave'],
  ['scratch, paint', SCRATCH, PAINT, 'paint', 'bareFiller'],
  // Holes.
  ['nail hole, finish stays', hole(2), KEPT, 'clear', 'burnIn>filmOver', { dowelPlug: 'end grain' }],
  ['nail hole, oil stays', hole(2), OIL_KEPT, 'clear', 'softWax', { burnIn: 'hard film' }],
  ['nail hole, finish comes off', hole(2), SOLID, 'clear', 'bareFiller'],
  ['8 mm hole, conserve', hole(8), { ...SOLID, goal: 'shellac' }, 'conserve', 'facePlug', { epoxyFill: 'undone', epoxyCap: 'undone', uvResin: 'undone' }],
  ['8 mm hole, paint', hole(8), PAINT, 'paint', 'bareFiller'],
  ['8 mm hole, hidden', hole(8), HIDDEN, 'clear', 'bareFiller'],
  ['20 mm hole, hidden', hole(20), HIDDEN, 'clear', 'dowelPlug'],
  ['screw hole that takes a screw again, hidden', hole(8, { screwAgain: true }), HIDDEN, 'clear', 'dowelPlug', { bareFiller: 'no hold', hardWax: 'no hold' }],
  ['screw hole that takes a screw again, paint', hole(8, { screwAgain: true }), PAINT, 'paint', 'dowelPlug', { polyesterFiller: 'no hold' }],
  ['screw hole that takes a screw again, show face', hole(8, { screwAgain: true }), SOLID, 'clear', 'facePlug', { dowelPlug: 'end grain' }],
  ['screw hole in particle board, hidden', hole(8, { screwAgain: true }), { ...BOARD, show: false }, 'clear', 'epoxyFill', { facePlug: 'crumble', dowelPlug: 'breaks out' }],
  ['lock hole of 60 mm, clear', hole(60, { through: true }), SOLID, 'clear', 'dutchman', { facePlug: 'plug cutter' }],
  ['deep pin-hole, clear', hole(2, { depthMm: 9 }), { ...SOLID, finishNow: 'varnish', goal: 'keep' }, 'paint', 'uvResin'],
  ['hole in particle board, paint', hole(10), { ...BOARD, finishNow: 'paint', goal: 'paint' }, 'paint', 'polyesterFiller', { facePlug: 'crumble' }],
  ['hole in fibre board, clear', hole(10), { ...BOARD, build: 'mdf' }, 'clear', 'epoxyCap', { facePlug: 'crumble' }],
  // Splits, cracks, joints.
  ['end split that closes', SPLIT, SOLID, 'clear', 'glueSplit', { screwSplit: 'no screw', leave: 'active' }],
  ['end split with its screw', { ...SPLIT, screwInSplit: true }, SOLID, 'clear', 'screwSplit'],
  ['end split that does not close', { ...SPLIT, closesByHand: false, gapMm: 2 }, SOLID, 'clear', 'sliver', { glueSplit: 'force', screwSplit: '' }],
  ['end split, conserve', SPLIT, SHELLAC_KEPT, 'conserve', 'glueSplit', { leave: 'active' }],
  ['end split, paint', SPLIT, PAINT, 'paint', 'glueSplit'],
  ['end split in a seat, with its screw, paint', { ...SPLIT, screwInSplit: true, carriesLoad: true }, PAINT, 'paint', 'screwSplit', { sawdustGlue: 'does not hold' }],
  ['shrinkage crack, clear', CRACK, SOLID, 'clear', 'sliver', { glueSplit: 'force' }],
  ['shrinkage crack, conserve, finish stays', CRACK, SHELLAC_KEPT, 'conserve', 'hardWax', { glueSplit: 'force', epoxyFill: '' }],
  ['old stable crack, conserve', { ...CRACK, moving: false, gapMm: 0.5 }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['moving crack in a finish that stays', { ...CRACK, moving: true, gapMm: 0.5 }, KEPT, 'clear', 'hardWax', { burnIn: 'stiff fill', bareFiller: '' }],
  ['moving crack, paint', { ...CRACK, movesMm: 1.4 }, PAINT, 'paint', 'sliver', { bareFiller: 'stiff fill' }],
  ['still crack, paint', { ...CRACK, moving: false, movesMm: 0.1, gapMm: 1 }, PAINT, 'paint', 'bareFiller'],
  ['crack that closes by hand', { ...CRACK, closesByHand: true }, SOLID, 'clear', 'glueSplit'],
  ['hairline, bare, does not close', { ...CRACK, gapMm: 0.3, moving: false }, BARE, 'clear', 'sawdustGlue'],
  ['open glue line that closes', SEAM, SOLID, 'clear', 'glueSplit', { leave: 'active' }],
  ['open glue line of a table top that carries', { ...SEAM, carriesLoad: true }, SOLID, 'clear', 'glueSplit', { sawdustGlue: 'does not hold' }],
  ['open glue line that gapes', { ...SEAM, closesByHand: false, gapMm: 2 }, SOLID, 'clear', 'sliver', { glueSplit: 'force' }],
  ['open glue line, paint', SEAM, PAINT, 'paint', 'glueSplit'],
  ['loose joint, clear', JOINT, SOLID, 'clear', 'reglueJoint', { leave: 'active' }],
  ['loose joint, conserve', JOINT, SHELLAC_KEPT, 'conserve', 'reglueJoint', { injectJoint: 'never be opened' }],
  ['loose joint, paint', { kind: 'looseJoint', oldGlue: 'other' }, PAINT, 'paint', 'reglueJoint'],
  ['blister', { kind: 'blister', areaMm2: 3000, atEdge: false, faceShare: 0.02 }, VENEERED, 'clear', 'injectAndPress', { floodAndPress: 'no mouth', leave: 'active' }],
  ['blister, live hide glue, conserve', { kind: 'blister', areaMm2: 3000, atEdge: false, oldGlue: 'hide', glueLine: 'clean', faceShare: 0.02 }, VENEERED, 'conserve', 'reactivate'],
  ['loose over most of a panel', { kind: 'looseVeneer', areaMm2: 200_000, faceShare: 0.7, atEdge: true, glueLine: 'powdery' }, VENEERED, 'clear', 'liftAndRelay', { tack: 'too large' }],
  ['cracked veneer with loose lips', { kind: 'crackedVeneer', areaMm2: 300, alongMm: 200, gapMm: 0.2, atEdge: false, closesByHand: true, faceShare: 0.01 }, VENEERED, 'clear', 'injectAndPress'],
  ['cracked veneer that gapes', { kind: 'crackedVeneer', areaMm2: 300, alongMm: 200, gapMm: 1.5, atEdge: false, closesByHand: false, woodAllPresent: false, faceShare: 0.01 }, VENEERED, 'clear', 'sliver'],
  // Losses and parts.
  ['chunk gone at a lock, clear', CHUNK, SOLID, 'clear', 'dutchman', { reglueBreak: 'gone', bareFiller: '', polyesterFiller: '' }],
  ['chunk kept', { ...CHUNK, pieceKept: true }, SOLID, 'clear', 'reglueBreak'],
  ['chunk gone, paint', CHUNK, PAINT, 'paint', 'epoxyPutty'],
  ['chunk gone from a leg that carries, paint', { ...CHUNK, carriesLoad: true }, PAINT, 'paint', 'dutchman', { epoxyPutty: 'under paint too', bareFiller: 'carries load', polyesterFiller: 'carries load', leave: 'breaks further' }],
  ['chunk gone, particle board, clear', CHUNK, BOARD, 'clear', 'epoxyPutty!', { dutchman: 'crumble', epoxyFill: 'never looks like wood' }],
  ['corner of veneer gone', { kind: 'lostCorner', areaMm2: 300, alongMm: 24, acrossMm: 24, atEdge: true, donor: false, edgeBanding: false, pieceKept: false, faceShare: 0.01 }, VENEERED, 'clear', 'veneerPatch'],
  ['solid corner gone, clear', { kind: 'lostCorner', areaMm2: 300, atEdge: true, pieceKept: false, faceShare: 0.01 }, SOLID, 'clear', 'dutchman', { veneerPatch: 'no veneer' }],
  ['corner gone, paint', { kind: 'lostCorner', areaMm2: 300, atEdge: true, pieceKept: false, faceShare: 0.01 }, PAINT, 'paint', 'epoxyPutty'],
  ['small rub-through, clear', { kind: 'wornThrough', areaMm2: 200, atEdge: false, donor: false, faceShare: 0.01 }, VENEERED, 'clear', 'toneIn'],
  ['large rub-through, clear', { kind: 'wornThrough', areaMm2: 3000, alongMm: 80, acrossMm: 40, atEdge: false, donor: false, faceShare: 0.02 }, VENEERED, 'clear', 'veneerPatch'],
  ['missing motif, clear', MOTIF, VENEERED, 'clear', 'motifPart', { reveneer: 'bury' }],
  ['printed foil, clear', { kind: 'unsuitableVeneer', areaMm2: 200_000, faceShare: 1 }, { ...BOARD }, 'clear', 'reveneer', { sealOver: 'needs paint' }],
  ['printed foil, paint', { kind: 'unsuitableVeneer', areaMm2: 200_000, faceShare: 1 }, { ...BOARD, goal: 'paint' }, 'paint', 'sealOver'],
  ['uneven old fill, clear', { kind: 'oldRepair', areaMm2: 600, atEdge: false }, SOLID, 'clear', 'dutchman'],
  ['uneven old fill in veneer, clear', { kind: 'oldRepair', areaMm2: 600, atEdge: false, donor: false }, VENEERED, 'clear', 'veneerPatch'],
  ['uneven old fill, paint', { kind: 'oldRepair', areaMm2: 600, atEdge: false }, PAINT, 'paint', 'polyesterFiller'],
  ['old repair of another colour, conserve', { kind: 'oldRepair', areaMm2: 600, atEdge: false }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['carving lost, its twin there', { kind: 'lostCarving', areaMm2: 700, pieceKept: false, patternThere: true }, SOLID, 'clear', 'newPart', { reglueBreak: 'gone', epoxyPutty: 'opaque' }],
  ['carving lost, paint', { kind: 'lostCarving', areaMm2: 700, pieceKept: false, patternThere: false }, PAINT, 'paint', 'epoxyPutty'],
  ['carving lost, no pattern, conserve', { kind: 'lostCarving', areaMm2: 700, pieceKept: false, patternThere: false }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['carving kept', { kind: 'lostCarving', areaMm2: 700, pieceKept: true }, SOLID, 'conserve', 'reglueBreak'],
  ['moulding missing', { kind: 'missingMoulding', alongMm: 400, pieceKept: false, patternThere: true }, SOLID, 'clear', 'newPart'],
  ['short moulding gap, paint', { kind: 'missingMoulding', alongMm: 40, pieceKept: false, patternThere: true }, PAINT, 'paint', 'epoxyPutty'],
  ['foot missing', { kind: 'missingFoot', pieceKept: false, patternThere: true }, SOLID, 'clear', 'newPart', { leave: 'active' }],
  ['foot missing, paint', { kind: 'missingFoot', pieceKept: false, patternThere: true }, PAINT, 'paint', 'newPart'],
  ['foot kept', { kind: 'missingFoot', pieceKept: true, patternThere: true }, SOLID, 'conserve', 'reglueBreak'],
  ['runner worn', { kind: 'wornRunner', patternThere: true, depthMm: 6 }, HIDDEN, 'clear', 'dutchman', { leave: 'active' }],
  ['runner worn, conserve', { kind: 'wornRunner', patternThere: true, depthMm: 3 }, { ...SHELLAC_KEPT, show: false }, 'conserve', 'dutchman'],
  // Surfaces.
  ['black mark, finish comes off', BLACK, SOLID, 'clear', 'oxalicAcid', { sealOver: 'needs paint' }],
  ['black mark under a finish that stays', BLACK, KEPT, 'clear', 'toneIn', { oxalicAcid: 'bare wood only', woodBleach: 'bare wood only' }],
  ['black mark only in the finish', { ...BLACK, inWood: false }, SOLID, 'clear', 'renewFinish', { oxalicAcid: 'in the finish' }],
  ['black mark, conserve', BLACK, SHELLAC_KEPT, 'conserve', 'leave', { woodBleach: 'patina' }],
  ['black mark, paint', BLACK, PAINT, 'paint', 'sealOver', { toneIn: 'hides' }],
  ['white ring', RING, KEPT, 'clear', 'liftHaze', { makeSafe: 'this is white ring' }],
  ['white ring, conserve', RING, SHELLAC_KEPT, 'conserve', 'liftHaze'],
  ['white ring, finish comes off', RING, SOLID, 'clear', 'renewFinish', { liftHaze: 'comes off' }],
  ['white ring, paint', RING, PAINT, 'paint', 'sealOver'],
  ['shadow in the wood', SHADOW, SOLID, 'clear', 'toneIn', { liftHaze: 'another colour' }],
  ['shadow in the finish that stays', { ...SHADOW, inWood: false }, KEPT, 'clear', 'liftHaze'],
  ['shadow, conserve', SHADOW, SHELLAC_KEPT, 'conserve', 'leave', { woodBleach: 'patina' }],
  ['failing shellac, conserve', FAILING, SHELLAC_KEPT, 'conserve', 'reviveFinish'],
  ['failing lacquer, clear', FAILING, SOLID, 'clear', 'renewFinish'],
  ['failing varnish that should stay', FAILING, { ...KEPT, finishNow: 'varnish' }, 'clear', 'renewFinish', { reviveFinish: 'does not melt' }],
  ['failing paint, paint', FAILING, PAINT, 'paint', 'sealOver'],
  ['paint specks in bare wood', { kind: 'paintSpecks', areaMm2: 3000, inWood: true }, BARE, 'clear', 'pickOut'],
  ['paint specks, paint', { kind: 'paintSpecks', areaMm2: 3000 }, PAINT, 'paint', 'sealOver', { toneIn: 'hides' }],
  ['parts of two woods, clear', { kind: 'colourMismatch', areaMm2: 40_000 }, SOLID, 'clear', 'toneIn'],
  ['parts of two woods, paint', { kind: 'colourMismatch', areaMm2: 40_000 }, PAINT, 'paint', 'sealOver'],
  ['black mark on a hidden face', BLACK, { ...KEPT, show: false }, 'clear', 'leave'],
  // Lifted veneer, and the chains that begin with it.
  ['lifted edge with a bit missing', { ...LIFTED, woodAllPresent: false }, VENEERED, 'clear', 'floodAndPress>veneerPatch', { liftAndRelay: 'Most of the face' }],
  ['lifted edge with a bit missing, a donor place', { ...LIFTED, woodAllPresent: false, donor: true }, VENEERED, 'conserve', 'floodAndPress>harvestedPatch'],
  ['lifted edge with a bit missing, paint', { ...LIFTED, woodAllPresent: false }, VPAINT, 'paint', 'floodAndPress>polyesterFiller'],
  ['lifted edge, all there', { ...LIFTED, woodAllPresent: true }, VENEERED, 'clear', 'floodAndPress'],
  ['lifted edge, wax in the glue line', { ...LIFTED, glueLine: 'waxy' }, VENEERED, 'clear', 'washGlueLine>floodAndPress', { reactivate: 'live glue' }],
  ['blister, wax in the glue line', { ...BLISTER, glueLine: 'waxy' }, VENEERED, 'clear', 'washGlueLine>injectAndPress'],
  ['lifted edge, powdery glue', { ...LIFTED, glueLine: 'powdery' }, VENEERED, 'clear', 'rinseGlueLine>floodAndPress'],
  ['lifted edge, brittle and curled', { ...LIFTED, brittle: true }, VENEERED, 'clear', 'moisten>floodAndPress'],
  ['lifted edge, supple', { ...LIFTED, brittle: false }, VENEERED, 'conserve', 'floodAndPress', { tack: 'cannot be undone' }],
  ['lifted edge, waxy, and the core crumbled', { ...LIFTED, glueLine: 'waxy', coreSound: false, coreFault: 'crumbled' }, VBOARD, 'clear', 'hardenCore>washGlueLine>floodAndPress'],
  ['lifted edge, live hide glue, shellac stays', { ...LIFTED, oldGlue: 'hide', glueLine: 'clean' }, VKEPT, 'conserve', 'warmCaul', { reactivate: 'clouds' }],
  ['blister, live hide glue, shellac stays', { ...BLISTER, oldGlue: 'hide', glueLine: 'clean' }, VKEPT, 'clear', 'warmCaul', { reactivate: 'clouds' }],
  ['blister, other glue, shellac stays', { ...BLISTER, oldGlue: 'other', glueLine: 'clean' }, VKEPT, 'clear', 'injectAndPress', { warmCaul: 'Only old hide glue', reactivate: 'clouds' }],
  ['blister, live hide glue, wax stays', { ...BLISTER, oldGlue: 'hide', glueLine: 'clean' }, { ...VKEPT, finishNow: 'wax' }, 'conserve', 'reactivate>reoil'],
  ['tiny flake, clear', { ...LIFTED, areaMm2: 90 }, VENEERED, 'clear', 'tack'],
  ['lifted over a face called solid', LIFTED, SOLID, 'clear', 'floodAndPress!', { tack: 'solid wood' }],
  // Chipped and missing veneer: size, depth, show and pattern.
  ['chip of 100 mm², plain, clear', { ...CHIP, areaMm2: 100, acrossMm: 8, patterned: false }, VENEERED, 'clear', 'veneerPatch'],
  ['chip of 100 mm² in a burr, clear', { ...CHIP, areaMm2: 100, acrossMm: 8, patterned: true, depthMm: 0.9 }, VENEERED, 'clear', 'veneerPatch'],
  ['chip 2 mm wide in a burr, clear', { ...CHIP, areaMm2: 70, acrossMm: 2.5, patterned: true, depthMm: 0.9 }, VENEERED, 'clear', 'burnIn'],
  ['chip of 300 mm², plain, lacquer stays', { ...CHIP, areaMm2: 300, patterned: false }, { ...VKEPT, finishNow: 'lacquer' }, 'clear', 'veneerPatch', { bareFiller: 'finish stays' }],
  ['chip of 600 mm², clear', { ...CHIP, areaMm2: 600, acrossMm: 25 }, VENEERED, 'clear', 'veneerPatch', { bareFiller: 'shows under a clear finish', burnIn: 'too large' }],
  ['chip of 600 mm² under a moulding that goes back', { ...CHIP, areaMm2: 600, acrossMm: 25, coveredLater: true }, VENEERED, 'clear', 'bareFiller'],
  ['chip that stays in sight', { ...CHIP, areaMm2: 600, acrossMm: 25, coveredLater: false }, VENEERED, 'clear', 'veneerPatch'],
  ['tiny chip, share of the face not known', { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false, faceShare: undefined }, VENEERED, 'clear', 'bareFiller'],
  ['chip, veneer of the period at hand', { ...CHIP, periodVeneer: true }, VENEERED, 'conserve', 'veneerPatch'],
  ['chip, no period veneer, no donor', { ...CHIP, periodVeneer: false }, VENEERED, 'conserve', 'veneerPatch', { harvestedPatch: 'No hidden place' }],
  ['chip in a faded face', { ...CHIP, faded: true }, VENEERED, 'conserve', 'bleachNew>veneerPatch', { reveneer: 'patina' }],
  ['chip in a face that has not faded', { ...CHIP, faded: false }, VENEERED, 'clear', 'veneerPatch'],
  ['chip on an edge band, sawn veneer', { ...CHIP, edgeBanding: true, atEdge: true }, { ...VENEERED, veneerMm: 2.5 }, 'clear', 'sawnStrip'],
  ['chip on an edge band, thin', { ...CHIP, edgeBanding: true, atEdge: true }, VENEERED, 'clear', 'edgeStrip'],
  // A core that is not sound.
  ['chip over crumbled particle board, clear', { ...CHIP, coreSound: false, coreFault: 'crumbled' }, VBOARD, 'clear', 'hardenCore>veneerPatch', { reglueBreak: '' }],
  ['chip over crumbled particle board, paint', { ...CHIP, coreSound: false, coreFault: 'crumbled' }, { ...VBOARD, finishNow: 'paint', goal: 'paint' }, 'paint', 'hardenCore>polyesterFiller'],
  ['missing veneer over a void, clear', { ...LOSS20, coreSound: false, coreFault: 'void' }, VBOARD, 'clear', 'buildUpCore>veneerPatch'],
  ['missing veneer over a large void in solid wood', { ...LOSS20, areaMm2: 900, coreSound: false, coreFault: 'void' }, VENEERED, 'clear', 'coreBlock>veneerPatch'],
  ['missing veneer over rot, conserve', { ...LOSS20, coreSound: false, coreFault: 'rot' }, VENEERED, 'conserve', 'consolidateCore>veneerPatch'],
  ['missing veneer over rot, clear', { ...LOSS20, areaMm2: 900, coreSound: false, coreFault: 'rot' }, VENEERED, 'clear', 'coreBlock>veneerPatch'],
  ['corner of veneer and core gone', { kind: 'lostCorner', areaMm2: 300, alongMm: 24, acrossMm: 24, atEdge: true, donor: false, edgeBanding: false, pieceKept: false, faceShare: 0.01, coreSound: false, coreFault: 'corner' }, VENEERED, 'clear', 'coreCorner>veneerPatch'],
  ['chip over a sound core', { ...CHIP, coreSound: true }, VENEERED, 'clear', 'veneerPatch'],
  ['loose over most of a panel on rot, conserve', { kind: 'looseVeneer', areaMm2: 200_000, faceShare: 0.7, atEdge: true, coreSound: false, coreFault: 'rot', oldGlue: 'other' }, VENEERED, 'conserve', 'consolidateCore>liftAndRelay'],
  // Fills on the new finish, and the film over them.
  ['gouge of 120 mm², new lacquer', { ...GOUGE, patterned: true }, SOLID, 'clear', 'burnIn'],
  ['gouge 8 mm deep in lacquer that stays', { ...GOUGE, depthMm: 8 }, KEPT, 'clear', 'fillBottom>burnIn>filmOver'],
  ['chip in lacquer that stays', { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false }, { ...VKEPT, finishNow: 'lacquer' }, 'clear', 'burnIn>filmOver', { bareFiller: 'finish stays' }],
  ['chip in oil that stays', { ...CHIP, areaMm2: 40, acrossMm: 2.5, atEdge: false }, { ...VKEPT, finishNow: 'oil' }, 'clear', 'hardWax', { burnIn: 'hard film', toneIn: '' }],
  ['scratch under paint, wax in the stock', { ...SCRATCH, fibresCut: true }, PAINT, 'paint', 'bareFiller', { hardWax: 'does not hold on wax', softWax: 'does not hold on wax' }],
  ['nail hole under paint', hole(2), PAINT, 'paint', 'bareFiller', { softWax: 'does not hold on wax', colourPutty: 'does not hold on wax' }],
  // Oil and wax.
  ['scratch in oil that stays', SCRATCH, OIL_KEPT, 'clear', 'reoil', { toneIn: 'no ground', reviveFinish: 'does not melt' }],
  ['scratch in wax that stays, conserve', { ...SCRATCH, finishBroken: true }, { ...OIL_KEPT, finishNow: 'wax' }, 'conserve', 'reoil', { toneIn: 'no ground', burnIn: 'hard film' }],
  ['dull oil', FAILING, OIL_KEPT, 'clear', 'reoil', { reviveFinish: 'does not melt' }],
  ['dull oil, oil again', FAILING, { ...OIL_KEPT, goal: 'oil' }, 'clear', 'reoil'],
  ['white ring on wax', RING, { ...OIL_KEPT, finishNow: 'wax' }, 'clear', 'reoil'],
  ['dull oil, lacquer to come', FAILING, { ...OIL_KEPT, goal: 'lacquer' }, 'clear', 'renewFinish', { reoil: 'Another finish' }],
  // Tired finishes.
  ['crazed shellac, new shellac, to be refreshed', { ...FAILING, finishPlan: 'refresh' }, { ...KEPT, finishNow: 'shellac', goal: 'shellac' }, 'clear', 'reviveFinish'],
  ['flaking shellac, new shellac, to be replaced', { ...FAILING, finishPlan: 'replace' }, { ...KEPT, finishNow: 'shellac', goal: 'shellac' }, 'clear', 'renewFinish'],
  ['flaking shellac that was to stay, replaced', { ...FAILING, finishPlan: 'replace' }, SHELLAC_KEPT, 'clear', 'renewFinish'],
  // Scratches.
  ['scratch in bare wood, pressed in', SCRATCH, BARE, 'clear', 'steam', { renewFinish: 'no finish on it' }],
  ['scratch in bare thin veneer, pressed in', SCRATCH, { ...BARE, build: 'solidCore', veneerMm: 0.6 }, 'clear', 'steam', { renewFinish: 'no finish on it' }],
  ['scratch that spirits hide, lacquer stays', { ...SCRATCH, spiritsHide: true }, KEPT, 'clear', 'softWax'],
  ['scratch that spirits do not hide, lacquer stays', { ...SCRATCH, spiritsHide: false, fibresCut: true, finishBroken: true }, KEPT, 'clear', 'hardWax'],
  // Cracks that move.
  ['crack that moves as much as its gap', { ...CRACK, gapMm: 1, movesMm: 1.2 }, KEPT, 'clear', 'softWax', { hardWax: 'crushed', burnIn: 'stiff fill', sliver: 'crushed', bareFiller: '' }],
  ['crack that moves as much as its gap, new finish', { ...CRACK, gapMm: 1, movesMm: 1.2 }, SOLID, 'clear', 'leave', { sliver: 'crushed', bareFiller: 'stiff fill' }],
  ['wide crack that moves a third of its gap', { ...CRACK, gapMm: 3, movesMm: 0.2 }, SOLID, 'clear', 'sliver'],
  ['crack in a rail that carries and closes nearly', { ...CRACK, gapMm: 0.4, carriesLoad: true }, SOLID, 'clear', 'epoxyJoint', { sawdustGlue: 'does not hold', hardWax: 'carries load' }],
  ['dirty crack that closes', { ...CRACK, closesByHand: true, dirty: true }, SOLID, 'clear', 'glueSplit'],
  ['clean crack that closes', { ...CRACK, closesByHand: true, dirty: false }, SOLID, 'clear', 'glueSplit'],
  ['cracked veneer, lips loose', { ...LIPS, lipsLoose: true }, VENEERED, 'clear', 'injectAndPress'],
  ['cracked veneer, flat hairline, clear', { ...LIPS, lipsLoose: false }, VENEERED, 'clear', 'sawdustGlue'],
  ['cracked veneer, flat hairline, conserve', { ...LIPS, lipsLoose: false }, VENEERED, 'conserve', 'leave'],
  // Joints.
  ['glue line that closes, edges may be planed', { ...SEAM, mayPlane: true }, SOLID, 'clear', 'glueSplit'],
  ['glue line that gapes, edges may be planed', { ...SEAM, closesByHand: false, gapMm: 2, mayPlane: true, carriesLoad: true }, SOLID, 'clear', 'planeJoint', { sawdustGlue: 'does not hold', glueSplit: 'force' }],
  ['glue line that closes nearly, edges may not be planed', { ...SEAM, closesByHand: false, gapMm: 0.4, mayPlane: false, carriesLoad: true }, SOLID, 'clear', 'epoxyJoint', { planeJoint: 'may not be planed', sawdustGlue: 'does not hold' }],
  ['glue line that gapes, edges may not be planed, carries', { ...SEAM, closesByHand: false, gapMm: 0.8, mayPlane: false, dirty: true, carriesLoad: true }, SOLID, 'clear', 'dowelJoint', { planeJoint: 'may not be planed' }],
  ['glue line, dirty, edges may be planed', { ...SEAM, dirty: true, mayPlane: true }, SOLID, 'clear', 'glueSplit'],
  ['loose joint that a client wants shut today', { kind: 'looseJoint', oldGlue: 'other', dirty: true }, SOLID, 'clear', 'reglueJoint', { reveneer: '' }],
  // Chunks.
  ['chunk gone at a hinge, paint', { ...CHUNK, carriesLoad: true, depthMm: 20 }, PAINT, 'paint', 'dutchman', { epoxyPutty: 'under paint too' }],
  ['chunk gone, paint, this shop lets in wood', CHUNK, { ...PAINT, underPaint: 'wood' }, 'paint', 'dutchman'],
  ['chunk gone, paint, this shop fills', CHUNK, { ...PAINT, underPaint: 'fill' }, 'paint', 'epoxyPutty'],
  ['chunk gone right through, clear', { ...CHUNK, through: true }, SOLID, 'clear', 'dutchman'],
  // Holes.
  ['knot hole to be shown', hole(18, { wanted: 'feature', through: false }), SOLID, 'clear', 'epoxyFill'],
  ['knot hole to be hidden', hole(18, { wanted: 'hide' }), SOLID, 'clear', 'facePlug'],
  // Old repairs.
  ['old repair proud, clear', { kind: 'oldRepair', areaMm2: 600, atEdge: false, repairLevel: 'proud' }, SOLID, 'clear', 'levelProud>toneIn', { toneIn: 'not level' }],
  ['old repair proud, conserve', { kind: 'oldRepair', areaMm2: 600, atEdge: false, repairLevel: 'proud' }, SHELLAC_KEPT, 'conserve', 'levelProud>toneIn'],
  ['old repair proud, paint', { kind: 'oldRepair', areaMm2: 600, atEdge: false, repairLevel: 'proud' }, PAINT, 'paint', 'levelProud'],
  ['old repair sunk, small, clear', { kind: 'oldRepair', areaMm2: 50, atEdge: false, repairLevel: 'sunk' }, SOLID, 'clear', 'bareFiller', { levelProud: 'does not stand proud', toneIn: 'not level' }],
  ['old repair sunk in lacquer that stays', { kind: 'oldRepair', areaMm2: 100, atEdge: false, repairLevel: 'sunk' }, KEPT, 'clear', 'burnIn>filmOver'],
  ['old repair level and sound', { kind: 'oldRepair', areaMm2: 600, atEdge: false, repairLevel: 'level' }, SOLID, 'clear', 'toneIn', { levelProud: 'does not stand proud' }],
  // Parts that are off, drawers, feet, smells.
  ['drawer guide fallen off, whole', { kind: 'partOff', areaMm2: 3000, partWhole: true, oldGlue: 'hide' }, HIDDEN, 'clear', 'refit'],
  ['moulding fallen off, whole, conserve', { kind: 'partOff', areaMm2: 3000, partWhole: true }, SHELLAC_KEPT, 'conserve', 'refit'],
  ['stop fallen off, half of it gone', { kind: 'partOff', areaMm2: 3000, partWhole: false, patternThere: true }, HIDDEN, 'clear', 'newPart', { refit: 'missing' }],
  ['block fallen off, paint', { kind: 'partOff', areaMm2: 3000, partWhole: true }, PAINT, 'paint', 'refit'],
  ['drawer that binds', { kind: 'drawerBinds', drawerFault: 'tight' }, HIDDEN, 'clear', 'easeDrawer', { refitStop: 'not go in too far' }],
  ['drawer that drops', { kind: 'drawerBinds', drawerFault: 'worn', depthMm: 3 }, HIDDEN, 'conserve', 'dutchman'],
  ['drawer that goes in too far', { kind: 'drawerBinds', drawerFault: 'stop' }, HIDDEN, 'paint', 'refitStop'],
  ['piece that rocks on a worn foot', { kind: 'rocks', rocksBy: 'shortFoot' }, SOLID, 'conserve', 'shimFoot', { trimFeet: 'taken away', reglueJoint: 'feet are at fault' }],
  ['piece that rocks on a foot too long', { kind: 'rocks', rocksBy: 'longFoot' }, PAINT, 'paint', 'trimFeet'],
  ['piece that rocks because its frame is twisted', { kind: 'rocks', rocksBy: 'twist' }, SOLID, 'clear', 'reglueJoint'],
  ['mould inside, still damp', { kind: 'mouldSmell', smellOf: 'mould', stillDamp: true }, HIDDEN, 'clear', 'cleanMould', { leave: 'mould spreads' }],
  ['smoke inside', { kind: 'mouldSmell', smellOf: 'smoke', stillDamp: false }, HIDDEN, 'clear', 'airOut>sealInside'],
  ['smoke inside, conserve', { kind: 'mouldSmell', smellOf: 'smoke', stillDamp: false }, HIDDEN, 'conserve', 'airOut'],
  ['an old pest treatment, perhaps', { kind: 'mouldSmell', smellOf: 'pest', stillDamp: false }, HIDDEN, 'conserve', 'sealInside'],
  ['an old pest treatment, and damp', { kind: 'mouldSmell', smellOf: 'pest', stillDamp: true }, HIDDEN, 'clear', 'cleanMould>sealInside'],
  // Facts that speak alone.
  ['motif missing, no pattern', { ...MOTIF, patternThere: false }, VENEERED, 'clear', 'motifPart', { reveneer: 'bury' }],
  ['foot missing, faded, conserve', { kind: 'missingFoot', pieceKept: false, patternThere: true, faded: true }, { ...SOLID, goal: 'shellac' }, 'conserve', 'bleachNew>newPart'],
  ['white ring where the finish is broken, replaced', { ...RING, finishBroken: true, finishPlan: 'replace' }, SOLID, 'clear', 'renewFinish', { liftHaze: 'comes off' }],
  ['specks in a finish that stays', { kind: 'paintSpecks', areaMm2: 3000, inWood: false }, KEPT, 'clear', 'toneIn', { pickOut: 'stays', sandOut: 'stays' }],
];

const chainText = ({ first, method, then, despite }: RankedMethod): string =>
  `${[...first, method, ...then].join('>')}${despite.length > 0 ? '!' : ''}`;

test.each(ROWS)('common practice: %s', (_, damage, surface, school, first, setAside = {}) => {
  const { ranked, excluded } = rankMethods({ damage, surface, school });
  expect(ranked.slice(0, 4).map(chainText)).toEqual([first, ...ranked.slice(1, 4).map(chainText)]);
  for (const [method, words] of Object.entries(setAside)) {
    const because = excluded.find((e) => e.method === method)?.because.map((b) => b.text);
    expect({ method, because: because?.join(' ') }).toEqual({
      method,
      because: expect.stringContaining(words),
    });
  }
});

test('every kind of damage has its cases, over all three schools', () => {
  const met = new Set<string>(ROWS.map(([, damage]) => damage.kind));
  expect(Object.keys(DAMAGE_KINDS).filter((k) => !met.has(k))).toEqual([]);
  expect(new Set(ROWS.map(([, , , school]) => school))).toEqual(new Set(['conserve', 'clear', 'paint']));
  expect(ROWS.length).toBeGreaterThanOrEqual(180);
});

test('every method is met in a case, first, in a chain, or set aside', () => {
  const met = new Set(ROWS.flatMap(([, , , , first, aside]) => [...first.replace('!', '').split('>'), ...Object.keys(aside ?? {})])); // prettier-ignore
  expect(METHODS.map((m) => m.id).filter((id) => !met.has(id))).toEqual([]);
});

test('every answer that can be given is given in a case', () => {
  const given = new Set(ROWS.flatMap(([, damage]) => Object.entries(damage).map(([k, v]) => `${k} ${v}`)));
  const asked = QUESTIONS.flatMap((q) => q.answers.map((a) => `${q.fact} ${a.value}`));
  expect(asked.filter((a) => !given.has(a))).toEqual([]);
});
