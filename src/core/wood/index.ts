export { equilibriumMoisture, moistureSchema } from './moisture';
export { changeCoefficient, movementSchema, woodMovement, type Cut, type MovementInput } from './movement';
export { SPECIES, speciesById, speciesByName, type Species } from './species';
