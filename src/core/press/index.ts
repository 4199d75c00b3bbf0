export { CLAMPS, clampById, drawsTogether, POINT_CLAMPS, type ClampId, type ClampKind } from './clamps';
export * from './layout';
export * from './bag';
export { paceOf } from './pace';
