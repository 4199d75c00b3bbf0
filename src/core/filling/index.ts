export {
  type Filler,
  type FillInput,
  fillPlan,
  type FillPlan,
  fillSchema,
  type Hollow,
  hollowVolume,
  VOLUME_SOURCE,
  widthShare,
} from './fill';
export { depthFromShadowMm, LEVEL_SOURCE, LEVEL_TOOLS, levelPlan, levelSchema, SHADOW_SOURCE } from './level';
export { DENT_SOURCE, DENT_WAYS, dentWays } from './dent';
