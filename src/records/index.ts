export * from './types';
export * from './errors';
export * from './defaults';
export * from './hooks';
export { browserStore, localNow, newId } from './browserStore';
export { assertFileSize, exportText, importText, type ImportSummary } from './transfer';
export type { SetAside } from './store';
