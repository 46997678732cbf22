export * from './number-needed';
export * from './readiness';
export * from './belief';
export * from './ways';
export * from './cut-map';
export * from './dilution';
