export * from './growth-line';
export type { GrowthChange } from './space-growth';
