export type {
  Answers,
  Damage,
  Face,
  FaceGrain,
  GlueChoice,
  HomeClimate,
  LogEntry,
  Named,
  Part,
  PatchChoice,
  Photo,
  PhotoRole,
  Piece,
  Shop,
  Veneer,
} from './types';
export {
  boardOf,
  damageLabel,
  frameOf,
  grainIsKnown,
  isMarked,
  markMm,
  markOf,
  outlineMm,
  surveyed,
  type Board,
  type Surveyed,
} from './survey';
export { surroundingsOf, type Surroundings } from './surroundings';
export {
  DEFAULT_GRAVITY,
  DEFAULT_GRAVITY_SOURCE,
  caseOf,
  chainFor,
  crackPlanOf,
  isUnderPaint,
  linksOfChain,
  methodOf,
  rankingOf,
  repairWords,
  treatedAs,
  waysOf,
} from './decide';
export {
  BLOCK_MM,
  clampOf,
  gluing,
  ownedClamps,
  patchFor,
  pressPlan,
  sandingOf,
  type Gluing,
  type PressPlan,
} from './press';
export { resourcesOf, surfaceRisk, workOf } from './work';
export { stagesOf } from './stages';
export { conditionFor, countedOf, faceAreaMm2, measuredWords, type Units } from './condition';
export { DEFAULT_SHOP, INSET_CORNERS, newDamage, newFace, newPiece } from './defaults';
export { idSchema, JOB_SCHEMAS, textSchema } from './schemas';
export { jobSchema, jobTasks, type JobInput } from './tasks';
