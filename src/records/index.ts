export {
  type Answers,
  type AnyStored,
  type Bodies,
  type Colour,
  type Damage,
  type Face,
  type FaceGrain,
  type GlueChoice,
  type HeldBy,
  type HomeClimate,
  type Kind,
  type LogEntry,
  type Lumber,
  type Part,
  type PatchChoice,
  type Photo,
  type PhotoRole,
  type Picture,
  type Piece,
  type Shop,
  type Stored,
  type Veneer,
} from './types';
export { ConflictError, StoreError } from './errors';
export { DEFAULT_SHOP, INSET_CORNERS, newDamage, newFace, newLumber, newPiece } from './defaults';
export {
  changeRecord,
  changeShop,
  createPicture,
  createRecord,
  importColours,
  importRecords,
  importVeneers,
  putBack,
  readEarly,
  removeRecords,
  renewAfter,
  renewKinds,
  useAside,
  useList,
  useOne,
  usePicture,
  useShop,
} from './hooks';
export { useChanges, useTrouble } from './changes';
export { browserStore, deviceName, newId } from './browserStore';
export { localNow, planningTime } from './clock';
export { importText } from './transfer';
export { letGoHeld, pendingTried, saveHeld } from './pending';
export { useHeld, type Held } from './changes';
export type { SetAside } from './reading';
export { rehearse } from './rehearse';
export { revisionsOf } from './revisions';
export { counted } from './words';
export type { Conflict, Preview, Question, TakeChoices, Taken } from './backup';
export { noteBackup, useLastBackup } from './lastBackup';
export { clearUnused } from './room';
export { KINDS } from './schemas';
export { guessColumns, readTable, type ListColumn, type Listed, type Mapping, type Table } from './list';
export { STOCK_COLUMNS, veneersIn } from './stockList';
export { COLOUR_COLUMNS, coloursIn } from './colourList';
