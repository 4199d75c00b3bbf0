export { useClimate } from './useClimate';
export { readCaliper, readMoistureMeter } from './readings';
export { openMicrophone, simulatedMicrophone, type Microphone } from './microphone';
