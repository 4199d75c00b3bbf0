export {
  ADHESIVES,
  adhesiveById,
  GLUE_FIGURES,
  type Adhesive,
  type AdhesiveId,
  type GlueFigure,
  type OwnGlue,
} from './kinds';
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
