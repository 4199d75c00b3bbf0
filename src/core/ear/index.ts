export { tapLength, tapSound, type TapSound } from './features';
export { HEARING_PROBLEMS, type HearingProblem, tapListener, type TapListener } from './listener';
export { classifyTap, EAR_SOURCE, type Hearing, LEAST_REFERENCE } from './classify';
export { simulatedRecording, simulatedTap } from './simulated';
