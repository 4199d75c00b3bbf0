import type { DamageFacts } from '../damage';

export type School = 'conserve' | 'clear' | 'paint';
export type FinishGoal = 'keep' | 'shellac' | 'lacquer' | 'varnish' | 'oil' | 'paint';
export type FinishNow = 'bare' | 'shellac' | 'lacquer' | 'waterborne' | 'varnish' | 'oil' | 'wax' | 'paint';
export type Build = 'solid' | 'plywood' | 'solidCore' | 'particleBoard' | 'mdf';

export const SCHOOLS: Record<School, { label: string; aim: string }> = {
  conserve: { label: 'Conserve', aim: 'Keep age, patina and colour; put back only what is missing.' },
  clear: { label: 'Clear finish', aim: 'A sound, even, transparent finish.' },
  paint: { label: 'Paint', aim: 'A sound, smooth, opaque surface, fast.' },
};

export const FINISH_GOALS: Record<FinishGoal, string> = {
  keep: 'Keep the finish that is on it',
  shellac: 'New shellac',
  lacquer: 'New lacquer',
  varnish: 'New varnish',
  oil: 'New hard-wax oil',
  paint: 'Paint',
};

export const FINISHES_NOW: Record<FinishNow, string> = {
  bare: 'None, bare wood',
  shellac: 'Shellac',
  lacquer: 'Lacquer',
  waterborne: 'Water-based clear coat',
  varnish: 'Varnish or polyurethane',
  oil: 'Oil',
  wax: 'Wax only',
  paint: 'Paint',
};

export const BUILDS: Record<Build, string> = {
  solidCore: 'Veneer on solid wood',
  plywood: 'Veneer on plywood',
  particleBoard: 'Veneer on particle board',
  mdf: 'Veneer on MDF',
  solid: 'Solid wood, no veneer',
};

/** What is known of the surface that carries the damage. */
export type SurfaceFacts = {
  build?: Build;
  show?: boolean;
  finishNow?: FinishNow;
  goal?: FinishGoal;
  veneerMm?: number;
};

export type RepairCase = { damage: DamageFacts; surface: SurfaceFacts; school: School };

/** Everything a rule may look at, side by side. */
export type Facts = DamageFacts & SurfaceFacts & { school: School };

export const factsOf = ({ damage, surface, school }: RepairCase): Facts => ({
  ...surface,
  ...damage,
  school,
});

/** Yes, no, or not known. */
export type Truth = boolean | undefined;
export type Predicate = (facts: Facts) => Truth;

type TextFact = {
  [K in keyof Facts]-?: NonNullable<Facts[K]> extends number ? never : K;
}[keyof Facts];
type NumberFact = {
  [K in keyof Facts]-?: NonNullable<Facts[K]> extends number ? K : never;
}[keyof Facts];

export const is =
  <K extends TextFact>(fact: K, ...values: NonNullable<Facts[K]>[]): Predicate =>
  (facts) => {
    const value = facts[fact];
    return value === undefined ? undefined : values.some((v) => v === value);
  };

export const yes = (fact: TextFact): Predicate => {
  return (facts) => (facts[fact] === undefined ? undefined : facts[fact] === true);
};

export const over =
  (fact: NumberFact, limit: number): Predicate =>
  (facts) => {
    const value = facts[fact];
    return value === undefined ? undefined : value > limit;
  };

/** Three-valued logic: an unknown part leaves the whole unknown unless another part decides it. */
export const not =
  (p: Predicate): Predicate =>
  (facts) => {
    const t = p(facts);
    return t === undefined ? undefined : !t;
  };

export const all =
  (...ps: Predicate[]): Predicate =>
  (facts) => {
    const truths = ps.map((p) => p(facts));
    if (truths.includes(false)) return false;
    return truths.includes(undefined) ? undefined : true;
  };

export const any =
  (...ps: Predicate[]): Predicate =>
  (facts) => {
    const truths = ps.map((p) => p(facts));
    if (truths.includes(true)) return true;
    return truths.includes(undefined) ? undefined : false;
  };

export const always: Predicate = () => true;
