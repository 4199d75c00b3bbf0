export * from './length';
export * from './quantity';
