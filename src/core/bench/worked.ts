import type { AdhesiveId } from '../adhesive';
import type { Step } from '../catalogue';

/** A step with what it holds, and how its minutes are learned. */
export type WorkedStep = Step & {
  needs: Record<string, number>;
  glue?: AdhesiveId;
  /** The kind of work that the log learns the minutes of. */
  learns?: string;
  /** How far a hand may be from its minutes, where they follow from the size of the place. */
  range?: { leastMin: number; mostMin: number };
  /** It waits for what the step before it waits for, not for that step. */
  beside?: true;
};

/** A step that holds nothing. */
export const plain = (s: Step, learns?: string): WorkedStep => ({
  ...s,
  needs: {},
  ...(learns ? { learns } : {}),
});
