import type { MethodId, PhaseId } from '../catalogue';
import type { CautionId } from '../safety';
import type { Spent } from './bySize';
import type { Coat } from './passes';

/** A step of a piece as the bench has it. */
export type BenchTask = {
  id: string;
  phase: PhaseId;
  title: string;
  detail: string;
  attendedMin: number;
  /** How far it varies: as the log shows it, or as the book has it. */
  attendedRange?: { leastMin: number; mostMin: number; learned?: true };
  /** What is learned from it when it is ticked off: the kind of work, and the book's minutes. */
  learns?: { step: string; bookMin: number };
  unattendedMin: number;
  after: string[];
  needs: Record<string, number>;
  attendedNeeds: Record<string, number>;
  cautions: CautionId[];
  /** Where its minutes come from. */
  from: string;
  /** Faces it is done to; none where it is done to the whole piece. */
  faces?: string[];
  /** The part that is finished apart, where it belongs to one. */
  part?: string;
  /** Damages that it is done for: one, or several that are alike and worked together; none for a step of the whole piece. */
  places?: string[];
  /** The link of the repair's chain that it belongs to. */
  method?: MethodId;
  /** The method that was chosen for its places. */
  main?: MethodId;
  /** What it uses up, beside glue. */
  spends?: Spent[];
  /** Which coat of which finish it is. */
  coat?: Coat;
  /** It sands whole faces. */
  sands?: true;
  /** The name under which an earlier plan had it: what was ticked off then stays done. */
  aka?: string;
};

/** What the log says of a step: when it was done and how long it took. */
export type DoneStep = {
  taskId: string;
  doneAt: string;
  actualMin: number;
  /** Faces it was done to; all where none is named. */
  faces?: readonly string[];
  /** Damages it was done for at once; the one of its name where none is given. */
  places?: readonly string[];
};
