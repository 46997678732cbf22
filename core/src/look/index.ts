export * from './palette';
export * from './look';
export * from './piece-kind';
export * from './drawn';
export * from './build';
export * from './field';
export * from './sign-picture';
