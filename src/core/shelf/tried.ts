import type { Lab } from '../colour';
import { SEEN } from '../pigment';
import { memory, sourced } from '../sources';

/** What is tried before, and while, a place is coloured. */
export const TRIED = {
  wipe: {
    label: 'Wiped with spirits',
    ask: 'Wipe the place and what is round it with spirits. How does it look wet?',
  },
  coat: { label: 'A coat is on', ask: 'When the coat is dry, how does it look beside the old wood?' },
  board: { label: 'A test board', ask: 'How does the board look beside the old wood?' },
} as const;
export type TriedWhat = keyof typeof TRIED;

/** How it came out. `vanished`: nothing is left to colour. */
export const OUTCOMES = {
  vanished: { label: 'It vanishes' },
  right: { label: 'Right' },
  light: { label: 'Too light' },
  dark: { label: 'Too dark' },
  green: { label: 'Too green' },
  red: { label: 'Too red' },
  yellow: { label: 'Too yellow' },
  grey: { label: 'Too grey' },
  measured: { label: 'By a photo' },
} as const;
export type Outcome = keyof typeof OUTCOMES;

/** Which way the colour then lies from the goal, as a step of length one in CIELAB. */
const TOWARD: Partial<Record<Outcome, Lab>> = {
  light: [1, 0, 0],
  dark: [-1, 0, 0],
  green: [0, -1, 0],
  red: [0, 1, 0],
  yellow: [0, 0, 1],
  grey: [0, 0, -1],
};

/** What may be said of each. */
export const OUTCOMES_OF: Record<TriedWhat, readonly Outcome[]> = {
  wipe: ['vanished', 'light', 'dark', 'green', 'red', 'yellow', 'grey'],
  coat: ['right', 'light', 'dark', 'green', 'red', 'yellow', 'grey'],
  board: ['right', 'light', 'dark', 'green', 'red', 'yellow', 'grey'],
};

export type Tried = {
  at: string;
  what: TriedWhat;
  outcome: Outcome;
  note: string;
  /** The colour it has then: measured by a photo, or thought from what was said. */
  lab?: Lab;
  /** Whether a clear finish was on, or it was wet, so that it is seen as it will be. */
  finished?: boolean;
};

/** What a person calls “too red” is this far off: more than is seen from standing height. ΔE00, taken as CIELAB. */
const SAID = sourced(
  SEEN.standing.value + 1,
  memory('an eye names a fault once it is seen from a step back'),
);

const step = (lab: Lab, [l, a, b]: Lab, by: number): Lab => [
  Math.min(100, Math.max(0, lab[0] + by * l)),
  lab[1] + by * a,
  lab[2] + by * b,
];

/**
 * The colour a place is thought to have when it is said to be off the goal one way. Only of a coat: bare wood that is wiped may be far off,
 * and its photo knows better; a board is not the place.
 *
 * @returns nothing for what says nothing of the place's colour
 */
export function saidColour(goal: Lab, what: TriedWhat, outcome: Outcome): Lab | undefined {
  const toward = TOWARD[outcome];
  return what === 'coat' && toward ? step(goal, toward, SAID.value) : undefined;
}

/** What coats aim at after the last board was looked at: as far to the other side of the goal as the board came out off it. */
export function steeredGoal(goal: Lab, tried: readonly Tried[]): Lab {
  const last = [...tried].reverse().find((t) => t.what === 'board');
  const toward = last && TOWARD[last.outcome];
  return toward ? step(goal, toward, -SAID.value) : goal;
}

export type Standing =
  /** Nothing was tried: the plan begins at bare wood. */
  | { at: 'bare' }
  /** From here on the rest is planned. */
  | { at: 'colour'; lab: Lab; finished: boolean }
  /** No colour goes on any more. */
  | { at: 'done'; why: string };

/** Where the colouring stands after what was tried: the last word on its colour counts. A board is not the place itself. */
export function standingOf(tried: readonly Tried[]): Standing {
  const last = [...tried]
    .reverse()
    .find((t) => t.what !== 'board' && (t.lab || t.outcome === 'vanished' || t.outcome === 'right'));
  if (!last) return { at: 'bare' };
  if (last.outcome === 'vanished')
    return {
      at: 'done',
      why: 'The difference vanished under spirits: only the clear finish goes on, and no colour.',
    };
  if (last.outcome === 'right') return { at: 'done', why: 'It looks right: no more colour goes on.' };
  return last.lab ? { at: 'colour', lab: last.lab, finished: last.finished ?? false } : { at: 'bare' };
}

/** “A coat is on: too green.” */
export const triedWords = ({ what, outcome, note }: Tried): string =>
  `${TRIED[what].label}: ${OUTCOMES[outcome].label.toLowerCase()}.${note ? ` ${note}` : ''}`;
