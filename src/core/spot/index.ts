export {
  placePatch,
  placeSchema,
  PLACE_SOURCE,
  type Placement,
  type PlaceInput,
  type PlaceResult,
} from './place';
export { laidOn, outlineOn, type Turn } from './coarse';
export { patcherOf, type PatchAt, type Patcher } from './composite';
