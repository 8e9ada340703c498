export { chanceFrom, exponential } from './chance';
export { outcomeWords } from './words/en';
export { writeCallsCsv, type CallToWrite } from './callsCsv';
