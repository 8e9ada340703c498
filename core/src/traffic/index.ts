export { quietestHours, type QuietHour, type QuietHours } from './quietest';
export { chanceFrom, exponential } from './chance';
export { outcomeWords } from './words/en';
export { writeCallsCsv, type CallToWrite } from './callsCsv';
