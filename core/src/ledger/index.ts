export * from './rows';
export * from './grouping';
export * from './evidence';
export * from './compare';
export * from './losses';
