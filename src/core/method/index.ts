export type { RepairCase, SurfaceFacts } from './facts';
export { POINTS_PER_WEIGHT, POINTS_PER_WEIGHT_SOURCE } from './ruling';
export {
  assertVeneerThickness,
  chainOf,
  distanceWords,
  rankMethods,
  refusalOf,
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
export { chainWords, type Chain } from './chain';
export { LIMITS } from './limits';
export type { OpenQuestion, Ranking } from './rank';
export type { Ban, ChainLink, Reason } from './ruling';
export type { ExcludedMethod, RankedMethod } from './standing';
