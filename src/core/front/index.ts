export { backupReminder } from './backup';
export { found } from './found';
export {
  barsOn,
  clampsInUse,
  daysLeft,
  daysOf,
  daysUntil,
  dayText,
  HOUR_KNOWN_DAYS,
  nextWords,
  partOfDay,
  readyOn,
  slackDays,
  slackWords,
} from './days';
export {
  NO_FRONT,
  readFront,
  type Bar,
  type Front,
  type FrontMark,
  type FrontPicture,
  type FrontPiece,
  type StepState,
  type Unsaved,
} from './front';
