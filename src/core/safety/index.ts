export {
  CAUTIONS,
  CAUTIONS_SOURCE,
  cautionsFor,
  cautionsOf,
  HAZARDS,
  PROTECTED_WOODS,
  type CautionId,
  type Hazard,
  type RiskySurface,
} from './cautions';
