export { exactLength, formatArea, formatLength, type LengthUnit, parseLength } from './length';
export {
  formatBytes,
  formatMinutes,
  formatSmall,
  formatTemperature,
  fromCelsius,
  type TemperatureUnit,
  toCelsius,
} from './quantity';
export { fieldScale, inUnits, type FieldScale, type ShopUnits } from './inUnits';
export { lengthsIn } from './lengthsIn';
export { lengthBetween } from './lengthBetween';
export { plainNumber } from './number';
