import type { AdhesiveId } from '../adhesive';
import type { MethodId, Step } from '../catalogue';

/** A step with what it holds, and how its minutes are learned. */
export type WorkedStep = Step & {
  needs: Record<string, number>;
  /** What it says of this place alone: its sizes, its clamps, where they stand. */
  own?: string;
  /** How much is made up for it, ml. */
  ml?: number;
  /** It is held, or waits until what held it lets go: done in rounds where there are several alike. */
  held?: true;
  glue?: AdhesiveId;
  /** The link of the chain that it belongs to. */
  of?: MethodId;
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
