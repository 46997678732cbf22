export * from './sheet';
export * from './code';
export * from './draw';
export * from './label-text';
