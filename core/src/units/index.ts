export * from './length';
export * from './temperature';
