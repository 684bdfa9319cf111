export { mergeChanges, type Clash, type Merged } from './merge-changes.ts';
