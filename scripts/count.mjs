// Adds up what the runners counted and prints the closing line; a failed step counts even when no test did.
import { existsSync, readFileSync } from 'node:fs';

const failedSteps = Number(process.argv[2] ?? 0);
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);
const jest = [read('_counts/unit.json'), read('_counts/server.json')];
const e2e = read('_counts/e2e.json');
const sum = (of) => jest.reduce((all, run) => all + (run ? of(run) : 0), 0);
const passed = sum((run) => run.numPassedTests) + (e2e ? e2e.stats.expected + e2e.stats.flaky : 0);
const tests =
  sum((run) => run.numFailedTests + (run.numRuntimeErrorTestSuites ?? 0)) + (e2e?.stats.unexpected ?? 0);
const failed = Math.max(tests, failedSteps, jest.every(Boolean) && e2e ? 0 : 1);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
