export type { RepairCase, SurfaceFacts } from './facts';
export {
  assertVeneerThickness,
  chainOf,
  distanceWords,
  POINTS_PER_WEIGHT,
  POINTS_PER_WEIGHT_SOURCE,
  rankMethods,
  RULES,
  VENEER_RANGE_MM,
} from './rank';
export {
  answersSchema,
  CRITERIA,
  linksSchema,
  MOST_WEIGHT,
  rankSchema,
  SCHOOL_WEIGHTS,
  SCHOOL_WEIGHTS_SOURCE,
  stockSchema,
  weightsSchema,
  type Criterion,
  type RankInput,
  type Weights,
} from './rankInput';
export { chainWords } from './chain';
export { LIMITS } from './limits';
export type { Ban, ChainLink, ExcludedMethod, OpenQuestion, RankedMethod, Ranking, Reason } from './rank';
