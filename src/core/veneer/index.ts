export * from './thickness';
export * from './patch';
export * from './seam';
export * from './design';
export { traceToFigure, type Traced } from './trace';
export * from './breakEven';
export * from './card';
export * from './rankStock';
export * from './cardWords';
