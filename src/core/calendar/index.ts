export {
  afterWorking,
  byTime,
  calendarOf,
  DAY_MIN,
  localFrom,
  minutesFrom,
  nextWorkable,
  type Calendar,
  type WorkingHours,
} from './calendar';
