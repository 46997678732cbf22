export * from './wilson';
export * from './first-root';
export * from './count';
export * from './emergence';
export * from './success';
