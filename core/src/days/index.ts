export * from './day';
export * from './read-day';
