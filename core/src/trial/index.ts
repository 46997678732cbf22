export * from './factor';
export * from './trays';
export * from './tray-harm';
export * from './layout';
export * from './design';
export * from './start';
export * from './judge';
export * from './words';
