export { CLAMPS, clampById, type ClampId, type ClampKind } from './clamps';
export * from './layout';
