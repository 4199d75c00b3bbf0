export * from './condition';
