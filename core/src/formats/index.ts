export { isFormula, readTable, writeCsv, type Table } from './csv';
export { isVcard, readVcards, writeVcards } from './vcard';
export type { Charsets } from './oldVcard';
export {
  personColumns,
  readPeopleTable,
  writePeopleCsv,
  type FoundPerson,
  type PeopleTable,
  type PersonColumn,
  type ReadColumn,
  type TableChoice,
} from './peopleTable';
export {
  mobileUses,
  mostTakenIn,
  planTakeIn,
  takeInBody,
  type MobileUse,
  type Planned,
  type TakenField,
  type TakeInProblem,
} from './takeIn';
export { readSsml, writeSsml, type ReadSsml, type SsmlGreeting, type SsmlProblem } from './ssml';
export { describeSsmlProblem } from './words/ssml.en';
export { describeField, describeTakeInProblem } from './words/en';
export * from './hours';
