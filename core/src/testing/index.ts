export * from './deeds';
export * from './hostile';
export * from './hostile-table';
export * from './lives';
export { held } from './held';
export { HARSH, STATED } from './rooting-world';
export * from './ledger-world';
export { batchIn, storyCare, storyDay, storyState } from './story';
