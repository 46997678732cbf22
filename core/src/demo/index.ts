export { demoJournal } from './demo';
