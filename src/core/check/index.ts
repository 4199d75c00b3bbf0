export { attempt, type Result } from './attempt';
export { assertRange } from './range';
export { assertValid } from './valid';
export type { JobContext } from './job';
export { breathe } from './job';
export { seededRandom } from './random';
export { parseJson } from './json';
export { assertModest, itemsOf } from './modest';
