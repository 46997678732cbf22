export * from './number-needed';
export * from './readiness';
export * from './belief';
export * from './ways';
