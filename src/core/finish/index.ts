export {
  FINISH_TEST_SOURCE,
  FINISH_TESTS,
  finishFromTests,
  type FinishTestId,
  type FinishTestResult,
  finishTestSchema,
} from './finish';
