export * from './find';
