export * from './growth-line';
