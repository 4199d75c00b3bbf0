export { BUILDS, FINISH_GOALS, FINISHES_NOW, PHOTO_ROLES, RESTS, SCHOOLS } from './terms';
export type { Build, FinishGoal, FinishNow, PhotoRole, Rest, School } from './terms';
