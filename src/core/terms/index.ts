export { BUILDS, FINISH_GOALS, FINISHES_NOW, PHOTO_ROLES, SCHOOLS } from './terms';
export type { Build, FinishGoal, FinishNow, PhotoRole, School } from './terms';
