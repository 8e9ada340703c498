export { plainName, plainText } from './plainText';
