export { ADHESIVES, adhesiveById, type Adhesive, type AdhesiveId } from './kinds';
export {
  floodMixes,
  glueQuantity,
  glueTimes,
  SHOP_RANGE_C,
  suggestAdhesive,
  TEMPERATURE_RULE,
  type FloodMix,
  type GlueQuantity,
  type GlueTimes,
} from './plan';
