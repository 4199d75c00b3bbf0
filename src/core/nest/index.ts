export {
  CUT_GAP_MM,
  MOST_SPARES,
  NEST_SOURCE,
  nestPatches,
  nestSpares,
  nestSchema,
  type NestInput,
  type NestPiece,
  type NestPlan,
  type NestSheet,
  type Spare,
} from './nest';
export { largestRectangle, type Rectangle } from './rectangle';
