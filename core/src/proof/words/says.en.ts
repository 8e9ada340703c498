import type { Facts, FindingPlace } from '../rule';
import type { RuleName } from '../rules';

type Says = (where: string, facts: Facts, at: FindingPlace) => string;

/** What each rule found, in the manager's words. */
export const says: Readonly<Record<RuleName, Says>> = {
  pathEmpty: (where) => `${where} leads nowhere.`,
  pathStops: (where) => `${where} stops: if nobody picks up, the caller is cut off.`,
  notChosen: (where) => `${where} does not say yet whom or where it leads to.`,
  toDeleted: (where) => `${where} leads to something that was deleted.`,
  noOperator: (where) => `${where} rings the operator, and nobody is named as that.`,
  nobodyThere: (where, { who }) => `${where} leads to ${who}, which nobody is in.`,
  noFallback: (where, _, at) =>
    at.type === 'path' && at.slot.type === 'silence'
      ? `${where} is missing: a caller who presses nothing reaches nobody.`
      : `${where} is missing: a caller who presses the wrong key reaches nobody.`,
  noWords: (where) => `${where} says nothing: the caller hears silence.`,
  recordingSilent: (where) => `A recording of ${where} is silent.`,
  circle: (where) => `${where} comes round to itself: a caller who presses nothing never gets out.`,
  pathInItself: (where) => `${where} follows itself and never ends.`,
  lineCircle: (where, { to }) =>
    `${where} hands over to ${to}, which hands back: a caller who presses nothing goes round.`,
  lineNoNumber: () => 'The line has no number.',
  lineNoZone: () => 'The line is in no time zone that is known.',
  notANumber: (where) => `${where} calls something that is not a telephone number.`,
  notAllowed: (where) => `${where} calls a number of a kind or country that Settings do not allow.`,
  ownNumber: (where) => `${where} calls this line’s own number.`,
  lineOutOfService: () => 'The line is not in service today.',
  lineAway: (where) => `${where} hands over to a line that is not in service today.`,
  closedUnheard: (where, { instead }) =>
    `${where} says that you are closed, and nobody hears it: ${instead} answers then.`,
  mostlyAway: (where, { away, inAll }) => `Most of ${where} are away in ${away} of its ${inAll} open hours a week.`,
  switchNowhere: () => 'The switch is on and leads to a sheet that this script does not have.',
  nobodyWorking: (where) => `${where} rings people of whom nobody works at the times it is reached.`,
  noWayToPerson: (where) => `${where} has no way to a person while you are open.`,
  searchEmpty: (where) => `${where} searches by name, but nobody can be found.`,
  outOfService: (where) => `${where} calls a number that is not in service today.`,
  lineNotOnAir: (where) => `${where} hands over to a line on which nothing is on air.`,
  ownVoicemail: (where) => `${where} rings an outside phone so long that its own voicemail may answer.`,
  closedOffice: (where) => `${where} rings phones on desks while the office is closed.`,
  ringsForEver: (where) => `${where} rings with no limit: no step after that can ever run.`,
  repeatsForEver: (where) => `${where} only says the menu again, as often as wrong keys come.`,
  keyIsFirstDigit: (where, { waitSeconds }) =>
    `${where} is also the first digit of extensions: who presses it waits ${waitSeconds} s.`,
  longWait: (where) => `${where} lets callers wait longer than four minutes.`,
  noWayOut: (where) => `${where} leads to a queue that callers can leave only by hanging up.`,
  recordingSaysOther: (where, { heard, meant }) =>
    heard === ''
      ? `A recording of ${where} leaves out “${meant}”.`
      : `A recording of ${where} says “${heard}” instead of “${meant}”.`,
  recordingNotKnown: (where) => `Nobody knows yet whether a recording of ${where} says its words.`,
  voiceGone: (where, { voice, instead }) =>
    `${where} is spoken by “${voice}”, which is no longer in the voice folder; “${instead}” speaks in its place.`,
  recordingOutOfStep: (where, facts) => `A recording of ${where} is out of step. ${facts.says}`,
  recordingPoor: (where, { fault }) => `A recording of ${where} ${poor[fault ?? ''] ?? 'is hard to understand'}.`,
  stayNotKept: (where, { words, whom, why }) =>
    why === 'nobody'
      ? `${where} says “${words}”, but whoever does reaches nobody.`
      : `${where} promises ${whom} to whoever stays on the line, who reaches somebody else.`,
  messageNotKept: (where, { words }) => `${where} says “${words}”, but no message is taken there.`,
  callBackNotKept: (where, { words, why }) =>
    why === 'unheard'
      ? `${where} says “${words}”, but nobody hears what is left in that box.`
      : `${where} says “${words}”, but the caller can leave nothing there.`,
  cutOffAlone: (where, { helpless }) =>
    helpless === 'silence'
      ? `${where} cuts off a caller who presses nothing: no person, no message, no word when somebody is there.`
      : `${where} cuts off a caller who presses only wrong keys: no person, no message, no word when somebody is there.`,
  longAlone: (where, { minutes, most }) =>
    `${where} keeps a caller whom nobody answers for about ${minutes} minutes before a message can be left; ${most} are enough.`,
  openInWords: (where, { words, why }) => `${where} says “${words}”, ${notSo[why ?? ''] ?? 'which is not so'}.`,
  leftInWords: (where, { words, why }) =>
    why === 'blank'
      ? `${where} still says “${words}”.`
      : `${where} has a live part of somebody or something that is gone.`,
  numberInWords: (where, { said }) => `${where} gives the number ${said} as yours; no line has it.`,
  sameOptions: (where, { why, other, words }) =>
    why === 'same'
      ? `${where} is read out with the same words as key ${other}: “${words}”.`
      : `${where} is read out as “For ${words}”.`,
  noEmergencyWords: (where) => `While you are closed, no words say what to do in an emergency; ${where} is heard then.`,
  emergencyNumber: (where, { said, right }) =>
    `${where} sends callers to ${said} in an emergency; here it is ${right}.`,
  listNowhere: (where) => `${where} leads to nobody, and takes no message.`,
  listEmpty: (where) => `${where} is for a list in which nobody is.`,
  blocksAll: (_, { list, entry }) => `The list ${list} blocks ${entry}: that is everybody in your country.`,
  serviceEnds: (where, { until }, at) =>
    at.type === 'line'
      ? `The line is in service until ${until} only.`
      : `${where} calls a number that is in service until ${until} only.`,
  keySaidNotMapped: (where, { words, key }) => `${where} says “${words}”, but key ${key} does nothing there.`,
  keySaidOtherwise: (where, facts) => `${where} is said to be for ${facts.says}; it is for ${facts.isFor}.`,
  hoursInWords: (where, { words, now }) => `${where} says “${words}”. The hours say ${String(now).replace(/\.$/, '')}.`,
  hoursAhead: (where, { words, from, then }) =>
    `${where} says “${words}”. That holds until ${from}; then the hours are ${String(then).replace(/\.$/, '')}.`,
  dateInWords: (where, { words, why }) => `${where} says “${words}”, ${untrue[why ?? ''] ?? 'which is not so'}.`,
  specialWordsOld: (where, { words, on }) => `The words of ${where} say “${words}”, but it comes on ${on}.`,
  holidayInWords: (where, { words, why, opens }) =>
    why === 'opensOn'
      ? `The words of ${where} say “${words}”, but you open again on ${opens}.`
      : `The words of ${where} say “${words}”, ${why === 'opensThen' ? 'and are heard while you are open too' : 'but nothing is open then'}.`,
  voiceChanges: (where, { recorded, parts }) =>
    `${recorded} of the ${parts} parts of ${where} ${recorded === 1 ? 'is a recording' : 'are recordings'}; the voice says the rest.`,
  loudnessSteps: (where, { apart, is }) => `A recording of ${where} is ${apart} dB ${is} than the rest of the line.`,
  roundRinging: (where, { helpless }) =>
    `${where} rings and comes back: who presses ${helpless === 'silence' ? 'nothing' : 'only wrong keys'} goes round until somebody answers.`,
  nameInWords: (where, { name }) => `${where} speaks of ${name}, who has left.`,
  extensionInWords: (where, { extension, name }) =>
    name
      ? `${where} says extension ${extension} for ${name}, who has another.`
      : `${where} says extension ${extension}, which nobody has.`,
  businessInWords: (where, { said, name }) => `${where} says “${said}”, but the line is called ${name}.`,
  pricesDiffer: (where, { price, other, elsewhere }) =>
    `${where} says ${price}; ${elsewhere === '' ? 'another place' : elsewhere} says ${other}.`,
  wrongLanguage: (where, { said, voice }) => `${where} has words in ${said}, spoken by a voice for ${voice}.`,
  recordsUntold: (where) => `${where} records the call without telling the caller.`,
  boxUnheard: (where) => `The box ${where} takes messages, but nobody owns it or is told of them.`,
  tellNowhere: (where, { name, by }) =>
    `${where} tells ${name} of messages by ${by}, but there is no ${by === 'text' ? 'mobile' : 'address'} for that.`,
  ruleUnused: (where, { why }) =>
    why === 'alwaysBeaten'
      ? `Nobody ever hears ${lower(where)}: other rules always answer before it.`
      : `Nobody ever hears ${lower(where)}: what it is about does not come in the next two years.`,
  unreached: (where) => `Nothing leads to ${where}.`,
  mappedNotSaid: (where) => `${where} works, but callers are not told of it.`,
  saidInOtherOrder: (where, { said, rows }) =>
    `${where} says its keys in the order ${said}; on the sheet they stand ${rows}.`,
  zeroUnused: (where) => `In ${where}, 0 does nothing.`,
  noWayBack: (where) => `From ${where} no key leads back.`,
  unpressedKey: (where, { time }) => `Nobody pressed ${where} in ${time}.`,
  manyOptions: (where, { count }) => `${where} reads out ${count} options.`,
  deepMenu: (where, { level }) => `${where} is the menu number ${level} on the way to it.`,
  longReadOut: (where, { seconds }) => `${where} takes ${seconds} s to say.`,
  keypadCollision: (where, { keys, people }) => `${where} cannot tell apart by ${keys}: ${people}.`,
  keypadUnfindable: (where) => `${where} cannot be found by name: it has no letters that a keypad has.`,
  nobodyOnCall: (_, { who }) => `${who} rings whoever is on call, but by its rota nobody is.`,
  queuePaused: (where) => `${where} leads to a queue that is paused.`,
  specialsOverlap: (where, { name, on }) => `${where} and ${name} fall on the same day, first on ${on}.`,
  noHolidays: () => 'No holiday or other special date is entered for the next three months.',
  priceInWords: (where, { price }) => `${where} states a price, ${price}.`,
  noEmergencyAddress: () => 'The line has no emergency address on record.',
};

const poor: Readonly<Record<string, string>> = {
  tooQuiet: 'is too quiet',
  clipped: 'is clipped: it was spoken too loud or too close',
  noisy: 'is noisy',
  tooLong: 'is longer than a minute',
};

const untrue: Readonly<Record<string, string>> = {
  over: 'which is over',
  otherWeekday: 'which is another day of the week',
  nothingThen: 'but the hours have nothing special then',
};

/** Why words about being open or closed are not so. */
const notSo: Readonly<Record<string, string>> = {
  heardOpen: 'and callers hear it while you are open',
  heardClosed: 'and callers hear it while you are closed',
  notOpen: 'but you are closed then',
  notClosed: 'but you are open then',
  leftOut: 'but you are open on other days too',
  notThen: 'and some who hear it ring when you open again on another day',
};

function lower(where: string): string {
  return where.charAt(0).toLowerCase() + where.slice(1);
}
