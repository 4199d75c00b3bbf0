export * from './cautions';
