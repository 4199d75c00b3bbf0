export * from './source';
