export { BANDS } from './bands';
export { labOf, spectrumOf, type Spectrum } from './spectrum';
export { SAUNDERSON, SAUNDERSON_SOURCE } from './kubelkaMunk';
export {
  mixColour,
  mixSchema,
  mixtureOf,
  MIX_SOURCE,
  partOf,
  SAME_TO_THE_EYE,
  type Colourant,
  type MixResult,
  type Recipe,
} from './mix';
export { portions } from './search';
export { OUT_OF_REACH, wanted } from './wanted';
export { chooseCoats, chooseSchema, type ChooseInput, type ChosenCoats } from './choose';
export {
  coatsSchema,
  COATS_SOURCE,
  layColour,
  WORTH_A_COAT,
  type Coat,
  type CoatKind,
  type CoatStep,
  type CoatsResult,
} from './coats';
export { boardColour, fitBoards, fitSchema, predicted, PRIOR, type Board, type Fit } from './fit';
export { chanceAbove, SEEN, SPREAD, spreadBefore } from './spread';
