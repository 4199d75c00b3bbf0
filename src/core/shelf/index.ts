export {
  CARRIERS,
  COLOUR_KINDS,
  MOST_BOARD_COATS,
  MOST_CARRIER_PARTS,
  STRENGTH_HELP,
  STRENGTH_LIMITS,
  roleOf,
  type Carrier,
  type Colour,
  type ColourKind,
  type CoatsOf,
  type ColourUse,
  type TestBoard,
} from './colour';
export { STARTER_SHELF, starterColours } from './starter';
export {
  besideWords,
  differenceWords,
  moreSpread,
  outlookBefore,
  outlookLearned,
  outlookWords,
  seenStanding,
  stopWords,
  type Outlook,
} from './outlook';
export { nextDrop, trialWords, type NextDrop } from './trial';
export {
  boardsOf,
  chooseInput,
  coatsOf,
  coatsOutlook,
  handLaid,
  colourantsOf,
  fillAims,
  coatsLampWords,
  lampWords,
  FILL_MIX,
  recipeOutlook,
  recipeWords,
  type OnShelf,
} from './plans';
export { boardWords, learnedWords, learningFrom, predictedBoard } from './learned';
export { boardsToCopy, recipeLine, sameCoats, wantedCoats, type RecipeCoats } from './recipe';
export { AIM_FROM, evenTones, MOST_AIM_POINTS, pickedLabel, type AimFrom, type ColourAim } from './aim';
export {
  OUTCOMES,
  OUTCOMES_OF,
  saidColour,
  standingOf,
  steeredGoal,
  TRIED,
  triedWords,
  type Outcome,
  type Standing,
  type Tried,
  type TriedWhat,
} from './tried';
export {
  batchOf,
  batchWords,
  COAT_ML_PER_100_CM2,
  DROPS_PER_ML,
  shareOf,
  thinnings,
  thinnedTo,
  thinnedWords,
  type Batch,
} from './thinned';
export {
  bleachNeeded,
  colourAfterFirst,
  FIRST,
  FIRSTS,
  FIRST_SOURCE,
  firstOf,
  firstWords,
  placeAfterBleach,
  spreadOfFirst,
  type First,
} from './first';
export {
  CLOSE_ENOUGH,
  evenGoalWords,
  EVEN_STEP,
  evenForPlan,
  evenInput,
  evenOutlook,
  evenSteps,
  withEvenSteps,
} from './evening';
export { MOST_OWN_PARTS, mixedByHand, withParts, type MixAim, type Mixes, type OwnMix } from './ownMix';
export { colouringLines } from './record';
export { swatchDoubt } from './doubt';
export { thinInput, thinnedNearer, thinSchema, type Thinned, type ThinInput } from './finer';
