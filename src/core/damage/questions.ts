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
  | 'inWood';

export type Question = { fact: AskedFact; kinds: DamageKind[]; ask: string; look: string; answers: Answer[] };

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
): Question => ({ fact, kinds, ask: question, look, answers });

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
    [...LOOSE_KINDS, 'looseJoint', 'openGlueLine'],
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
    'donor',
    VENEER_LOSS_KINDS,
    'Can a hidden place of this piece give veneer?',
    'Look at the back, under a moulding, inside a door: the same veneer that nobody sees, which new veneer can replace.',
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
    ['lostCarving', 'missingMoulding', 'missingFoot', 'missingMotif', 'wornRunner'],
    'Is there a good one to copy?',
    'The other foot, the other side, the rest of the moulding.',
  ),
  ask(
    'inWood',
    ['blackMark', 'shadow', 'paintSpecks'],
    'Is it in the wood itself?',
    'Scrape a pinhead of finish off at the rim. If the mark goes with it, it was only in the finish.',
  ),
];

export const questionsFor = (kind: DamageKind): Question[] => QUESTIONS.filter((q) => q.kinds.includes(kind));

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
    kinds: ['gouge', 'dent', 'hole', 'brokenChunk', 'wornRunner', 'endSplit', 'longCrack'],
    ask: 'Depth',
    look: 'Lay a rule across and measure down with the tail of a caliper or a matchstick.',
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
