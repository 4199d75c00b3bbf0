export { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS } from './terms';
export type { Build, FinishGoal, FinishNow, School } from './terms';
