export { simulatedClimate, type Climate } from './simulated';
