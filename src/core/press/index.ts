export { CLAMPS, clampById, drawsTogether, POINT_CLAMPS, type ClampId, type ClampKind } from './clamps';
export {
  caulUnder,
  depthFromEdge,
  layingMinutes,
  outgrown,
  type Pace,
  placedLayout,
  type PlacedLayout,
  placeOf,
  type PressInput,
  pressLayout,
  type PressLayout,
  SECTION,
  SPREAD_ANGLE_DEG,
  suggestClamp,
  underCaul,
} from './layout';
export { ATMOSPHERE_SOURCE, BAG_BEYOND_MM, BAG_SLOWER, bagPlan } from './bag';
export { paceOf } from './pace';
