export * from './lab';
export { colourDifference, differenceSchema, labSchema } from './difference';
export {
  tonesAround,
  tonesOf,
  tonesOfSwatch,
  tonesWithin,
  RING_MM,
  RING_MM_SOURCE,
  type Tones,
} from './tones';
export * from './layers';
