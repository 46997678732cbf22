export * from './problem';
export * from './size';
export * from './migrate';
export * from './journal-file';
export * from './json-schema';
export * from './wall-time';
export * from './weather-csv';
export * from './senml';
