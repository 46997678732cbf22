export * from './weather-ahead';
export * from './strategy';
export * from './luck';
export * from './bench-run';
export * from './bench-day';
export { BONE_DRY_STEM, WRINKLED } from './assumptions';
export * from './rehearsal';
export * from './what-matters';
export * from './from-plan';
