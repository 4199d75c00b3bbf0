export {
  assertMoisture,
  type ColourReading,
  type InstrumentReading,
  simulatedCaliper,
  simulatedColourReader,
  simulatedMoistureMeter,
  summarise,
} from './readings';
