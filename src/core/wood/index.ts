export { equilibriumMoisture, moistureSchema } from './moisture';
export { SPECIES, speciesById, type Species } from './species';
