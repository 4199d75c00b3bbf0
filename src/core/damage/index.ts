export * from './kinds';
export * from './questions';
export * from './marks';
