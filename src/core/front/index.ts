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
  partOfDay,
  readyOn,
  slackDays,
  slackWords,
  startWords,
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
