import {
  boxDefaults,
  boxId,
  callerListId,
  groupDefaults,
  groupId,
  contactId,
  personDefaults,
  personId,
  queueDefaults,
  queueId,
  type Box,
  type CallerList,
  type Contact,
  type Group,
  type Person,
  type Queue,
  usualOutgoing,
} from '../directory';
import { hoursId, instantOf, periodId, type Hours, type Weekday } from '../hours';
import {
  lineId,
  messageDefaults,
  namedPathId,
  newAnnouncement,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
  type Option,
  type Path,
} from '../line';
import type { CallScript, LineScript } from '../call';

/** A small boatyard for the specs: a welcome by day, a closed menu otherwise. */
export const zone = 'America/New_York';
const person = (id: string, name: string, extension: string, more: Partial<Person> = {}): Person => ({
  ...personDefaults,
  id: personId.create(id),
  name,
  extension,
  ...more,
});
export const noor = person('noor', 'Noor Haldane', '212');
export const priya = person('priya', 'Priya Castellanos', '204');
/** Reached at her desk for 10 s, then on her mobile, where she must press 1. */
export const juno = person('juno', 'Juno Marchetti', '206', {
  phones: [
    { type: 'desk', seconds: 10 },
    { type: 'outside', number: '+12075550161', seconds: 20, accept: true },
  ],
});
export const wendell = person('wendell', 'Wendell Achterberg', '205');
export const rosalind = person('rosalind', 'Rosalind Achterberg', '230');
export const everybody: readonly Person[] = [noor, priya, juno, wendell, rosalind];
const members = (...people: readonly Person[]) => people.map(({ id }) => ({ personId: id, tier: 1 }));
export const moorings: Group = {
  ...groupDefaults,
  id: groupId.create('moorings'),
  name: 'Moorings',
  extension: '304',
  order: 'takingTurns',
  members: members(priya, wendell),
};
export const launchQueue: Queue = {
  ...queueDefaults,
  id: queueId.create('launch'),
  name: 'Spring launch line',
  extension: '305',
  members: members(priya, wendell, noor),
};
export const office: Box = { ...boxDefaults, id: boxId.create('office'), name: 'Office', longestMessageSeconds: 60 };
export const junosBox: Box = { ...office, id: boxId.create('juno'), name: 'Juno', ownerId: juno.id };
export const harbourMaster: Contact = {
  id: contactId.create('harbour'),
  name: 'Harbour master',
  number: '+12075550190',
  serviceFrom: null,
  serviceUntil: null,
};
export const slipHolders: CallerList = {
  id: callerListId.create('slips'),
  name: 'Slip holders',
  kind: 'favoured',
  patterns: ['+12075550171', '+1207555018*'],
  anonymous: false,
};
export const nuisance: CallerList = {
  id: callerListId.create('nuisance'),
  name: 'Blocked',
  kind: 'blocked',
  patterns: ['+12075550199'],
  anonymous: false,
};
export const open = { id: periodId.create('open'), name: 'Open' };
export const lunch = { id: periodId.create('lunch'), name: 'Lunch' };
export const welcomeId = sheetId.create('welcome');
export const closedId = sheetId.create('closed');
export const fuelId = sheetId.create('fuel');
export const frontDeskPath = namedPathId.create('desk');
export const mainLine = lineId.create('main');
export const shedLine = lineId.create('shed');

const workdays: readonly Weekday[] = [1, 2, 3, 4, 5];

export const hours: Hours = {
  id: hoursId.create('main'),
  name: 'Business hours',
  periods: [open, lunch],
  week: workdays.map((day) => ({ periodId: open.id, day, startMin: 480, endMin: 1050 })),
  datedWeeks: [],
  seasons: [],
  special: [],
};

export const message: Path = [{ type: 'takeMessage', boxId: office.id, ...messageDefaults }];

export const ringFor = (personId: Person['id'], seconds: number | null): Path[number] => ({
  ...ringDefaults,
  type: 'ring',
  personId,
  seconds,
});

const welcomeOptions: readonly Option[] = [
  {
    key: '1',
    label: 'moorings',
    readOut: true,
    path: [ringFor(priya.id, 24), ...message],
  },
  { key: '2', label: 'the fuel dock', readOut: true, path: [{ type: 'goTo', sheetId: fuelId }] },
  { key: '9', label: 'to hear this again', readOut: true, path: [{ type: 'sayAgain' }] },
  { key: '#', label: 'nothing', readOut: false, path: [{ type: 'hangUp', words: 'Goodbye.' }] },
];

export const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [
    {
      ...newMenu(welcomeId, 'Welcome'),
      openingWords: 'Thank you for calling the boatyard.',
      options: welcomeOptions,
      closingWords: 'Or stay on the line.',
      silencePath: [ringFor(noor.id, 18), ...message],
      wrongKeyPath: message,
    },
    {
      ...newAnnouncement(fuelId, 'Fuel dock'),
      words: 'The fuel dock opens at eight.',
      afterPath: [{ type: 'goTo', sheetId: welcomeId }],
    },
    {
      ...newMenu(closedId, 'After hours'),
      openingWords: 'We are closed.',
      silentRounds: 1,
      silencePath: message,
      wrongKeyPath: message,
    },
  ],
  paths: [],
  answering: {
    rules: [{ type: 'period', periodId: open.id, path: [{ type: 'goTo', sheetId: welcomeId }] }],
    otherwise: [{ type: 'goTo', sheetId: closedId }],
  },
  fallbacks: [],
};

export const line: LineScript = {
  operatorId: null,
  id: mainLine,
  name: 'Larkspur Cove Boatyard',
  number: '+12075550140',
  timeZone: zone,
  hours,
  attendant,
  switched: null,
};

export const script: CallScript = {
  lineId: mainLine,
  lines: [line],
  people: [noor, priya],
  groups: [],
  queues: [],
  boxes: [office],
  contacts: [],
  callerLists: [],
  greetings: [],
  takes: [],
  holdMusic: 'harbor',
  outgoing: usualOutgoing,
  hours: [],
};

/** The script with another attendant on its line. */
export function withAttendant(changed: Attendant, by: CallScript = script): CallScript {
  return { ...by, lines: by.lines.map((each) => (each.id === by.lineId ? { ...each, attendant: changed } : each)) };
}

/** A script whose line answers everybody with one path. */
export function answering(otherwise: Path, more: Partial<CallScript> = {}): CallScript {
  const only: Attendant = { ...attendant, answering: { rules: [], otherwise } };
  return { ...withAttendant(only), people: everybody, boxes: [office, junosBox], ...more };
}

export const names = Object.fromEntries(
  [...everybody, moorings, launchQueue, office, junosBox, harbourMaster, slipHolders, nuisance, open, lunch].map(
    ({ id, name }) => [id, name],
  ),
);

/** A Monday morning, when the line is open. */
export const openMoment = instantOf('2026-11-23T10:00', zone);
/** The Sunday before it. */
export const closedMoment = instantOf('2026-11-22T10:00', zone);

/** Freezes something with all that is in it, so that a function that changes what it is given fails at once. */
export function frozen<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}
