export {
  impossible,
  scheduleSchema,
  type Schedule,
  type ScheduledTask,
  type ScheduleInput,
  type ScheduleTask,
} from './network';
export { schedule } from './schedule';
export { COAT_FIGURES, COATS, coatsOf, type CoatFigure, type OwnCoats } from './coats';
export { pieceSteps } from './pieceSteps';
export type { FaceWork } from './passes';
export type { DoneFaces } from './rounds';
export { UNMEASURED, type Spent } from './bySize';
export {
  MOST_GOES,
  OWN_MINUTES,
  OWN_WAIT_MINUTES,
  ownTaskId,
  type OwnStep,
  type StepChange,
} from './ownSteps';
export { BLEND_DEEDS, SEALED_UNDER, type ProductCoats } from './colourSteps';
export type { GlueWork, LinkWork, RepairWork } from './repairWork';
export {
  earlierBefore,
  laterBefore,
  movePhase,
  MOVES,
  ORDER_SOURCE,
  orderProblems,
  phaseOrder,
  PRECEDENCE,
  type MoveResult,
} from './order';
export { inRound, tasksFor, type PieceTasks, type PieceWork } from './tasks';
export { drivingChain } from './driving';
export { benchInput, creditedTo, type BenchShop } from './plan';
export type { BenchTask, DoneStep } from './task';
