export * from './blister';
export * from './stages';
export * from './clock';
export * from './joinery';
export * from './wicking';
export * from './runIn';
