import { boxDefaults, boxId, groupId, personId, queueId, type Group, type Person, type Queue } from '../directory';
import { datedWeekId, specialDateId, type Hours } from '../hours';
import {
  applyEdit,
  newAnnouncement,
  newMenu,
  ringDefaults,
  sheetId,
  unchosen,
  takeId,
  type Attendant,
  type Edit,
  type Path,
  type TakeUse,
} from '../line';
import type { ProofSubject, ProofTake, RuleName } from '../proof';
import {
  closedId,
  frontDeskPath,
  fuelId,
  harbourMaster,
  juno,
  launchQueue,
  lunch,
  mainLine,
  moorings,
  noor,
  priya,
  ringFor,
  shedLine,
  slipHolders,
  welcomeId,
  wendell,
} from './boatyard';
import { heardBox, holidayHours, leaveMessage, nightHours, soundAttendant, thanksgiving } from './soundOffice';

/** One thing that is wrong with the sound attendant or the office around it, and what the proof says of it. */
export interface Flaw {
  readonly edits?: readonly Edit[];
  readonly office?: Partial<ProofSubject>;
  readonly says: string;
}

const key1 = { type: 'key', sheetId: welcomeId, key: '1' } as const;
export const onKey1 = (...path: Path): Edit => ({ type: 'setPath', slot: key1, path });
const words = (of: typeof welcomeId, part: 'openingWords' | 'closingWords' | 'words', said: string): Edit => ({
  type: 'setWords',
  sheetId: of,
  part,
  words: said,
});
const outside = (number: string, seconds: number | null = 18): Path[number] => ({
  ...ringDefaults,
  type: 'ringOutside',
  to: { type: 'number', number },
  accept: false,
  seconds,
});
export const ringGroup = (id: Group['id']): Path[number] => ({
  ...ringDefaults,
  type: 'ringGroup',
  groupId: id,
  seconds: null,
});
const memberOf = ({ id }: Person): Group['members'][number] => ({ personId: id, tier: 1 });
const emptyGroup: Group = { ...moorings, id: groupId.create('empty'), members: [] };
const slowQueue: Queue = { ...launchQueue, id: queueId.create('slow'), longestWaitSeconds: 300 };
const closedQueue: Queue = { ...launchQueue, id: queueId.create('closed'), exitKey: null };
const pausedQueue: Queue = { ...launchQueue, id: queueId.create('paused'), paused: true };
const waitIn = ({ id }: Queue): Edit => onKey1({ type: 'waitInQueue', queueId: id }, ...leaveMessage);
const nightly: Person = { ...priya, hoursId: nightHours.id };
const lonelyBox = { ...boxDefaults, id: boxId.create('lonely'), name: 'Attic' };
const toldBox = { ...heardBox, tell: [{ personId: noor.id, by: 'email' as const }] };
const japanese: Person = { ...priya, id: personId.create('kanji'), name: '山田', extension: '219', saidAs: '' };
const otherPriya: Person = { ...priya, id: personId.create('casey'), name: 'Ines Casey', extension: '218' };
const search: Path = [{ type: 'searchByName', by: 'lastName', seconds: 24 }, ...leaveMessage];
const away = { serviceFrom: null, serviceUntil: '2026-11-01' };
const shed = { id: shedLine, name: 'Shed', number: '+12075550155', serviceFrom: null, serviceUntil: null, onAir: null };
const main = { ...shed, id: mainLine, name: 'Larkspur Cove Boatyard', number: '+12075550140', onAir: soundAttendant };
const toShed = onKey1({ type: 'toLine', lineId: shedLine });
const handsBack: Attendant = {
  ...soundAttendant,
  answering: { rules: [], otherwise: [{ type: 'toLine', lineId: mainLine }] },
};
const use: TakeUse = { takeId: takeId.create('one'), byVoice: false };
const take = (changes: Partial<ProofTake>): Partial<ProofSubject> => ({
  takes: [
    {
      id: use.takeId,
      lengthMs: 4000,
      faults: [],
      says: { words: 'The fuel dock opens at eight.', options: [], live: [] },
      ...changes,
    },
  ],
});
const recorded: Edit = { type: 'setTake', sheetId: fuelId, part: { type: 'whole' }, take: use };
const submenu = sheetId.create('sub');
const bye: Path = [{ type: 'hangUp', words: 'Goodbye.' }];
const under = (levels: number): readonly Edit[] =>
  Array.from({ length: levels }, (_, index): Edit[] => {
    const id = sheetId.create(`level${index + 2}`);
    const deeper: Path =
      index + 1 < levels ? [{ type: 'goTo', sheetId: sheetId.create(`level${index + 3}`) }] : leaveMessage;
    const menu = {
      ...newMenu(id, `Level ${index + 2}`),
      openingWords: 'Please choose.',
      options: [
        { key: '1' as const, label: 'more', readOut: true, path: deeper },
        { key: '0' as const, label: 'the front desk', readOut: true, path: leaveMessage },
        { key: '9' as const, label: 'to go back', readOut: true, path: [{ type: 'back' as const }] },
      ],
      silencePath: leaveMessage,
      wrongKeyPath: leaveMessage,
    };
    return [{ type: 'addSheet', sheet: menu }];
  }).flat();
const hoursWith = (...special: Hours['special']): Partial<ProofSubject> => ({
  hours: { ...holidayHours, special: [thanksgiving, ...special] },
});
const manyKeys = (['3', '4', '5'] as const).map((key): Edit => ({
  type: 'addKey',
  sheetId: welcomeId,
  option: { key, label: `loft ${key}`, readOut: true, path: leaveMessage },
}));

/** A flaw for every rule, each of them the only thing to find. */
export const flaws: Readonly<Record<RuleName, Flaw>> = {
  pathEmpty: {
    edits: [{ type: 'addKey', sheetId: welcomeId, option: { key: '4', label: 'parts', readOut: true, path: [] } }],
    says: 'Key 4 of Welcome leads nowhere.',
  },
  pathStops: {
    edits: [onKey1(ringFor(priya.id, 24))],
    says: 'Key 1 of Welcome stops: if nobody picks up, the caller is cut off.',
  },
  notChosen: {
    edits: [onKey1(ringFor(unchosen(personId), 24), ...leaveMessage)],
    says: 'Key 1 of Welcome does not say yet whom or where it leads to.',
  },
  toDeleted: {
    edits: [{ type: 'removeSheet', sheetId: fuelId }],
    says: 'Key 2 of Welcome leads to something that was deleted.',
  },
  noOperator: {
    edits: [onKey1({ ...ringDefaults, type: 'ringOperator' }, ...leaveMessage)],
    says: 'Key 1 of Welcome rings the operator, and nobody is named as that.',
  },
  closedUnheard: {
    edits: [
      {
        type: 'addSheet',
        sheet: {
          ...newAnnouncement(submenu, 'At any time'),
          words: 'Thank you for calling. In an emergency at a mooring, ring the harbor master.',
          afterPath: leaveMessage,
        },
      },
      onKey1({ type: 'goTo', sheetId: submenu }),
      { type: 'setPath', slot: { type: 'otherwise' }, path: [{ type: 'goTo', sheetId: submenu }] },
    ],
    says: 'After hours says that you are closed, and nobody hears it: At any time answers then.',
  },
  mostlyAway: {
    office: {
      people: [noor, priya, { ...juno, hoursId: nightHours.id }, { ...wendell, hoursId: nightHours.id }],
      allHours: [holidayHours, nightHours],
      groups: [
        moorings,
        { ...moorings, id: groupId.create('desk'), name: 'Desk', members: [noor, juno, wendell].map(memberOf) },
      ],
    },
    edits: [onKey1(ringGroup(groupId.create('desk')), ...leaveMessage)],
    says: 'Most of Desk are away in 48 of its 48 open hours a week.',
  },
  roundRinging: {
    edits: [
      {
        type: 'setPath',
        slot: { type: 'silence', sheetId: welcomeId },
        path: [ringFor(noor.id, 24), { type: 'sayAgain' }],
      },
    ],
    says: 'The silence path of Welcome rings and comes back: who presses nothing goes round until somebody answers.',
  },
  switchNowhere: {
    office: { switched: { to: { type: 'sheet', sheetId: sheetId.create('storm') }, words: '' } },
    says: 'The switch is on and leads to a sheet that this script does not have.',
  },
  nobodyThere: {
    edits: [onKey1(ringGroup(emptyGroup.id), ...leaveMessage)],
    office: { groups: [emptyGroup] },
    says: 'Key 1 of Welcome leads to Attic group, which nobody is in.',
  },
  noFallback: {
    edits: [{ type: 'setPath', slot: { type: 'silence', sheetId: welcomeId }, path: [] }],
    says: 'The silence path of Welcome is missing: a caller who presses nothing reaches nobody.',
  },
  noWords: {
    edits: [words(closedId, 'closingWords', ''), words(closedId, 'openingWords', ' … ')],
    says: 'After hours says nothing: the caller hears silence.',
  },
  recordingSilent: {
    edits: [recorded],
    office: take({ faults: ['silent'] }),
    says: 'A recording of Fuel dock is silent.',
  },
  circle: {
    edits: [{ type: 'setPath', slot: { type: 'silence', sheetId: closedId }, path: [{ type: 'sayAgain' }] }],
    says: 'After hours comes round to itself: a caller who presses nothing never gets out.',
  },
  pathInItself: {
    edits: [
      {
        type: 'addNamedPath',
        path: { id: frontDeskPath, name: 'Front desk', steps: [{ type: 'followPath', pathId: frontDeskPath }] },
      },
    ],
    says: 'The path Front desk follows itself and never ends.',
  },
  lineCircle: {
    edits: [
      { type: 'setPath', slot: { type: 'silence', sheetId: closedId }, path: [{ type: 'toLine', lineId: shedLine }] },
    ],
    office: { lines: [main, { ...shed, onAir: handsBack }], ...{} },
    says: 'The silence path of After hours hands over to Shed, which hands back: a caller who presses nothing goes round.',
  },
  lineNoNumber: { office: {}, says: 'The line has no number.' },
  lineNoZone: { office: {}, says: 'The line is in no time zone that is known.' },
  notANumber: {
    edits: [onKey1(outside('soon'), ...leaveMessage)],
    says: 'Key 1 of Welcome calls something that is not a telephone number.',
  },
  notAllowed: {
    edits: [onKey1(outside('+1 900 555 0140'), ...leaveMessage)],
    says: 'Key 1 of Welcome calls a number of a kind or country that Settings do not allow.',
  },
  ownNumber: {
    edits: [onKey1(outside('207 555 0140'), ...leaveMessage)],
    says: 'Key 1 of Welcome calls this line’s own number.',
  },
  lineOutOfService: { office: {}, says: 'The line is not in service today.' },
  lineAway: {
    edits: [toShed],
    office: { lines: [main, { ...shed, ...away, onAir: soundAttendant }] },
    says: 'Key 1 of Welcome hands over to a line that is not in service today.',
  },
  nobodyWorking: {
    edits: [onKey1(ringFor(nightly.id, 24), ...leaveMessage)],
    office: { people: [noor, nightly], allHours: [nightHours], groups: [], queues: [] },
    says: 'Key 1 of Welcome rings people of whom nobody works at the times it is reached.',
  },
  noWayToPerson: {
    edits: [
      onKey1(...leaveMessage),
      { type: 'setPath', slot: { type: 'key', sheetId: welcomeId, key: '0' }, path: leaveMessage },
      { type: 'setPath', slot: { type: 'silence', sheetId: welcomeId }, path: leaveMessage },
    ],
    says: 'The answer during Open has no way to a person while you are open.',
  },
  searchEmpty: {
    edits: [onKey1(...search)],
    office: { people: [noor, priya].map((person) => ({ ...person, inDirectory: false })), groups: [], queues: [] },
    says: 'Key 1 of Welcome searches by name, but nobody can be found.',
  },
  outOfService: {
    edits: [onKey1({ type: 'handOver', to: { type: 'contact', contactId: harbourMaster.id }, before: '' })],
    office: { contacts: [{ ...harbourMaster, serviceUntil: '2026-11-22' }] },
    says: 'Key 1 of Welcome calls a number that is not in service today.',
  },
  lineNotOnAir: {
    edits: [toShed],
    office: { lines: [main, shed] },
    says: 'Key 1 of Welcome hands over to a line on which nothing is on air.',
  },
  ownVoicemail: {
    edits: [onKey1(outside('+12075550161', 30), ...leaveMessage)],
    says: 'Key 1 of Welcome rings an outside phone so long that its own voicemail may answer.',
  },
  closedOffice: {
    edits: [
      { type: 'setPath', slot: { type: 'silence', sheetId: closedId }, path: [ringFor(noor.id, 24), ...leaveMessage] },
    ],
    says: 'The silence path of After hours rings phones on desks while the office is closed.',
  },
  ringsForEver: {
    edits: [onKey1(ringFor(priya.id, null))],
    says: 'Key 1 of Welcome rings with no limit: no step after that can ever run.',
  },
  repeatsForEver: {
    edits: [{ type: 'setPath', slot: { type: 'wrongKey', sheetId: welcomeId }, path: [{ type: 'sayAgain' }] }],
    says: 'The wrong-key path of Welcome only says the menu again, as often as wrong keys come.',
  },
  keyIsFirstDigit: {
    edits: [{ type: 'setMenuSettings', sheetId: welcomeId, settings: { extensions: { waitSeconds: 4 } } }],
    says: 'Key 2 of Welcome is also the first digit of extensions: who presses it waits 4 s.',
  },
  longWait: {
    edits: [waitIn(slowQueue)],
    office: { queues: [slowQueue] },
    says: 'Key 1 of Welcome lets callers wait longer than four minutes.',
  },
  noWayOut: {
    edits: [waitIn(closedQueue)],
    office: { queues: [closedQueue] },
    says: 'Key 1 of Welcome leads to a queue that callers can leave only by hanging up.',
  },
  recordingSaysOther: {
    edits: [recorded],
    office: take({
      verdict: {
        type: 'other',
        by: 'listening',
        parts: [
          { text: 'The', insteadOf: null },
          { text: 'ferry', insteadOf: 'fuel' },
          { text: 'dock opens at eight.', insteadOf: null },
        ],
      },
    }),
    says: 'A recording of Fuel dock says “ferry” instead of “fuel”.',
  },
  voiceGone: {
    edits: [{ type: 'setVoice', voice: 'own-en-anna' }],
    office: { ownVoices: [] },
    says: 'This line is spoken by “Anna, your own”, which is no longer in the voice folder; “Woman, American” speaks in its place.',
  },
  recordingNotKnown: {
    edits: [recorded],
    office: take({ verdict: { type: 'unknown', why: 'language' } }),
    says: 'Nobody knows yet whether a recording of Fuel dock says its words.',
  },
  recordingOutOfStep: {
    edits: [recorded],
    office: take({ says: { words: 'The fuel dock opens at nine.', options: [], live: [] } }),
    says: 'A recording of Fuel dock is out of step. Its words were changed since it was recorded.',
  },
  voiceChanges: {
    edits: [{ type: 'setTake', sheetId: welcomeId, part: { type: 'openingWords' }, take: use }],
    office: take({ says: { words: 'Thank you for calling the boatyard.', options: [], live: [] } }),
    says: '1 of the 5 parts of Welcome is a recording; the voice says the rest.',
  },
  loudnessSteps: {
    edits: [recorded],
    office: take({ made: { after: { lufs: -27 } } }),
    says: 'A recording of Fuel dock is 7 dB softer than the rest of the line.',
  },
  recordingPoor: {
    edits: [recorded],
    office: take({ faults: ['tooQuiet'] }),
    says: 'A recording of Fuel dock is too quiet.',
  },
  stayNotKept: {
    edits: [words(closedId, 'openingWords', 'We are closed. Please stay on the line for Noor Haldane.')],
    says: 'After hours says “stay on the line for Noor Haldane”, but whoever does reaches nobody.',
  },
  messageNotKept: {
    edits: [
      {
        type: 'addSheet',
        sheet: { ...newAnnouncement(submenu, 'Loft'), words: 'Speak after the tone.', afterPath: bye },
      },
      onKey1({ type: 'goTo', sheetId: submenu }),
    ],
    says: 'Loft says “Speak after the tone”, but no message is taken there.',
  },
  callBackNotKept: {
    edits: [onKey1({ type: 'say', spoken: { type: 'typed', words: 'We will call you back.' } }, ...bye)],
    says: 'Key 1 of Welcome says “will call you”, but the caller can leave nothing there.',
  },
  cutOffAlone: {
    edits: [{ type: 'setPath', slot: { type: 'silence', sheetId: welcomeId }, path: bye }],
    says: 'The silence path of Welcome cuts off a caller who presses nothing: no person, no message, no word when somebody is there.',
  },
  longAlone: {
    edits: [onKey1(...Array.from({ length: 4 }, () => ringFor(priya.id, 60)), ...leaveMessage)],
    says: 'Key 1 of Welcome keeps a caller whom nobody answers for about 4 minutes before a message can be left; 3 are enough.',
  },
  listNowhere: {
    edits: [{ type: 'addRule', rule: { type: 'callers', callerListId: slipHolders.id, path: bye } }],
    office: { callerLists: [slipHolders] },
    says: 'The answer for Slip holders leads to nobody, and takes no message.',
  },
  listEmpty: {
    edits: [{ type: 'addRule', rule: { type: 'callers', callerListId: slipHolders.id, path: leaveMessage } }],
    office: { callerLists: [{ ...slipHolders, patterns: [] }] },
    says: 'The answer for Slip holders is for a list in which nobody is.',
  },
  blocksAll: {
    office: { callerLists: [{ ...slipHolders, kind: 'blocked', patterns: ['+1*'] }] },
    says: 'The list Slip holders blocks +1*: that is everybody in your country.',
  },
  emergencyNumber: {
    edits: [words(closedId, 'closingWords', 'In an emergency, dial 999.')],
    says: 'After hours sends callers to 999 in an emergency; here it is 911.',
  },
  noEmergencyWords: {
    edits: [words(closedId, 'closingWords', '')],
    says: 'While you are closed, no words say what to do in an emergency; After hours is heard then.',
  },
  serviceEnds: { office: {}, says: 'The line is in service until 2026-12-10 only.' },
  sameOptions: {
    edits: [
      {
        type: 'addKey',
        sheetId: welcomeId,
        option: { key: '3', label: 'Moorings', readOut: true, path: leaveMessage },
      },
    ],
    says: 'Key 3 of Welcome is read out with the same words as key 1: “Moorings”.',
  },
  openInWords: {
    edits: [words(welcomeId, 'openingWords', 'We are currently closed.')],
    says: 'Welcome says “We are currently closed”, and callers hear it while you are open.',
  },
  leftInWords: {
    edits: [words(closedId, 'openingWords', 'Thank you for calling [YOUR COMPANY NAME]. We are closed.')],
    says: 'After hours still says “[YOUR COMPANY NAME]”.',
  },
  numberInWords: {
    edits: [words(closedId, 'openingWords', 'We are closed. Call us at 207 555 0199.')],
    says: 'After hours gives the number 207 555 0199 as yours; no line has it.',
  },
  keySaidNotMapped: {
    edits: [words(welcomeId, 'closingWords', 'For parts, press 4.')],
    says: 'Welcome says “For parts, press 4”, but key 4 does nothing there.',
  },
  keySaidOtherwise: {
    edits: [words(welcomeId, 'closingWords', 'For accounts, press 1.')],
    says: 'Key 1 of Welcome is said to be for accounts; it is for moorings.',
  },
  hoursInWords: {
    edits: [words(closedId, 'openingWords', 'We are open Monday to Friday, 9 to 5.')],
    says: 'After hours says “Monday to Friday, 9 to 5”. The hours say Monday to Friday, eight a.m. to five thirty p.m.',
  },
  hoursAhead: {
    edits: [words(closedId, 'openingWords', 'We are open Monday to Friday, 8 to 5:30.')],
    office: {
      hours: {
        ...holidayHours,
        datedWeeks: [
          {
            id: datedWeekId.create('winter'),
            name: 'Winter',
            from: '2026-12-14',
            week: holidayHours.week.map((span) => ({ ...span, endMin: span.endMin - 30 })),
          },
        ],
      },
    },
    says: 'After hours says “Monday to Friday, 8 to 5:30”. That holds until Mon 14 December 2026; then the hours are Monday to Friday, eight a.m. to five p.m.',
  },
  dateInWords: {
    edits: [words(closedId, 'openingWords', 'We are closed until January 2, 2026.')],
    says: 'After hours says “January 2, 2026”, which is over.',
  },
  specialWordsOld: {
    office: hoursWith({
      ...thanksgiving,
      id: specialDateId.create('christmas'),
      name: 'Christmas',
      when: { type: 'once', from: '2026-12-24', to: '2027-01-01' },
      words: 'We are closed until January 2, 2026.',
    }),
    says: 'The words of Christmas say “January 2, 2026”, but it comes on Thu 24 December 2026.',
  },
  holidayInWords: {
    office: hoursWith({
      ...thanksgiving,
      words: 'We are closed for Thanksgiving and will be back on Friday.',
    }),
    says: 'The words of Thanksgiving say “back on Friday”, but you open again on Mon 30 November 2026.',
  },
  nameInWords: {
    edits: [words(closedId, 'openingWords', 'Ask for Bram Lindqvist’s help.')],
    office: { leavers: ['Bram Lindqvist'] },
    says: 'After hours speaks of Bram Lindqvist, who has left.',
  },
  extensionInWords: {
    edits: [words(closedId, 'openingWords', 'We are closed. Priya Castellanos has extension 205.')],
    says: 'After hours says extension 205 for Priya Castellanos, who has another.',
  },
  businessInWords: {
    edits: [words(welcomeId, 'openingWords', 'Thank you for calling Harbor Marine Supply.')],
    says: 'Welcome says “Harbor Marine Supply”, but the line is called Larkspur Cove Boatyard.',
  },
  pricesDiffer: {
    edits: [
      words(closedId, 'openingWords', 'Hauling out costs $12 a foot.'),
      words(fuelId, 'words', 'Hauling out costs $14 a foot.'),
    ],
    says: 'After hours says $12; Fuel dock says $14.',
  },
  wrongLanguage: {
    edits: [
      words(closedId, 'openingWords', 'Bienvenue. Nous sommes fermés. Veuillez nous rappeler dans la matinée, merci.'),
    ],
    says: 'After hours has words in Français, spoken by a voice for English.',
  },
  recordsUntold: {
    edits: [onKey1({ type: 'record', on: true, tells: false }, ...leaveMessage)],
    says: 'Key 1 of Welcome records the call without telling the caller.',
  },
  boxUnheard: {
    edits: [onKey1({ ...leaveMessage[0], boxId: lonelyBox.id } as Path[number])],
    office: { boxes: [heardBox, lonelyBox] },
    says: 'The box Attic takes messages, but nobody owns it or is told of them.',
  },
  tellNowhere: {
    office: { boxes: [toldBox] },
    says: 'Office tells Noor Haldane of messages by email, but there is no address for that.',
  },
  ruleUnused: {
    edits: [{ type: 'addRule', rule: { type: 'period', periodId: lunch.id, path: leaveMessage } }],
    says: 'Nobody ever hears the answer during Lunch: what it is about does not come in the next two years.',
  },
  unreached: {
    edits: [
      {
        type: 'addSheet',
        sheet: { ...newAnnouncement(submenu, 'Old news'), words: 'Listen.', afterPath: leaveMessage },
      },
    ],
    says: 'Nothing leads to Old news.',
  },
  mappedNotSaid: {
    edits: [
      {
        type: 'addKey',
        sheetId: welcomeId,
        option: { key: '7', label: 'the sail loft', readOut: false, path: leaveMessage },
      },
    ],
    says: 'Key 7 of Welcome works, but callers are not told of it.',
  },
  saidInOtherOrder: {
    edits: [words(welcomeId, 'closingWords', 'Press 9 to hear this again, or press 1 for moorings.')],
    says: 'Welcome says its keys in the order 9, 1; on the sheet they stand 1, 9.',
  },
  zeroUnused: {
    edits: [{ type: 'removeKey', sheetId: welcomeId, key: '0' }],
    says: 'In Welcome, 0 does nothing.',
  },
  noWayBack: {
    edits: [
      ...under(1),
      onKey1({ type: 'goTo', sheetId: sheetId.create('level2') }),
      { type: 'removeKey', sheetId: sheetId.create('level2'), key: '9' },
    ],
    says: 'From Level 2 no key leads back.',
  },
  unpressedKey: {
    office: { unpressed: { days: 91, keys: [{ sheetId: welcomeId, key: '2' }] } },
    says: 'Nobody pressed Key 2 of Welcome in three months.',
  },
  manyOptions: { edits: manyKeys.slice(0, 2), says: 'Welcome reads out 6 options.' },
  deepMenu: {
    edits: [...under(3), onKey1({ type: 'goTo', sheetId: sheetId.create('level2') })],
    says: 'Level 4 is the menu number 4 on the way to it.',
  },
  longReadOut: {
    edits: [
      words(
        welcomeId,
        'openingWords',
        'Thank you for calling the boatyard on the cove below the old cannery. '.repeat(5),
      ),
    ],
    says: 'Welcome takes 36 s to say.',
  },
  keypadCollision: {
    edits: [onKey1(...search)],
    office: { people: [noor, priya, otherPriya], groups: [], queues: [] },
    says: 'Key 1 of Welcome cannot tell apart by 227: Priya Castellanos, Ines Casey.',
  },
  keypadUnfindable: {
    edits: [onKey1(...search)],
    office: { people: [noor, priya, japanese], groups: [], queues: [] },
    says: 'Something deleted cannot be found by name: it has no letters that a keypad has.',
  },
  nobodyOnCall: {
    edits: [onKey1({ ...ringDefaults, type: 'ringGroup', groupId: moorings.id, seconds: null }, ...leaveMessage)],
    office: { groups: [{ ...moorings, order: 'onCall', rota: null }], queues: [] },
    says: 'Moorings rings whoever is on call, but by its rota nobody is.',
  },
  queuePaused: {
    edits: [waitIn(pausedQueue)],
    office: { queues: [pausedQueue] },
    says: 'Key 1 of Welcome leads to a queue that is paused.',
  },
  specialsOverlap: {
    office: hoursWith({
      ...thanksgiving,
      id: specialDateId.create('stock'),
      name: 'Stock taking',
      when: { type: 'once', from: '2026-11-27', to: '2026-11-27' },
    }),
    says: 'Stock taking and Thanksgiving fall on the same day, first on 2026-11-27.',
  },
  noHolidays: {
    office: { hours: { ...holidayHours, special: [] } },
    says: 'No holiday or other special date is entered for the next three months.',
  },
  priceInWords: {
    edits: [words(fuelId, 'words', 'Pumping out costs $10.')],
    says: 'Fuel dock states a price, $10.',
  },
  noEmergencyAddress: { office: {}, says: 'The line has no emergency address on record.' },
};

/** The sound attendant with some flaws in it. */
export function flawed(...names: readonly RuleName[]): Attendant {
  return names.flatMap((name) => flaws[name].edits ?? []).reduce(applyEdit, soundAttendant);
}

/** What of the office a flaw changes; the line's own facts are changed in place. */
export function officeOf(name: RuleName, sound: ProofSubject): Partial<ProofSubject> {
  const { line } = sound;
  switch (name) {
    case 'lineNoNumber':
      return { line: { ...line, number: '' } };
    case 'lineNoZone':
      return { line: { ...line, timeZone: 'Nowhere/Land' } };
    case 'lineOutOfService':
      return { line: { ...line, serviceUntil: '2026-11-01' } };
    case 'serviceEnds':
      return { line: { ...line, serviceUntil: '2026-12-10' } };
    case 'noEmergencyAddress':
      return { line: { ...line, emergencyAddress: ' ' } };
    default:
      return flaws[name].office ?? {};
  }
}
