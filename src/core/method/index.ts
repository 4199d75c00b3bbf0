export { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS } from './facts';
export type { Build, FinishGoal, FinishNow, RepairCase, School, SurfaceFacts } from './facts';
export { METHODS, methodById } from './methods';
export type { Criterion, Method, MethodFamily, MethodId } from './methods';
export { assertVeneerThickness, rankMethods, rankSchema, SCHOOL_WEIGHTS, VENEER_RANGE_MM } from './rank';
export type { ExcludedMethod, OpenQuestion, RankedMethod, Ranking, Reason } from './rank';
