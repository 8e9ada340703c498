export { writeCallsCsv, type CallToWrite } from './callsCsv';
