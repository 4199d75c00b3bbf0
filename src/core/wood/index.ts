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
export { SPECIES, speciesById, speciesByName, type Species } from './species';
export * from './crack';
