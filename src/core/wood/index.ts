export { equilibriumMoisture, moistureSchema } from './moisture';
export {
  changeCoefficient,
  DENSITY_SHRINKAGE_SOURCE,
  movementSchema,
  woodMovement,
  type Air,
  type Cut,
  type MovementInput,
} from './movement';
export { OTHER_WOOD, SPECIES, speciesById, speciesByName, woodName, type Species } from './species';
export * from './crack';
