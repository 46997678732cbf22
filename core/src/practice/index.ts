export * from './scenario';
export * from './game';
export * from './ending';
