import { deltaE00, type Lab } from '../colour';
import { labOf, mixtureOf, partOf, wanted, type Colourant } from '../pigment';

/** A trial is thought of as so many parts, to which one more is added. */
const TRIAL_PARTS = 6;

export type NextDrop = {
  /** ΔE00 of the trial, and what it wants to be: “less red”. */
  deltaE00: number;
  wants: string[];
  /** The colour to add, and what comes of it; nothing where none of them makes it better. */
  add?: { id: string; lab: Lab; deltaE00: number };
};

/** What to add to a trial that was looked at beside its goal. */
export function nextDrop(trial: Lab, goal: Lab, colourants: readonly Colourant[]): NextDrop {
  const off = deltaE00(trial, goal);
  const base = { part: partOf({ lab: trial }), parts: TRIAL_PARTS };
  const added = colourants
    .map((c) => {
      const lab = labOf(mixtureOf([base, { part: partOf(c), parts: 1 }]));
      return { id: c.id, lab, deltaE00: deltaE00(lab, goal) };
    })
    .sort((a, b) => a.deltaE00 - b.deltaE00)[0];
  return {
    deltaE00: off,
    wants: wanted(trial, goal),
    ...(added && added.deltaE00 < off ? { add: added } : {}),
  };
}

/** What to do about a trial. @param nameOf name of a product */
export function trialWords({ wants, add }: NextDrop, nameOf: (id: string) => string): string {
  if (wants.length === 0) return 'It is as near as can be told. Use it.';
  const next = add
    ? `To ${TRIAL_PARTS} parts of it bring in 1 part ${nameOf(add.id)}.`
    : 'None of your colours brings it nearer: begin again from a lighter one.';
  return `It wants to be ${wants.join(' and ')}. ${next}`;
}
