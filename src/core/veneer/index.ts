export * from './thickness';
export * from './match';
export * from './patch';
export * from './breakEven';
export * from './card';
export * from './rankStock';
export * from './cardWords';
