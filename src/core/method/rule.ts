import type { Source } from '../sources';
import type { Predicate } from './facts';
import type { MethodId } from './methods';

export type Verdict = 'rulesOut' | 'against' | 'for';

/** One piece of trade knowledge: when it holds, it speaks for or against methods, or rules them out. */
export type Rule = {
  id: string;
  methods: readonly MethodId[];
  when: Predicate;
  verdict: Verdict;
  /** 1 a hint, 2 a reason, 3 a strong reason. A rule that rules out needs none. */
  weight: 1 | 2 | 3;
  text: string;
  source: Source;
};
