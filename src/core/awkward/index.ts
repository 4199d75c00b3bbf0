export {
  bandPullN,
  clampSpacingMm,
  edgeClamps,
  midShare,
  type Pad,
  padded,
  PADS,
  SPACING_SOURCE,
  type StripMaterial,
  STRIPS,
  thickestStripMm,
} from './edge';
export { BAR_EVERY_MM, caseProps, CUP_SOURCE, flattenCup, PROP_SOURCE, SAFE_STRAIN } from './flat';
export { FACE_WATER, HAMMER_PACE, HAMMER_SOURCE, hammerPlan, type HammerPlan } from './hammer';
export { type Ear, GRIP_DEG, halfRoundEars, roundBlocks } from './round';
