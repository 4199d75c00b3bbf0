export {
  boundingBox,
  type Box,
  crossingsAt,
  distance,
  distanceToBoundary,
  lineAngle,
  nearestOnSegment,
  type Point,
  type Polygon,
  rotate,
  sides,
} from './point';
export {
  areaOf,
  assertOutline,
  centroidOf,
  containment,
  contains,
  crossesItself,
  keepBelow,
  measureOutline,
  type OutlineMeasures,
  perimeterOf,
} from './outline';
export {
  areaOfAll,
  bufferLine,
  differenceOf,
  intersectionOf,
  isConvex,
  offsetOutline,
  sweptOver,
  sweptRound,
  unionOf,
} from './boolean';
export { compose, type Homography, homographyFrom, invertHomography, project } from './homography';
export {
  facePlane,
  type FacePlane,
  HANDLE_ERROR_SHARE,
  leavesFace,
  type PictureFrame,
  REFERENCE_OBJECTS,
  scaleQuality,
  type ScaleReference,
  sidesReached,
  SIZE_ERROR_MM,
  tapOnFace,
  toFace,
  toPicture,
} from './facePlane';
export { rectify, rectifySchema, type RectifyInput } from './rectify';
export { bandLengthMm, type FaceShape, shapeOutline } from './shape';
export { grainAt, type GrainPlan } from './grain';
