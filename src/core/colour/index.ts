export * from './lab';
export { colourDifference, differenceSchema } from './difference';
export { tonesAround, tonesOf, tonesOfSwatch, RING_MM, type Tones } from './tones';
export * from './layers';
