export * from './lab';
export { colourDifference, differenceSchema } from './difference';
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
