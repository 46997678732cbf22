export { demoJournal } from './demo';
export * from './society';
