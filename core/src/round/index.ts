export * from './round';
