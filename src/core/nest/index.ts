export { CUT_GAP_MM, NEST_SOURCE, nestPatches, nestSchema } from './nest';
export { MOST_SPARES, nestSpares } from './spares';
export { largestRectangle, type Rectangle } from './rectangle';
export type { NestInput, NestPiece, NestPlan, NestSheet, Spare } from './types';
