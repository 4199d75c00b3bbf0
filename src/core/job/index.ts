export type {
  Answers,
  Damage,
  Face,
  FaceGrain,
  GlueChoice,
  HeldBy,
  HomeClimate,
  KnownShop,
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
  isBegun,
  isMarked,
  markMm,
  markOf,
  outlineMm,
  surveyed,
  type Board,
  type Surveyed,
} from './survey';
export { breakEven, BREAK_EVEN_SOURCE, lossesOf, turnWords, type BreakEven } from './breakEven';
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
export { surfaceRisk } from './risk';
export { resourcesOf } from './work';
export { designFor, tracingOf, withCorner, type Tracing } from './design';
export { matchSchool, rankForPatch, rankForPiece, type Carded, type PatchToMatch } from './stockRank';
export {
  cuttingWords,
  neededSizeWords,
  patchesOfPiece,
  glueGroups,
  inSheet,
  neededFromStock,
  nestInput,
  onSheetMm,
  rackPlan,
  sheetFrame,
  sheetMm,
  type NeededBlocks,
  type NeededPatch,
  type SheetFrame,
} from './cutting';
export { FEET, feetOf, jointGlueOf, type FeetSum, type JointSum } from './fitSums';
export { amountsOf, type Amount } from './amounts';
export { boardThickMm, hollowDepthMm } from './glued';
export { gluedGrams, type LinkPlan } from './links';
export { amountWords, materialLabel } from './amountWords';
export {
  handsMin,
  handsRange,
  sharedWith,
  handWords,
  rangeWords,
  jobPlan,
  decidedOf,
  planOf,
  stepsOfLink,
  topFinishOf,
  type Job,
  type Plan,
  type RepairPlan,
} from './plan';
export { repairOf, repairsOf, type Repair } from './repairs';
export { isTicked, type NextStep, type Trail, type TrailStep } from './trail';
export { glueChoice, keptGlue, linkedPage, worksheetOf, worksheetPage, type Worksheet } from './worksheet';
export { stagesOf } from './stages';
export { conditionFor, countedOf, faceAreaMm2, measuredWords, type Units } from './condition';
export { DEFAULT_SHOP, INSET_CORNERS, newDamage, newFace, newLumber, newPiece } from './defaults';
export { idSchema, JOB_SCHEMAS, localTime, textSchema } from './schemas';
export { jobSchema, jobTasks, planSchema, type JobInput } from './tasks';
export { MARK_TOOLS, onLine, remarked, shifted, storedMark, tapped, withPoint } from './marking';
export { movedPlacing, placingHandles, withCauls, withClamp } from './placing';
export {
  alongAcross,
  around,
  closeViewOf,
  contentOf,
  inPicture,
  onFaceMm,
  strokeAt,
  viewOf,
  type FaceView,
} from './views';
export { glueUpOf, nextClamps, withinReach, type GlueUp } from './glueUp';
export { HELD_BY, hammerGlue, heldStart, heldWith, heldWords, type Held } from './held';
export { barsOf, frontPicture, frontPiece, restingPiece, worstFace } from './front';
export { repairWords, unitsOf } from './words';
export { bowOf, LEAST_BOW_MM, type Bow } from './bow';
export { hollowOf, wouldBeForced } from './hollow';

export { alternativeWords, quickerWays, type Alternative, type Deadline } from './deadline';
export {
  faceWords,
  needsOf,
  needWords,
  planTable,
  type Need,
  type PlanCell,
  type PlanRow,
  type PlanTable,
} from './table';
export { partsPlan, reachOf } from './apart';
export { FACE_BACKS, type FaceBack } from './kinds/face';
export { possibleMoves, reachedWords, type Move, type Moves, type Reached } from './moves';
export { sumStarts, type SumStarts } from './sumStarts';
export { gapViewOf, strokeViewOf } from './gapView';
export {
  handTurn,
  patchOnItsSheet,
  patchOnSheet,
  sheetPhoto,
  spotFaults,
  wholeSheet,
  spotHandles,
  spotSearch,
  spotWords,
  type Spot,
  type SpotSearch,
} from './spot';
export { floodRuns, HAND_TILT_DEG } from './flood';
export { GAP_FIELDS, jointOf, sumsOf, type CloseSum, type StripsSum } from './sums';
export { workedSums, type WorkedSums } from './workedSums';
export { FILLERS_SOURCE, type FillSum } from './fills';
export { SOLD_SOURCE, type BandingSum, type DowelSum, type PlugSum } from './letIn';
export { assumedWords, type Assumed } from './assumed';
export { shimsOf, type ShimSum } from './shims';
export { aboutTime, finishWords, roundTime, startWords, wholeHands } from './timeWords';
export { carrierWords, coatsWords, colouredMm2, worksheetsOf, type DecidedCoats } from './colourStage';
export { arrowAt, grainReadOn, newLeaf, startPlan } from './grainPlans';
export { repairView, type RepairView } from './look';
export { colouringOf, colourStart } from './colouring';
