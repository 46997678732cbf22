export * from './give';
export * from './forest';
