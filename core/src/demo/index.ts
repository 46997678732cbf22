export { demoJournal } from './demo';
export { randomFrom } from './random';
