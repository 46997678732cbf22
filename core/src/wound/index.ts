export * from './tissue';
export * from './closure';
export * from './belief';
export * from './school';
export * from './clock';
export * from './aid';
export * from './bench-pace';
