export * from './plant';
export * from './air-of';
export * from './clock-of';
export * from './planned-wound';
export * from './life';
