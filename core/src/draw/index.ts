export * from './plant';
export * from './piece';
export type { Shape } from './pen';
