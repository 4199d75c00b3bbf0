export * from './edge';
export * from './flat';
export * from './hammer';
export * from './round';
