export * from './settle-all';
