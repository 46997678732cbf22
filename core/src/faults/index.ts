export * from './sparing';
