export * from './fill';
export * from './level';
export * from './dent';
