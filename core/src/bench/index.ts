export * from './plant';
export * from './air-of';
export * from './clock-of';
export * from './medium-of';
export * from './water-case';
export * from './planned-wound';
export * from './life';
