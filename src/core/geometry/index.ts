export * from './point';
export * from './outline';
export * from './boolean';
export * from './homography';
export * from './facePlane';
export { rectify, rectifySchema, type RectifyInput } from './rectify';
export * from './shape';
export * from './grain';
