export {
  boxId,
  callerListId,
  contactId,
  groupId,
  personId,
  queueId,
  type BoxId,
  type CallerListId,
  type ContactId,
  type GroupId,
  type PersonId,
  type QueueId,
} from './ids';
export {
  codePattern,
  groupDefaults,
  groupLimits,
  groupOrders,
  mostSpokenTo,
  type Group,
  type GroupOrder,
} from './group';
export { peopleOfRota, rotaDefaults, rotaLimits, type Rota, type RotaSwap } from './rota';
export {
  closedReasons,
  memberPhone,
  membersAtWork,
  membershipDefaults,
  membershipLimits,
  memberTwice,
  ringingOrders,
  ringsOn,
  type ClosedReason,
  type Member,
  type Membership,
  type RingingOrder,
  type RingsOn,
} from './membership';
export {
  exitKeys,
  queueDefaults,
  queueLimits,
  queueReasons,
  type ExitKey,
  type OfferOrder,
  type Queue,
  type QueueReason,
  type WaitingPart,
} from './queue';
export {
  emailPattern,
  extensionPattern,
  longestEmail,
  longestName,
  mostPhones,
  personDefaults,
  phoneSeconds,
  phonesRung,
  type Keeps,
  spokenName,
  works,
  type Person,
  type PersonPhone,
} from './person';
export {
  extensionPlan,
  extensionTakenBy,
  freeFirstDigits,
  nextFreeExtension,
  renumbered,
  type ExtensionPlan,
} from './extensionPlan';
export {
  boxDefaults,
  boxOf,
  defaultLongestMessageSeconds,
  mostTold,
  tellWays,
  type Box,
  type Tell,
  type TellBy,
} from './box';
export { dayPattern, isInService, type Contact, type Service } from './contact';
export {
  anonymousCaller,
  callerListKinds,
  isInList,
  mostPatterns,
  readCallerPattern,
  type CallerList,
  type CallerListKind,
} from './callerList';
export {
  findByKeypad,
  keysOfName,
  lettersSpelled,
  nameParts,
  readKeypad,
  spellingsOf,
  type KeypadReport,
  type NamePart,
} from './keypadNames';
export { callingCodeOf, countries, countryOf, type Country } from './country';
export {
  costlyKinds,
  kindOfNumber,
  mayCall,
  mostOutgoingAtOnce,
  usualOutgoing,
  whyDisallowed,
  type CostlyKind,
  type Disallowed,
  type NumberKind,
  type OutgoingLimits,
} from './outgoing';
export {
  exampleNumber,
  hasLostZero,
  readPhoneNumber,
  showPhoneNumber,
  type E164,
  type PhoneNumberProblem,
} from './phoneNumber';
