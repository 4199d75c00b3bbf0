import { CRACK_KINDS, LOOSE_KINDS, VENEER_LOSS_KINDS, type DamageFacts, type DamageKind } from './kinds';

type Answer = { label: string; value: string | boolean };

/** Facts a person is asked for; the rest is measured from the mark. */
export type AskedFact =
  | 'woodAllPresent'
  | 'oldGlue'
  | 'glueLine'
  | 'brittle'
  | 'coreSound'
  | 'donor'
  | 'edgeBanding'
  | 'fibresCut'
  | 'closesByHand'
  | 'moving'
  | 'dirty'
  | 'screwInSplit'
  | 'carriesLoad'
  | 'finishBroken'
  | 'through'
  | 'screwAgain'
  | 'pieceKept'
  | 'patternThere'
  | 'inWood'
  | 'coreFault'
  | 'repairLevel'
  | 'lipsLoose'
  | 'mayPlane'
  | 'finishPlan'
  | 'coveredLater'
  | 'periodVeneer'
  | 'partWhole'
  | 'wanted'
  | 'spiritsHide'
  | 'patterned'
  | 'faded'
  | 'drawerFault'
  | 'rocksBy'
  | 'stillDamp'
  | 'smellOf';

export type Question = {
  fact: AskedFact;
  kinds: DamageKind[];
  ask: string;
  look: string;
  answers: Answer[];
  /** Asked only once this holds; always when not given. */
  when?: (facts: Partial<DamageFacts>) => boolean;
};

const YES_NO: Answer[] = [
  { label: 'Yes', value: true },
  { label: 'No', value: false },
];

const ask = (
  fact: AskedFact,
  kinds: DamageKind[],
  question: string,
  look: string,
  answers: Answer[] = YES_NO,
  when?: Question['when'],
): Question => ({ fact, kinds, ask: question, look, answers, ...(when ? { when } : {}) });

/** Only what decides a repair is asked, with how to look. */
export const QUESTIONS: readonly Question[] = [
  ask(
    'woodAllPresent',
    LOOSE_KINDS,
    'Is all of the veneer still there?',
    'Close the flap by hand. The edges must meet without a gap.',
  ),
  ask(
    'oldGlue',
    [...LOOSE_KINDS, 'looseJoint', 'openGlueLine', 'partOff'],
    'What is the old glue?',
    'Touch it with a damp warm rag: hide glue turns tacky within a minute and smells of it. Other glues stay hard or turn white.',
    [
      { label: 'Hide glue', value: 'hide' },
      { label: 'Another glue', value: 'other' },
    ],
  ),
  ask(
    'glueLine',
    LOOSE_KINDS,
    'How does the glue line look inside?',
    'Slide a thin knife in and draw it out: amber flakes are clean, dust is powdery, a smear is wax or oil.',
    [
      { label: 'Clean, glassy', value: 'clean' },
      { label: 'Powdery', value: 'powdery' },
      { label: 'Wax or oil', value: 'waxy' },
    ],
  ),
  ask(
    'brittle',
    LOOSE_KINDS,
    'Is the veneer brittle or curled?',
    'Lift it a few millimetres with the knife. If it creaks or stays curled, it is.',
  ),
  ask(
    'coreSound',
    [...VENEER_LOSS_KINDS, ...LOOSE_KINDS],
    'Is the core under it sound?',
    'Press with a fingernail. Rotten or swollen core gives way.',
  ),
  ask(
    'coreFault',
    [...VENEER_LOSS_KINDS, ...LOOSE_KINDS],
    'What is wrong with the core?',
    'Prod it with an awl: crumbs that hold to each other, a hole, wood that is soft and dark, or a corner that is gone.',
    [
      { label: 'It crumbles', value: 'crumbled' },
      { label: 'A hole or void', value: 'void' },
      { label: 'Rotten or eaten', value: 'rot' },
      { label: 'Its corner is gone', value: 'corner' },
    ],
    (facts) => facts.coreSound === false,
  ),
  ask(
    'donor',
    VENEER_LOSS_KINDS,
    'Can a hidden place of this piece give veneer?',
    'Look at the back, under a moulding, inside a door: the same veneer that nobody sees, which new veneer can replace.',
  ),
  ask(
    'periodVeneer',
    VENEER_LOSS_KINDS,
    'Is veneer of the same period from another piece at hand?',
    'A wreck or an offcut of the same age and cut: thickness, colour and tool marks agree.',
  ),
  ask(
    'patterned',
    [...VENEER_LOSS_KINDS, 'gouge'],
    'Is there a lively figure just there?',
    'Burr, curl, dark streaks or a busy grain hide a small fill; a plain even ground shows it.',
  ),
  ask(
    'faded',
    [...VENEER_LOSS_KINDS, 'brokenChunk', 'missingFoot', 'missingMoulding', 'lostCarving'],
    'Has the old wood faded?',
    'Look under a moulding or hardware: if it is darker there, the face has faded.',
  ),
  ask(
    'coveredLater',
    [...VENEER_LOSS_KINDS, 'gouge', 'dent', 'hole', 'oldRepair', 'brokenChunk', 'longCrack'],
    'Will a later repair or a fitting cover this place?',
    'A moulding, a lock plate, a new sheet of veneer or a cloth lies over it in the end.',
  ),
  ask(
    'edgeBanding',
    ['chippedVeneer', 'missingVeneer', 'lostCorner'],
    'Is the loss on an edge band?',
    'The narrow strip that covers the edge of a top or a door.',
  ),
  ask(
    'fibresCut',
    ['gouge', 'dent', 'scratch'],
    'Does a fingernail catch?',
    'Draw a fingernail across it. If it catches on a torn lip, fibres are cut; if it slides through the hollow, they are only crushed.',
  ),
  ask(
    'finishBroken',
    ['gouge', 'dent', 'scratch', 'whiteRing', 'shadow'],
    'Is the finish broken?',
    'Wipe with mineral spirits. Where the wood darkens at once, the finish is through.',
  ),
  ask(
    'closesByHand',
    [...CRACK_KINDS, 'crackedVeneer'],
    'Does it close by hand?',
    'Press it together with both hands. It must close without force; a gap that comes from shrinking will not.',
  ),
  ask(
    'lipsLoose',
    ['crackedVeneer'],
    'Are the lips of the crack loose?',
    'Press each side down with a fingernail. If it gives or clicks, it is loose.',
  ),
  ask(
    'mayPlane',
    ['openGlueLine'],
    'May the edges be planed?',
    'Planing costs a shaving or two of the width. A round top, an inlay or a fixed frame allows none.',
  ),
  ask(
    'moving',
    [...CRACK_KINDS, 'crackedVeneer'],
    'Does it open and close with the seasons?',
    'Ask the owner, look for a fill that has broken out, or work it out from the climate on the movement page.',
  ),
  ask(
    'dirty',
    [...CRACK_KINDS, 'looseJoint'],
    'Is there dirt, wax or an old fill in it?',
    'Look in with a light and scrape with a needle. Glue holds on clean wood only.',
  ),
  ask(
    'screwInSplit',
    ['endSplit'],
    'Is there a screw in the split?',
    'The screw that split the wood can hold it open while the glue runs in.',
  ),
  ask(
    'carriesLoad',
    ['hole', 'brokenChunk', 'longCrack', 'endSplit', 'openGlueLine', 'lostCorner'],
    'Does it carry load?',
    'A leg, a rail, a seat, a hinge or a lock pulls on it in use.',
  ),
  ask(
    'through',
    ['hole', 'brokenChunk'],
    'Does it go right through?',
    'Look from the other side, or feel with a wire.',
  ),
  ask(
    'screwAgain',
    ['hole'],
    'Will a screw sit there again?',
    'A hinge, a handle or a lock goes back to the same place.',
  ),
  ask(
    'pieceKept',
    ['brokenChunk', 'lostCarving', 'lostCorner', 'missingMoulding', 'missingFoot'],
    'Is the broken piece still there?',
    'Look in drawers and under the piece, and ask the owner. Try it in place: it must fit without a gap.',
  ),
  ask(
    'patternThere',
    ['lostCarving', 'missingMoulding', 'missingFoot', 'missingMotif', 'wornRunner', 'partOff'],
    'Is there a good one to copy?',
    'The other foot, the other side, the rest of the moulding.',
  ),
  ask(
    'spiritsHide',
    ['scratch'],
    'Does a wipe with mineral spirits hide it?',
    'Wipe, look, and draw the fingernail across again while it is wet. What vanishes lies in the finish; what stays and still catches is in the wood.',
  ),
  ask(
    'repairLevel',
    ['oldRepair'],
    'How does the old repair lie?',
    'Lay a rule across: it rocks on what stands proud, and light comes under it where it has sunk.',
    [
      { label: 'It stands proud', value: 'proud' },
      { label: 'It has sunk', value: 'sunk' },
      { label: 'Level and sound', value: 'level' },
    ],
  ),
  ask(
    'finishPlan',
    ['failingFinish', 'scratch', 'whiteRing'],
    'Refresh the finish or replace it?',
    'A crazed or dull film that still holds can be refreshed. One that flakes, sticks or has gone cannot.',
    [
      { label: 'Refresh it', value: 'refresh' },
      { label: 'Replace it', value: 'replace' },
    ],
  ),
  ask(
    'wanted',
    ['hole'],
    'Hide it, or show it?',
    'A knot or an old hole may be shown as part of the wood, filled darker than its ground.',
    [
      { label: 'Hide it', value: 'hide' },
      { label: 'Show it', value: 'feature' },
    ],
  ),
  ask(
    'partWhole',
    ['partOff'],
    'Is the part whole?',
    'Put it in its place dry. It must sit without a gap and nothing of it may be missing.',
  ),
  ask(
    'drawerFault',
    ['drawerBinds'],
    'What does the drawer do?',
    'Pull it half out, press it up and down and to both sides, and look for shiny or worn tracks.',
    [
      { label: 'It is tight all the way', value: 'tight' },
      { label: 'It drops or tips', value: 'worn' },
      { label: 'It goes in too far', value: 'stop' },
    ],
  ),
  ask(
    'rocksBy',
    ['rocks'],
    'Why does it rock?',
    'Stand it on a surface known to be flat, and slide card under each foot. Compare the diagonals of the frame.',
    [
      { label: 'One foot is short or worn', value: 'shortFoot' },
      { label: 'One foot is too long', value: 'longFoot' },
      { label: 'The frame is twisted', value: 'twist' },
    ],
  ),
  ask(
    'stillDamp',
    ['mouldSmell'],
    'Is it still damp?',
    'A moisture meter over one part in seven, or wood that feels cold and swollen, is damp.',
  ),
  ask(
    'smellOf',
    ['mouldSmell'],
    'What is it?',
    'Fur or grey bloom is mould. Smoke and scent sit in the wood. Bore dust, a chemical smell or a white bloom may be an old pest treatment.',
    [
      { label: 'Mould', value: 'mould' },
      { label: 'Smoke or another smell', value: 'smoke' },
      { label: 'An old pest treatment, perhaps', value: 'pest' },
    ],
  ),
  ask(
    'inWood',
    ['blackMark', 'shadow', 'paintSpecks'],
    'Is it in the wood itself?',
    'Scrape a pinhead of finish off at the rim. If the mark goes with it, it was only in the finish.',
  ),
];

/** What is asked of a kind of damage, given what is known already. */
export const questionsFor = (kind: DamageKind, known: Partial<DamageFacts> = {}): Question[] =>
  QUESTIONS.filter((q) => q.kinds.includes(kind) && (q.when?.(known) ?? true));

export const isAnswered = (facts: DamageFacts, question: Question): boolean =>
  facts[question.fact] !== undefined;

/** Lengths a person is asked for, by kind. */
export type AskedLength = 'openingMm' | 'depthMm';
export const LENGTHS: readonly { fact: AskedLength; kinds: DamageKind[]; ask: string; look: string }[] = [
  {
    fact: 'openingMm',
    kinds: ['liftedEdge', 'looseVeneer'],
    ask: 'Opening at the mouth',
    look: 'How far the edge stands off, lifted by hand without force.',
  },
  {
    fact: 'depthMm',
    kinds: [
      'gouge',
      'dent',
      'hole',
      'brokenChunk',
      'endSplit',
      'longCrack',
      'oldRepair',
      'chippedVeneer',
      'missingVeneer',
      'lostCorner',
    ],
    ask: 'Depth',
    look: 'Lay a rule across and measure down with the tail of a caliper or a matchstick.',
  },
  {
    fact: 'depthMm',
    kinds: ['wornRunner', 'drawerBinds'],
    ask: 'Worn hollow by',
    look: 'Lay a rule along the unworn part and measure down to the deepest of the track.',
  },
  {
    fact: 'openingMm',
    kinds: ['rocks'],
    ask: 'Gap under the foot',
    look: 'On a surface known to be flat, slide card under the foot until nothing rocks, and measure the pack.',
  },
];

export const lengthsFor = (kind: DamageKind): (typeof LENGTHS)[number][] =>
  LENGTHS.filter((l) => l.kinds.includes(kind));

/** No board in furniture is thicker; a depth beyond it is a misread rule. mm. */
export const MOST_DEPTH_MM = 200;

/**
 * What to say of a depth: nothing when it can be, a question when it is deeper than the board.
 *
 * @param boardMm thickness of the board, when it is known
 * @throws RangeError below zero and beyond {@link MOST_DEPTH_MM}
 */
export function depthDoubt(depthMm: number, boardMm: number | undefined): string | undefined {
  if (!Number.isFinite(depthMm) || depthMm < 0 || depthMm > MOST_DEPTH_MM) {
    throw new RangeError(`A depth of ${depthMm} mm cannot be; it lies between 0 mm and ${MOST_DEPTH_MM} mm.`);
  }
  return boardMm !== undefined && depthMm >= boardMm
    ? `The board is ${boardMm} mm thick and the depth is ${depthMm} mm. Does it go right through?`
    : undefined;
}
