export * from './deeds';
export * from './hostile';
export * from './hostile-table';
export * from './lives';
