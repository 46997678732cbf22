export * from './days';
export * from './plural';
export * from './quantities';
export * from './shares';
