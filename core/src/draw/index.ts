export * from './plant';
export * from './piece';
export * from './sign';
export * from './blade';
export type { Shape } from './pen';
