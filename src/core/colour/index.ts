export * from './lab';
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
export * from './layers';
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
