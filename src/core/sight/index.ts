export { knownWords, proposalWords } from './words';
export { findKnown, knownSchema, KNOWN_SOURCE, type KnownFound, type KnownThing } from './known';
export { findRegion, regionSchema, REGION_SOURCE, type RegionFound } from './region';
export {
  BLUR_SOURCE,
  photoQuality,
  QUALITY_LIMITS,
  qualitySchema,
  qualityWords,
  type PhotoQuality,
} from './quality';
