export { equilibriumMoisture, moistureSchema } from './moisture';
export {
  changeCoefficient,
  movementSchema,
  woodMovement,
  type Air,
  type Cut,
  type MovementInput,
} from './movement';
export { BASIC_DENSITY_SOURCE, basicDensity, DENSITY_SHRINKAGE_SOURCE, shrinkageByDensity } from './density';
export {
  OTHER_WOOD,
  SPECIES,
  speciesById,
  speciesByName,
  woodName,
  woodsCalled,
  type Species,
} from './species';
export { CRACK_ADVICE, CRACK_LIMITS, CRACK_SOURCE, crackPlan, type CrackPlan } from './crack';
export { gravityOf, woodStiffnessMPa } from './stiffness';
