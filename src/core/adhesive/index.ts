export {
  ADHESIVES,
  adhesiveById,
  GLUE_FIGURES,
  type Adhesive,
  type AdhesiveId,
  type GlueFigure,
  type OwnGlue,
} from './kinds';
export { hollowMm3, HOLLOW_SIZES, HOLLOWS, poursFor, type HollowShape, type HollowSize } from './hollow';
export {
  FLOOD_SOURCE,
  FLOOD_STEPS,
  floodMixes,
  fromDry,
  glueForVoid,
  glueQuantity,
  glueTimes,
  POT_C,
  roomUnderMl,
  SHOP_RANGE_C,
  suggestAdhesive,
  TEMPERATURE_RULE,
  type FloodMix,
  type GlueQuantity,
  type GlueTimes,
} from './plan';
