import type { MethodId } from '../catalogue';
import type { DamageKind } from '../damage';
import type { Source } from '../sources';
import type { Facts, Predicate } from './facts';

export type Verdict = 'rulesOut' | 'against' | 'for' | 'first' | 'then';

type Spoken = {
  id: string;
  methods: readonly MethodId[];
  when: Predicate;
  text: string;
  source: Source;
};

/** Speaks for or against methods, or rules them out. */
export type Judgement = Spoken & {
  verdict: 'rulesOut' | 'against' | 'for';
  /** For and against: 1 a hint, 2 a reason, 3 a strong reason. Ruled out: 1 it looks or lasts badly, 2 nobody would, 3 it cannot be done. */
  weight: 1 | 2 | 3;
  /** What would take a ban away, said after “if”. */
  lift?: string;
  /** The fact that is not known: until it is, the method stands behind all others. */
  waits?: keyof Facts;
};

/** Puts another method before or after these, rather than banning them. */
export type Link = Spoken & {
  verdict: 'first' | 'then';
  /** The best of these that is not ruled out itself is taken. */
  put: readonly MethodId[];
  /** The damage that the further method mends, when it is not the same: the gap beside a lifted edge. */
  as?: DamageKind;
};

/** One piece of trade knowledge. */
export type Rule = Judgement | Link;
