export { minutesFrom, localFrom, DAY_MIN, type WorkingHours } from './calendar';
export {
  schedule,
  scheduleSchema,
  type Schedule,
  type ScheduledTask,
  type ScheduleInput,
  type ScheduleTask,
} from './schedule';
export { PHASES, PHASE_SOURCE, phaseIndex, phaseLabel, type PhaseId } from './phases';
export { tasksFor, type BenchTask, type PieceWork, type RepairWork } from './tasks';
export { benchInput, type BenchShop, type DoneStep } from './plan';
