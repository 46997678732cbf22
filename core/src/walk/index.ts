export * from './stops';
export * from './changes';
