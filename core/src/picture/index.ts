export * from './measure';
