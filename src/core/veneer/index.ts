export { COMMON_VENEERS_MM, PAPER_MM, SHIM_SHEET_MM, thicknessPlan } from './thickness';
export {
  ownPatch,
  type Patch,
  PATCH_DEFAULTS,
  PATCH_SHAPES,
  patchOutline,
  type PatchShape,
  patchShapeWords,
  squareSides,
  suggestShape,
} from './patch';
export { patchFaults, SEAM_SOURCE, seamCost } from './seam';
export { type ShimsInput, shimsPlan, type ShimsPlan, shimsSchema } from './shims';
export {
  LEAF_MATCHES,
  type LeafMatch,
  LEAVES_SOURCE,
  leavesPlan,
  type LeavesPlan,
  leavesSchema,
} from './leaves';
export { type Design, type DesignInput, designPatch, designSchema } from './design';
export { traceToFigure, type Traced } from './trace';
export { cardAround, woodCard, type WoodCard } from './card';
export { GRAIN_SOURCE, grainWords, readGrain, SURE_GRAIN, type GrainRead } from './grainIn';
export { type CentreRead, centreWords, readCentre } from './sunburst';
export {
  rankStock,
  STOCK_PARTS,
  STOCK_WEIGHTS,
  STOCK_WEIGHTS_SOURCE,
  type StockCard,
  type StockPart,
  type StockRank,
  stockRankSchema,
} from './rankStock';
export { cardWords } from './cardWords';
