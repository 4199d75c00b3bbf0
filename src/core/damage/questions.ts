import type { DamageFacts, DamageKind } from './kinds';

type Answer = { label: string; value: string | boolean };

/** Facts a person is asked for; the rest is measured from the outline. */
export type AskedFact =
  'woodAllPresent' | 'oldGlue' | 'glueLine' | 'brittle' | 'coreSound' | 'donor' | 'edgeBanding';

export type Question = { fact: AskedFact; kinds: DamageKind[]; ask: string; look: string; answers: Answer[] };

const YES_NO: Answer[] = [
  { label: 'Yes', value: true },
  { label: 'No', value: false },
];

/** Only what decides a repair is asked, with how to look. */
export const QUESTIONS: readonly Question[] = [
  {
    fact: 'woodAllPresent',
    kinds: ['liftedEdge'],
    ask: 'Is all of the veneer still there?',
    look: 'Close the flap by hand. The edges must meet without a gap.',
    answers: YES_NO,
  },
  {
    fact: 'oldGlue',
    kinds: ['liftedEdge'],
    ask: 'What is the old glue?',
    look: 'Touch it with a damp warm rag: hide glue turns tacky within a minute and smells of it. Other glues stay hard or turn white.',
    answers: [
      { label: 'Hide glue', value: 'hide' },
      { label: 'Another glue', value: 'other' },
    ],
  },
  {
    fact: 'glueLine',
    kinds: ['liftedEdge'],
    ask: 'How does the glue line look inside?',
    look: 'Slide a thin knife in and draw it out: amber flakes are clean, dust is powdery, a smear is wax or oil.',
    answers: [
      { label: 'Clean, glassy', value: 'clean' },
      { label: 'Powdery', value: 'powdery' },
      { label: 'Wax or oil', value: 'waxy' },
    ],
  },
  {
    fact: 'brittle',
    kinds: ['liftedEdge'],
    ask: 'Is the veneer brittle or curled?',
    look: 'Lift it a few millimetres with the knife. If it creaks or stays curled, it is.',
    answers: YES_NO,
  },
  {
    fact: 'coreSound',
    kinds: ['missingVeneer', 'liftedEdge'],
    ask: 'Is the core under it sound?',
    look: 'Press with a fingernail. Rotten or swollen core gives way.',
    answers: YES_NO,
  },
  {
    fact: 'donor',
    kinds: ['missingVeneer'],
    ask: 'Can a hidden place of this piece give veneer?',
    look: 'Look at the back, under a moulding, inside a door: the same veneer that nobody sees, which new veneer can replace.',
    answers: YES_NO,
  },
  {
    fact: 'edgeBanding',
    kinds: ['missingVeneer'],
    ask: 'Is the loss on an edge band?',
    look: 'The narrow strip that covers the edge of a top or a door.',
    answers: YES_NO,
  },
];

export const questionsFor = (kind: DamageKind): Question[] => QUESTIONS.filter((q) => q.kinds.includes(kind));

export const isAnswered = (facts: DamageFacts, question: Question): boolean =>
  facts[question.fact] !== undefined;
