export * from './length';
export * from './quantity';
export { fieldScale, inUnits, type FieldScale, type ShopUnits } from './inUnits';
export { lengthsIn } from './lengthsIn';
export { lengthBetween } from './lengthBetween';
export { plainNumber } from './number';
