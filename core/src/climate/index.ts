export * from './humidity';
export * from './air';
export * from './monthly';
export * from './sun';
export * from './light';
export * from './evaporation';
export * from './series';
export * from './plausible';
