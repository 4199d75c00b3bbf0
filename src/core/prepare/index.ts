export {
  PREPARATION_SOURCE,
  PREPARATIONS,
  preparationOf,
  STRIPPERS,
  type FaceToPrepare,
  type Preparation,
  type PreparationId,
  type PreparationOption,
  type Stripper,
} from './prepare';
