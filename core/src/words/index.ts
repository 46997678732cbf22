export * from './words';
