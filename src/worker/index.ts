export * from './client';
export type { FaceView } from './shop.worker';
