export * from './amount';
export * from './length';
export * from './share';
export * from './temperature';
export * from './volume';
export * from './weight';
