export * from './caution';
