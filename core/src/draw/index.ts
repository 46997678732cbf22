export * from './plant';
export * from './piece';
export * from './sign';
export type { Shape } from './pen';
