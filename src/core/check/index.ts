export { assertRange } from './range';
export { assertValid } from './valid';
export type { JobContext } from './job';
export { breathe } from './job';
