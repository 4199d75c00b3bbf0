export {
  byteOfLinear,
  deltaE00,
  hexFromLab,
  type Lab,
  labFromLinear,
  labFromRgb,
  type Linear,
  linearOf,
  linearOfByte,
} from './lab';
export { colourDifference, differenceSchema, labSchema } from './difference';
export {
  PICK_RADIUS_MM,
  tonesAround,
  tonesAtPlaces,
  tonesOf,
  tonesOfSwatch,
  tonesWithin,
  RING_MM,
  RING_MM_SOURCE,
  type Tones,
} from './tones';
export {
  blendPlan,
  type BlendPlan,
  type BlendStep,
  COAT_WAITS,
  LAYER_MODEL,
  SEAL_STEP,
  type TopFinish,
  UNSEEN_FROM_A_STEP_BACK,
} from './layers';
export {
  coverOf,
  EYE_ARC_MINUTES,
  recolouredPlace,
  type ToneRow,
  resolvedMm,
  seenFrom,
  VIEWS,
  type ViewFrom,
} from './look';
