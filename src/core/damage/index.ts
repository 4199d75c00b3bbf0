export * from './kinds';
export * from './questions';
