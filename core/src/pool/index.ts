export * from './between-studies';
export * from './random-effects';
export * from './binomial-normal';
export * from './prediction';
export * from './quantile';
export * from './pooled';
export * from './bench-pace';
export * from './doubts';
