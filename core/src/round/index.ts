export * from './item';
export * from './round';
export * from './notices';
export * from './ahead';
export * from './done';
export * from './task-name';
export { jarChangeDays, SOIL_ROOT_MM } from './tend';
export * from './group';
