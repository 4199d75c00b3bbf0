export {
  blisterPlan,
  type BlisterPlan,
  NEEDLE_REACH_MM,
  quietSlit,
  type QuietSlit,
  STEEP_LIGHTNESS,
} from './blister';
export {
  gluingStages,
  mouthSections,
  OPEN_TIME_SHARE,
  SECTION_MM,
  type Stages,
  type StagesInput,
} from './stages';
export { bigTime, glueClock, type GlueClock } from './clock';
export {
  BEND_STRAIN,
  type BendState,
  BREAKAGE,
  DOWEL_SOURCE,
  dowelLayout,
  type DowelLayout,
  HAND_TORQUE_NM,
  leastRadiusMm,
  SCREW_SOURCE,
  screwForceN,
  thickestMm,
  WAY_IN,
  wayIn,
  withSpares,
} from './joinery';
export { drawnInMm, LEAST_GAP_MM, WICKING_SOURCE, WICKS_UP_TO_MM, wickSeconds } from './wicking';
export { DRYING_SOURCE, RUN_IN_SOURCE, runInMm, THINNED_SOURCE, thinnedMPas, waterBroughtIn } from './runIn';
