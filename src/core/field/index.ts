export { fieldSchema, pressField, type FieldInput, type PressField } from './field';
export {
  bowHeightMm,
  bowOffsets,
  bridgeBowMm,
  camberOf,
  camberSchema,
  MOST_CAMBER_SHARE,
  parabolaHeightMm,
  type Camber,
  type CamberInput,
} from './camber';
export type { CaulInput } from './plate';
export { bedOf, CAUL_MODULUS, COMMON_BOARD_MM, PLATEN_MODULUS, PLATEN_POISSON, type Bed } from './stack';
