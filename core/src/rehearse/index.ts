export * from './weather-ahead';
export * from './strategy';
export * from './luck';
export * from './bench-run';
export * from './rehearsal';
export * from './from-plan';
