export {
  CUT_GAP_MM,
  NEST_SOURCE,
  nestPatches,
  nestSchema,
  type NestInput,
  type NestPiece,
  type NestPlan,
  type NestSheet,
} from './nest';
export { largestRectangle, type Rectangle } from './rectangle';
