export { useClimate } from './useClimate';
