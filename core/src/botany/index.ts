export * from './evidence';
export * from './method';
export * from './taxon';
export * from './catalogue';
export * from './season';
export * from './find';
