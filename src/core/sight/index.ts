export { CATCH, caught, cornersSchema, findCorners, type PhotoCorner } from './corners';
export { knownWords, proposalWords } from './words';
export { findKnown, knownSchema, KNOWN_SOURCE, type KnownFound, type KnownThing } from './known';
export { findRegion, regionSchema, REGION_SOURCE } from './region';
export { GAP_REACH_MM, gapsSchema, gapsWords, GAPS_SOURCE, readGaps, type GapsFound } from './gaps';
export {
  calibrate,
  calibrateSchema,
  calibrationWords,
  CHART,
  recoloured,
  UNCALIBRATED,
  type Calibration,
  type CalibrationCard,
} from './calibrate';
export { crackSchema, crackWords, snapToCrack, type CrackFound } from './crack';
export { evenLight, evenLightWords } from './evenLight';
export { photoQuality, qualitySchema, qualityWords, type PhotoQuality } from './quality';
