export * from './palette';
export * from './look';
export * from './plant';
export type { Shape } from './pen';
