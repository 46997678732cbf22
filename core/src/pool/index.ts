export * from './random-effects';
export * from './binomial-normal';
export * from './prediction';
export * from './pooled';
export * from './bench-pace';
export * from './doubts';
