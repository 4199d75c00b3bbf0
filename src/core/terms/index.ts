export { lowerFirst, upperFirst } from './letters';
export {
  BUILDS,
  FINISH_GOALS,
  FINISH_STATES,
  FINISHES_NOW,
  PHOTO_ROLES,
  PROFILES,
  RESTS,
  SCHOOLS,
} from './terms';
export type { Build, FinishGoal, FinishNow, FinishState, PhotoRole, Profile, Rest, School } from './terms';
