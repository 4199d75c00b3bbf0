export {
  CARRIERS,
  COLOUR_KINDS,
  MOST_BOARD_COATS,
  STRENGTH_HELP,
  STRENGTH_LIMITS,
  roleOf,
  type Carrier,
  type Colour,
  type ColourKind,
  type ColourUse,
  type TestBoard,
} from './colour';
export { STARTER_SHELF, starterColours } from './starter';
export {
  differenceWords,
  outlookBefore,
  outlookLearned,
  outlookWords,
  stopWords,
  type Outlook,
} from './outlook';
export { nextDrop, trialWords, type NextDrop } from './trial';
export {
  boardsOf,
  chooseInput,
  coatsOf,
  coatsOutlook,
  colourantsOf,
  fillAims,
  lampWords,
  FILL_MIX,
  recipeOutlook,
  recipeWords,
  type OnShelf,
} from './plans';
export { boardWords, learnedWords, learningFrom, predictedBoard } from './learned';
export { boardsToCopy, recipeLine, wantedCoats, type RecipeCoats } from './recipe';
export { CLOSE_ENOUGH, evenInput, evenOutlook } from './evening';
