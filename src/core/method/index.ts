export { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS } from './facts';
export type { Build, FinishGoal, FinishNow, RepairCase, School, SurfaceFacts } from './facts';
export { MATERIALS, materialWords, type MaterialId } from './materials';
export { CRITERIA, METHODS, methodById } from './methods';
export type { Criterion, Method, MethodFamily, MethodId } from './methods';
export { assertVeneerThickness, firstMethod, POINTS_PER_WEIGHT, rankMethods, VENEER_RANGE_MM } from './rank';
export {
  answersSchema,
  MOST_WEIGHT,
  rankSchema,
  SCHOOL_WEIGHTS,
  stockSchema,
  weightsSchema,
  type RankInput,
  type Weights,
} from './rankInput';
export type { ExcludedMethod, OpenQuestion, RankedMethod, Ranking, Reason } from './rank';
