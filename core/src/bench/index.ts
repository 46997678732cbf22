export * from './plant';
export * from './air-of';
export * from './clock-of';
