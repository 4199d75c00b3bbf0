export * from './finish';
