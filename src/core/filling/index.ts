export * from './fill';
export * from './level';
