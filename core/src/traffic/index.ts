export { chanceFrom, exponential } from './chance';
export { writeCallsCsv, type CallToWrite } from './callsCsv';
