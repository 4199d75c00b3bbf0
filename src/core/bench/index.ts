export {
  impossible,
  schedule,
  scheduleSchema,
  type Schedule,
  type ScheduledTask,
  type ScheduleInput,
  type ScheduleTask,
} from './schedule';
export { COAT_FIGURES, COATS, coatsOf, type CoatFigure, type OwnCoats } from './coats';
export { pieceSteps, type FaceWork } from './pieceSteps';
export { BLEND_DEEDS, type GlueWork, type LinkWork } from './repairSteps';
export { phaseOrder } from './order';
export { tasksFor, type BenchTask, type PieceWork, type RepairWork } from './tasks';
export { drivingChain } from './driving';
export { benchInput, type BenchShop, type DoneStep } from './plan';
