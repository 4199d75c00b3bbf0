export * from './features';
export * from './listener';
export * from './classify';
export * from './simulated';
