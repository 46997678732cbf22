export * from './humidity';
export * from './air';
