export { tapMap, tapMapSchema, type Tap, type TapMap, type TapMapInput } from './tapmap';
