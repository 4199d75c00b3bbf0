import type { DamageFacts } from '../damage';
import type { Sourced } from '../sources';
import type { Build, FinishGoal, FinishNow, School } from '../terms';

/** What is known of the surface that carries the damage. */
export type SurfaceFacts = {
  build?: Build;
  show?: boolean;
  finishNow?: FinishNow;
  goal?: FinishGoal;
  veneerMm?: number;
  /** What this shop does where a chunk has broken out under paint and carries no load. */
  underPaint?: 'wood' | 'fill';
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
/** Holds, or not, or is not known; with the limits at which it turns, so that their sources can be told. */
export type Predicate = ((facts: Facts) => Truth) & { limits?: readonly Sourced[] };

const withLimits = (p: (facts: Facts) => Truth, limits: readonly Sourced[]): Predicate =>
  limits.length > 0 ? Object.assign(p, { limits }) : p;
const limitsOf = (ps: readonly Predicate[]): Sourced[] => [...new Set(ps.flatMap((p) => p.limits ?? []))];

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

export const over = (fact: NumberFact, limit: Sourced): Predicate =>
  withLimits(
    (facts) => {
      const value = facts[fact];
      return value === undefined ? undefined : value > limit.value;
    },
    [limit],
  );

/** A crack that opens and closes by so large a part of its own gap that the fill in it is crushed or torn. */
export const strains = (share: Sourced): Predicate =>
  withLimits(
    ({ movesMm, gapMm }) =>
      movesMm === undefined || gapMm === undefined ? undefined : movesMm > share.value * gapMm,
    [share],
  );

/** Known to be so. What is seldom asked counts as not so until somebody says it. */
export const surely =
  (fact: TextFact, value: string | boolean = true): Predicate =>
  (facts) =>
    facts[fact] === value;

/** Not answered, or not measured. */
export const unknown =
  (fact: keyof Facts): Predicate =>
  (facts) =>
    facts[fact] === undefined;

/** Three-valued logic: an unknown part leaves the whole unknown unless another part decides it. */
export const not = (p: Predicate): Predicate =>
  withLimits(
    (facts) => {
      const t = p(facts);
      return t === undefined ? undefined : !t;
    },
    limitsOf([p]),
  );

export const all = (...ps: Predicate[]): Predicate =>
  withLimits((facts) => {
    let truth: Truth = true;
    for (const p of ps) {
      const t = p(facts);
      if (t === false) return false;
      if (t === undefined) truth = undefined;
    }
    return truth;
  }, limitsOf(ps));

export const any = (...ps: Predicate[]): Predicate =>
  withLimits((facts) => {
    let truth: Truth = false;
    for (const p of ps) {
      const t = p(facts);
      if (t === true) return true;
      if (t === undefined) truth = undefined;
    }
    return truth;
  }, limitsOf(ps));

export const always: Predicate = () => true;
