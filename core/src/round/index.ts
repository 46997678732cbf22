export * from './round';
export * from './notices';
export * from './ahead';
export * from './done';
export * from './agenda';
