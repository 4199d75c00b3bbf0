import { DAMAGE_KINDS, type DamageFacts } from '../damage';
import type { School, SurfaceFacts } from './facts';
import type { MethodId } from './methods';
import { rankMethods } from './rank';

/** Every row is common practice: what a careful refinisher of that school would do first, and would not do at all. */
type Row = [
  what: string,
  damage: DamageFacts,
  face: SurfaceFacts,
  school: School,
  first: MethodId,
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

// Lifted edges and chips have a table of their own beside this one.
// prettier-ignore
const ROWS: Row[] = [
  // The cases that started it.
  ['hole in particle board, clear finish', hole(10), BOARD, 'clear', 'epoxyCap', { facePlug: 'crumble', dowelPlug: 'end grain', dutchman: 'crumble' }],
  ['dent, bare wood', DENT, BARE, 'clear', 'steam'],
  ['the same dent, finish stays', DENT, KEPT, 'clear', 'burnIn', { steam: 'The finish stays' }],
  ['the same dent, oil stays', DENT, OIL_KEPT, 'clear', 'hardWax', { steam: 'The finish stays', burnIn: 'hard film' }],
  ['gouge in lacquer that stays', GOUGE, KEPT, 'clear', 'burnIn', { bareFiller: 'finish stays', steam: 'cut' }],
  ['the same gouge in oil', GOUGE, OIL_KEPT, 'clear', 'hardWax', { burnIn: 'hard film' }],
  ['20 mm loss on a show face, clear', LOSS20, VENEERED, 'clear', 'veneerPatch', { bareFiller: 'shows under a clear finish', polyesterFiller: 'only paint', epoxyPutty: 'opaque' }],
  ['20 mm loss on a show face, paint', LOSS20, { ...VENEERED, finishNow: 'paint', goal: 'paint' }, 'paint', 'polyesterFiller'],
  ['10 mm hole, clear show face', hole(10), SOLID, 'clear', 'facePlug', { dowelPlug: 'end grain', uvResin: 'wide place' }],
  ['missing motif, conserve', MOTIF, VENEERED, 'conserve', 'motifPart', { newMotif: 'not the whole replaced', reveneer: '' }],
  // Dents.
  ['dent, finish comes off', DENT, SOLID, 'clear', 'steam', { burnIn: 'comes off', hardWax: 'Nothing bonds' }],
  ['dent, finish comes off, conserve', DENT, { ...SOLID, goal: 'shellac' }, 'conserve', 'steam'],
  ['dent, paint', DENT, PAINT, 'paint', 'steam', { burnIn: '' }],
  ['dent whose fibres are cut, clear', { ...DENT, fibresCut: true, areaMm2: 50 }, SOLID, 'clear', 'bareFiller', { steam: 'cut' }],
  ['dent in a finish that stays, conserve', { ...DENT, finishBroken: false }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['small dent in veneer on particle board', { ...DENT, areaMm2: 50 }, BOARD, 'clear', 'bareFiller', { steam: 'swells the board' }],
  // Gouges.
  ['gouge in shellac that stays', GOUGE, SHELLAC_KEPT, 'clear', 'burnIn'],
  ['gouge in a water-based coat that stays', GOUGE, { ...KEPT, finishNow: 'waterborne' }, 'clear', 'burnIn'],
  ['small gouge, finish comes off', { ...GOUGE, areaMm2: 50 }, SOLID, 'clear', 'bareFiller', { burnIn: '', hardWax: '' }],
  ['large gouge, finish comes off', BIG_GOUGE, SOLID, 'clear', 'dutchman', { bareFiller: 'shows', burnIn: '' }],
  ['large gouge, paint', BIG_GOUGE, PAINT, 'paint', 'polyesterFiller'],
  ['large gouge, conserve', BIG_GOUGE, { ...SOLID, goal: 'shellac' }, 'conserve', 'dutchman', { epoxyFill: 'undone' }],
  ['gouge, hidden face', { ...GOUGE, areaMm2: 300 }, HIDDEN, 'clear', 'bareFiller'],
  ['gouge, wax only', GOUGE, { ...KEPT, finishNow: 'wax' }, 'clear', 'hardWax', { burnIn: 'hard film' }],
  // Scratches.
  ['scratch in a finish that stays', SCRATCH, KEPT, 'clear', 'softWax', { renewFinish: 'is to stay' }],
  ['scratch in shellac that stays', SCRATCH, SHELLAC_KEPT, 'clear', 'reviveFinish'],
  ['scratch, finish comes off', SCRATCH, SOLID, 'clear', 'renewFinish'],
  ['deep scratch in lacquer that stays', { ...SCRATCH, fibresCut: true, finishBroken: true }, KEPT, 'clear', 'hardWax'],
  ['scratch through the colour, finish stays', { ...SCRATCH, finishBroken: true }, KEPT, 'clear', 'toneIn'],
  ['scratch, conserve', SCRATCH, SHELLAC_KEPT, 'conserve', 'leave'],
  ['scratch, paint', SCRATCH, PAINT, 'paint', 'bareFiller'],
  // Holes.
  ['nail hole, finish stays', hole(2), KEPT, 'clear', 'burnIn', { dowelPlug: 'end grain' }],
  ['nail hole, oil stays', hole(2), OIL_KEPT, 'clear', 'colourPutty'],
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
  ['shrinkage crack, conserve', CRACK, SHELLAC_KEPT, 'conserve', 'sliver', { glueSplit: 'force', epoxyFill: '' }],
  ['old stable crack, conserve', { ...CRACK, moving: false, gapMm: 0.5 }, SHELLAC_KEPT, 'conserve', 'leave'],
  ['moving crack in a finish that stays', { ...CRACK, moving: true, gapMm: 0.5 }, KEPT, 'clear', 'hardWax', { burnIn: 'stiff fill', bareFiller: '' }],
  ['moving crack, paint', { ...CRACK, movesMm: 1.4 }, PAINT, 'paint', 'sliver', { bareFiller: 'stiff fill' }],
  ['still crack, paint', { ...CRACK, moving: false, movesMm: 0.1, gapMm: 1 }, PAINT, 'paint', 'bareFiller'],
  ['crack that closes by hand', { ...CRACK, closesByHand: true }, SOLID, 'clear', 'glueSplit'],
  ['hairline, bare, does not close', { ...CRACK, gapMm: 0.3, moving: false }, BARE, 'clear', 'sawdustGlue'],
  ['open glue line that closes', SEAM, SOLID, 'clear', 'glueSplit', { leave: 'active' }],
  ['open glue line of a table top that carries', { ...SEAM, carriesLoad: true }, SOLID, 'clear', 'dowelJoint', { bareFiller: '' }],
  ['open glue line that gapes', { ...SEAM, closesByHand: false, gapMm: 2 }, SOLID, 'clear', 'sliver', { glueSplit: 'force', dowelJoint: 'force' }],
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
  ['chunk gone from a leg that carries, paint', { ...CHUNK, carriesLoad: true }, PAINT, 'paint', 'epoxyPutty', { bareFiller: 'carries load', polyesterFiller: 'carries load', leave: 'breaks further' }],
  ['chunk gone, particle board, clear', CHUNK, BOARD, 'clear', 'leave', { dutchman: 'crumble', epoxyFill: 'never looks like wood', epoxyPutty: 'opaque' }],
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
  ['runner worn', { kind: 'wornRunner', patternThere: true, depthMm: 6 }, HIDDEN, 'clear', 'newPart', { leave: 'active' }],
  ['runner worn, conserve', { kind: 'wornRunner', patternThere: true, depthMm: 3 }, { ...SHELLAC_KEPT, show: false }, 'conserve', 'dutchman'],
  // Surfaces.
  ['black mark, finish comes off', BLACK, SOLID, 'clear', 'oxalicAcid', { sealOver: 'needs paint' }],
  ['black mark under a finish that stays', BLACK, KEPT, 'clear', 'toneIn', { oxalicAcid: 'bare wood only', woodBleach: 'bare wood only' }],
  ['black mark only in the finish', { ...BLACK, inWood: false }, SOLID, 'clear', 'renewFinish', { oxalicAcid: 'in the finish' }],
  ['black mark, conserve', BLACK, SHELLAC_KEPT, 'conserve', 'leave', { woodBleach: 'patina' }],
  ['black mark, paint', BLACK, PAINT, 'paint', 'sealOver', { toneIn: 'hides' }],
  ['white ring', RING, KEPT, 'clear', 'liftHaze'],
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
];

test.each(ROWS)('common practice: %s', (_, damage, surface, school, first, setAside = {}) => {
  const { ranked, excluded } = rankMethods({ damage, surface, school });
  expect(ranked.slice(0, 3).map((r) => `${r.method} ${r.score}`)[0]).toBe(`${first} ${ranked.find((r) => r.method === first)?.score}`); // prettier-ignore
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
  expect(Object.keys(DAMAGE_KINDS).filter((k) => !met.has(k))).toEqual(['liftedEdge', 'chippedVeneer']);
  expect(new Set(ROWS.map(([, , , school]) => school))).toEqual(new Set(['conserve', 'clear', 'paint']));
  expect(ROWS.length).toBeGreaterThanOrEqual(80);
});
