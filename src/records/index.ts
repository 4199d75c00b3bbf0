export * from './types';
export * from './errors';
export * from './defaults';
export * from './hooks';
export { useChanges, useTrouble } from './changes';
export { browserStore, deviceName, newId } from './browserStore';
export { localNow, planningTime } from './clock';
export { importText } from './transfer';
export type { SetAside } from './store';
export { revisionsOf } from './revisions';
export { counted } from './backup/words';
export type { Conflict, Preview, TakeChoices, Taken } from './backup';
export { noteBackup, useLastBackup } from './lastBackup';
export { clearUnused } from './room';
export { KINDS } from './schemas';
export {
  guessColumns,
  readTable,
  STOCK_COLUMNS,
  veneersIn,
  type Mapping,
  type StockColumn,
  type Table,
} from './stockList';
