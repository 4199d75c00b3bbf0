export {
  CLOSE_SOURCE,
  closePlan,
  closeSchema,
  GLUE_BRIDGES_MM,
  type CloseInput,
  type ClosePlan,
} from './close';
export {
  acrossSchema,
  clampsAcross,
  DOWEL_COVER_MM,
  dowelsInside,
  EAR_MM,
  type ClampAcross,
  type ClampEnd,
  type JointLine,
} from './across';
