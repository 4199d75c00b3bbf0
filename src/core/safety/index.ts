export {
  CAUTIONS,
  cautionsFor,
  cautionsOf,
  HAZARDS,
  PROTECTED_WOODS,
  type CautionId,
  type Hazard,
  type RiskySurface,
} from './cautions';
