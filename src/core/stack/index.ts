export { bedOf, CAUL_MODULUS, COMMON_BOARD_MM, PLATEN_MODULUS, PLATEN_POISSON, type Bed } from './bed';
export {
  bowHeightMm,
  bowOffsets,
  bridgeBowMm,
  camberOf,
  camberSchema,
  MOST_CAMBER_SHARE,
  MOST_CAMBER_SHARE_SOURCE,
  parabolaHeightMm,
  type Camber,
  type CamberInput,
} from './camber';
export { PAIR_SOURCE, pairOfCauls, type Pair, type PairInput } from './pair';
