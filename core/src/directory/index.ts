export { boxId, personId, type BoxId, type PersonId } from './ids';
export { extensionPattern, extensionTakenBy, longestName, nextFreeExtension, type Person } from './person';
export { defaultBoxWords, defaultLongestMessageSeconds, type Box } from './box';
export { readPhoneNumber, showPhoneNumber, type E164, type PhoneNumberProblem } from './phoneNumber';
