export { labOf, spectrumOf } from './spectrum';
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
export { lightnessShare, portions } from './search';
export { wanted } from './wanted';
export { chooseCoats, chooseSchema, type ChooseInput, type ChosenCoats } from './choose';
export {
  coatSchema,
  coatsSchema,
  WORTH_A_COAT,
  COATS_SOURCE,
  coatedOnce,
  layColour,
  readyCoat,
  seenOf,
  withinGoal,
  type Coat,
  type CoatKind,
  type CoatStep,
  type CoatsResult,
  type Ground,
  type Ready,
} from './coats';
export { boardColour, fitBoards, fitSchema, predicted, type Board, type Fit } from './fit';
export { chanceAbove, SEEN, SPREAD, spreadBefore } from './spread';
export { figureAfter } from './figure';
export { bareGround, laidByHand, offUnderLamp, sweepOf, type WantedCoats } from './sweep';
export { EVEN_SOURCE, evenOut, evenSchema, type EvenInput, type EvenPlan } from './even';
