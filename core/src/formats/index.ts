export * from './problem';
export * from './migrate';
export * from './journal-file';
