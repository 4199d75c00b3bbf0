export * from './thickness';
export * from './match';
export * from './patch';
export * from './breakEven';
