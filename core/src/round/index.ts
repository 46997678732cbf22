export * from './item';
export * from './round';
export * from './notices';
export * from './ahead';
export * from './done';
export * from './task-name';
export * from './tend';
export * from './group';
