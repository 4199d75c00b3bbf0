export { step, WORDS_SOURCE } from './kit';
export { MATERIALS, materialWords, type MaterialId } from './materials';
export { METHODS, methodById, type Method, type MethodId } from './methods';
export { bringsWood, fillsInColour, takesColour, tonesIn } from './newWood';
export { PHASES, PHASE_SOURCE, phaseIndex, phaseLabel, type PhaseId } from './phases';
export { PRESSED_FAMILIES } from './row';
export type { Deed, FillerId, GlueUse, HollowUse, MarkedCriterion, MethodFamily, RepairPace, Row, Step, Sum } from './row'; // prettier-ignore
export { USES, type Use } from './uses';
