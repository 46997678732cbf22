export * from './odds';
export * from './inspect';
